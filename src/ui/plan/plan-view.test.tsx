// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { emptyPlan, type PlanPage, type PointView } from '@/core/plan';
import type { RunSheetData } from '../runsheet/types';
import { areaText, lengthText, metresOf } from './lengths';
import { PlanView } from './PlanView';

const sent: { useCase: string; data: Record<string, unknown> }[] = [];
let answer: () => Response = () => Response.json({});
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined }) }));
// A part of the application that was not kept on the device.
vi.mock('../methods/registry', () => ({
  InMethodFolder: () => {
    throw new Error('failed to load chunk');
  },
}));
const told: string[] = [];
vi.mock('../parts/Notice', () => ({ useNotice: () => (text: string) => told.push(text) }));

const OUTLINE = [
  { x: 0, y: 0 },
  { x: 10, y: 0 },
  { x: 10, y: 8 },
  { x: 0, y: 8 },
];
const point = (short: string, over: Partial<PointView> = {}): PointView => ({
  id: `id-${short}`,
  label: `TST-001-${short}`,
  short,
  sampleId: 'zone',
  form: 'slab-hole',
  formText: 'Hole',
  place: null,
  begun: false,
  open: null,
  next: null,
  value: null,
  stands: null,
  waits: [],
  ...over,
});
const page = (over: Partial<PlanPage> = {}): PlanPage => ({
  lotId: 'lot',
  title: 'Level 0',
  jobId: 'job',
  jobText: 'TST Quay',
  zone: 'America/New_York',
  system: 'SI',
  now: Date.UTC(2031, 4, 14),
  planId: 'plan',
  pictureId: null,
  plan: { ...emptyPlan(20, 8), zones: [{ sampleId: 'zone', outline: OUTLINE, walls: [0] }] },
  points: [point('H1'), point('H2')],
  wants: [
    {
      sampleId: 'zone',
      name: 'Zone A',
      area: '80 m2',
      forms: [{ form: 'slab-hole', text: 'Hole', count: 2 }],
    },
  ],
  rules: { wall: 1, flag: 1, point: 0.3, wallText: '1 m', flagText: '1 m', pointText: '0.3 m' },
  ...over,
});

beforeEach(() => {
  localStorage.clear();
  sent.length = 0;
  told.length = 0;
  answer = () => Response.json({});
  vi.stubGlobal('fetch', async (path: string, init: { body: string }) => {
    sent.push({ useCase: path.split('/').at(-1) ?? '', data: JSON.parse(init.body) });
    return answer();
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});
const plan = (): HTMLElement => {
  const found = screen.getByTestId('plan');
  found.getBoundingClientRect = () => ({ left: 0, top: 0, width: 1000, height: 400 }) as DOMRect;
  return found;
};
/** A press on the plan, m. */
const press = (x: number, y: number): void => {
  const at = { bubbles: true, clientX: 50 * x, clientY: 50 * y };
  fireEvent(plan(), new MouseEvent('pointerdown', at));
  fireEvent(plan(), new MouseEvent('pointerup', at));
};
const button = (name: string | RegExp): HTMLElement => screen.getByRole('button', { name });

describe('a floor that has no plan', () => {
  it('begins with a room of a size, and says what is no length', () => {
    render(<PlanView page={page({ plan: null, planId: null })} canWrite />);
    fireEvent.change(screen.getByLabelText('Width'), { target: { value: 'wide' } });
    expect(screen.getByText(/number|length/u)).toBeDefined();
    fireEvent.change(screen.getByLabelText('Width'), { target: { value: '12' } });
    fireEvent.change(screen.getByLabelText('Depth'), { target: { value: '8 m' } });
    fireEvent.click(button('Begin with a rectangle'));
    expect(screen.getByText(/^12.00 m by 8.00 m/u)).toBeDefined();
    expect(screen.getByText('Zone A has no outline yet.')).toBeDefined();
  });
  it('says so to who may not draw', () => {
    render(<PlanView page={page({ plan: null })} canWrite={false} />);
    expect(screen.getByText('This floor has no plan yet.')).toBeDefined();
  });
});

describe('a plan that is drawn', () => {
  it('outlines a zone corner by corner, takes a step back, and is kept', async () => {
    render(<PlanView page={page({ plan: emptyPlan(20, 8) })} canWrite />);
    fireEvent.click(button('Zones'));
    for (const [x, y] of [
      [1, 1],
      [9, 1],
      [9, 6],
      [1, 6],
    ] as const)
      press(x, y);
    fireEvent.click(button('Close the outline'));
    expect(screen.getByText(/Zone A: 40 m² drawn, 80 m² told: one of the two is wrong/u)).toBeDefined();
    fireEvent.click(button('Walls'));
    fireEvent.keyDown(button('Side 1: exterior wall'), { key: 'Enter' });
    expect(screen.getByText(/1 exterior wall has no point within 1 m/u)).toBeDefined();
    fireEvent.click(button('One step back'));
    expect(screen.queryByText(/exterior wall has no point/u)).toBeNull();
    fireEvent.click(button('Keep the plan'));
    await waitFor(() => expect(sent[0]?.useCase).toBe('draw-plan'));
    expect(sent[0]?.data).toMatchObject({
      lotId: 'lot',
      basedOn: 'plan',
      width: 20,
      zones: [{ sampleId: 'zone' }],
    });
    await waitFor(() => expect(told).toEqual(['The plan is kept.']));
  });
  it('is brought to scale by two places a known way apart', () => {
    render(<PlanView page={page()} canWrite />);
    fireEvent.click(button('Scale'));
    fireEvent.change(screen.getByLabelText('How far apart'), { target: { value: '30 m' } });
    press(0, 4);
    press(10, 4);
    fireEvent.click(button('Set the scale'));
    expect(screen.getByText(/^60.00 m by 24.00 m/u)).toBeDefined();
    expect(screen.getByText(/Zone A: 720 m² drawn/u)).toBeDefined();
  });
  it('has a corridor that says what lies in it', () => {
    render(<PlanView page={page({ points: [point('H1', { place: { x: 0.1, y: 0.5 } })] })} canWrite />);
    fireEvent.click(button('No drilling'));
    fireEvent.change(screen.getByLabelText('What lies there'), { target: { value: 'tendons' } });
    for (const [x, y] of [
      [1, 3],
      [3, 3],
      [3, 5],
      [1, 5],
    ] as const)
      press(x, y);
    fireEvent.keyDown(plan(), { key: 'Enter' });
    expect(screen.getByText(/TST-001-H1 lies in a corridor: tendons/u)).toBeDefined();
  });
});

describe('a place that wants a test', () => {
  it('is flagged with its reason, has a point proposed at it, and can be taken away', async () => {
    render(<PlanView page={page()} canWrite />);
    fireEvent.click(button('Test here'));
    press(3, 4);
    expect(told).toEqual(['Say first why a test is wanted there.']);
    fireEvent.change(screen.getByLabelText('Why a test is wanted there'), {
      target: { value: 'by the drain' },
    });
    press(3, 4);
    expect(screen.getByText('by the drain: no point within 1 m.')).toBeDefined();
    fireEvent.click(button('Points'));
    fireEvent.click(button('Propose places'));
    await waitFor(() => expect(sent.at(-1)?.useCase).toBe('place-points'));
    expect(sent.at(-1)?.data.places).toContainEqual({ specimenId: 'id-H1', x: 0.15, y: 0.5 });
    fireEvent.click(button('Test here'));
    fireEvent.click(screen.getByLabelText('Take away by the drain'));
    expect(screen.queryByText(/by the drain/u)).toBeNull();
  });
});

describe('points on it', () => {
  it('are put where they are pressed, moved by the keys, and sent', async () => {
    render(<PlanView page={page()} canWrite />);
    fireEvent.click(button('H1'));
    press(5, 4);
    await waitFor(() =>
      expect(sent.at(-1)?.data).toMatchObject({ places: [{ specimenId: 'id-H1', x: 0.25, y: 0.5 }] }),
    );
    expect(screen.getByText(/Zone A: 0 of 2 placed|Zone A: 1 of 2 placed/u)).toBeDefined();
  });
  it('are kept while there is no network, and said', async () => {
    answer = () => {
      throw new TypeError('no network');
    };
    render(<PlanView page={page()} canWrite />);
    fireEvent.click(button('Propose places'));
    await waitFor(() => expect(screen.getByText(/^No network: 2 places are kept/u)).toBeDefined());
    expect(Object.keys(JSON.parse(localStorage.getItem('bricole.places.lot') ?? '{}'))).toEqual([
      'id-H1',
      'id-H2',
    ]);
    expect(screen.queryByText(/of 2 placed/u)).toBeNull();
    answer = () => Response.json({});
    await act(async () => {
      window.dispatchEvent(new Event('online'));
    });
    await waitFor(() => expect(screen.queryByText(/^No network/u)).toBeNull());
    expect(localStorage.getItem('bricole.places.lot')).toBe('{}');
  });
  it('say what the server refused', async () => {
    answer = () => Response.json({ message: 'H1 stays where it is.' }, { status: 409 });
    render(<PlanView page={page()} canWrite />);
    fireEvent.click(button('H1'));
    press(5, 4);
    await waitFor(() => expect(screen.getByText('H1 stays where it is.')).toBeDefined());
  });
  it('show what was read there and what waits, in the order of a round', () => {
    const now = Date.now();
    const waits = [{ what: 'Read the humidity of the hole', opensAt: now - 3_600_000, closesAt: null }];
    render(
      <PlanView
        page={page({
          points: [
            point('H1', { place: { x: 0.4, y: 0.9 }, value: '88 %', stands: 'does not hold', begun: true }),
            point('H2', { place: { x: 0.1, y: 0.1 }, waits }),
            point('H3', { place: { x: 0.45, y: 0.5 }, waits }),
          ],
        })}
        canWrite={false}
      />,
    );
    expect(button('TST-001-H1, 88 %, does not hold, stays where it is')).toBeDefined();
    const round = within(screen.getByRole('list'));
    expect(round.getAllByRole('listitem').map(({ textContent }) => textContent?.slice(0, 2))).toEqual([
      'H2',
      'H3',
    ]);
    fireEvent.click(button('Show TST-001-H3'));
    expect(screen.getByRole('link', { name: 'Open H3' }).getAttribute('href')).toBe('/specimens/id-H3');
  });
});

describe('a round', () => {
  const next = { method: 'slab-humidity', title: 'Humidity in the slab' };
  const waits = [{ what: 'Read the humidity of the hole', opensAt: Date.now() - 3_600_000, closesAt: null }];
  const due = (short: string, x: number, over: Partial<PointView> = {}) =>
    point(short, { place: { x, y: 0.5 }, waits, next, ...over });
  it('opens the sheets of what is due, those that are closed only, in the order of the way', async () => {
    render(
      <PlanView
        page={page({ points: [due('H3', 0.4), due('H1', 0.1), due('H2', 0.2, { open: 'run-2' })] })}
        canWrite
      />,
    );
    expect(screen.getByText('sheet open')).toBeDefined();
    fireEvent.click(button('Open 2 sheets to take along'));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent.map(({ useCase, data }) => [useCase, data.specimenId, data.method])).toEqual([
      ['start-run', 'id-H1', 'slab-humidity'],
      ['start-run', 'id-H3', 'slab-humidity'],
    ]);
  });
  it('says at which point the server refused, and opens no more', async () => {
    answer = () => Response.json({ message: 'You do not have the right to do this.' }, { status: 403 });
    render(<PlanView page={page({ points: [due('H1', 0.1), due('H2', 0.2)] })} canWrite />);
    fireEvent.click(button('Open 2 sheets to take along'));
    await waitFor(() => expect(told).toEqual(['H1: You do not have the right to do this.']));
    expect(sent).toHaveLength(1);
  });
  it('keeps the plan where a sheet is not on the device', () => {
    const said = vi.spyOn(console, 'error').mockImplementation(() => undefined);
    const sheet = { runId: 'run-2', method: 'slab-humidity' } as RunSheetData;
    render(
      <PlanView page={page({ points: [due('H2', 0.2, { open: 'run-2' })] })} sheets={[sheet]} canWrite />,
    );
    fireEvent.click(button('Show TST-001-H2'));
    expect(screen.getByText(/Without a network it is not on this device yet/u)).toBeDefined();
    expect(screen.getByTestId('plan')).toBeDefined();
    said.mockRestore();
  });
  it('begins one test at the point that is looked at; who only reads begins none', async () => {
    const { unmount } = render(<PlanView page={page({ points: [due('H1', 0.1)] })} canWrite />);
    fireEvent.click(button('Show TST-001-H1'));
    fireEvent.click(button('Begin: humidity in the slab'));
    await waitFor(() =>
      expect(sent[0]?.data).toMatchObject({ method: 'slab-humidity', specimenId: 'id-H1' }),
    );
    unmount();
    render(<PlanView page={page({ points: [due('H1', 0.1)] })} canWrite={false} />);
    fireEvent.click(button('Show TST-001-H1'));
    expect(screen.queryByRole('button', { name: /Begin|take along/u })).toBeNull();
  });
});

describe('lengths of a plan', () => {
  it('are said and typed in the units of the job', () => {
    expect([lengthText(3.048, 'US'), lengthText(3.048, 'SI')]).toEqual(['10.0 ft', '3.05 m']);
    expect([areaText(92.90304, 'US'), areaText(92.90304, 'SI')]).toEqual(['1,000 ft²', '92.9 m²']);
    expect(metresOf('12\' 6"', 'US')).toEqual({ metres: expect.closeTo(3.81, 6) });
    expect(metresOf('7.3', 'SI')).toEqual({ metres: 7.3 });
    expect(metresOf('-3', 'SI')).toHaveProperty('why');
    expect(metresOf('far', 'US')).toHaveProperty('why');
  });
});
