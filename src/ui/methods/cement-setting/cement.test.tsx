// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { findMethod, type MethodId } from '@/core/methods/registry';
import { usableInput } from '@/core/methods/validate';
import { type Asked, opened, savedReadings, sheetData, standInServer } from '@/testing/sheet';
import { useRun } from '../../runsheet/use-run';
import { useMethodFolder } from '../holding';
import type { BenchProps } from '../kit';
import { settingPicture } from './picture';
import { RingMap } from './RingMap';

vi.mock('../../charts/Line', () => ({
  Line: (props: { 'aria-label': string }) => <div role="img" aria-label={props['aria-label']} />,
}));

const CONTACT = Date.UTC(2031, 8, 12, 12, 12);
const at = (minutes: number): string => new Date(CONTACT + minutes * 60_000).toISOString();
let asked: readonly Asked[] = [];
const saved = (): [string, string][] =>
  savedReadings(asked.filter(({ useCase }) => useCase === 'save-readings')).map(({ field, text }) => [
    field.split('/').at(-1) ?? '',
    text,
  ]);
beforeEach(() => {
  localStorage.clear();
  asked = standInServer();
  vi.useFakeTimers({ shouldAdvanceTime: true, now: CONTACT + 60 * 60_000 });
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

/** The instrument of a step as a run sheet has it. */
function AtStep({
  method,
  step,
  readings = {},
  equipment = [],
}: {
  readonly method: MethodId;
  readonly step: string;
  readonly readings?: Readonly<Record<string, string>>;
  readonly equipment?: { readonly number: string; readonly kind: string; readonly live?: boolean }[];
}) {
  const data = sheetData({
    method,
    readings,
    setup: { equipment, facts: { cementType: 'c150.I', consistency: '27.0 percent' } },
  });
  const run = useRun(data, CONTACT);
  const Lead = useMethodFolder().leads?.[step];
  return (
    <div>
      <p>open</p>
      {Lead ? <Lead run={run} data={data} readOnly={false} /> : null}
    </div>
  );
}
const atStep = (props: Parameters<typeof AtStep>[0]) => opened(props.method, <AtStep {...props} />);

const ring = (
  ...falls: readonly (readonly [minutes: number, depth: string, more?: Readonly<Record<string, string>>])[]
) => ({
  ...{ contactAt: at(0), mouldedAt: at(7) },
  ...Object.fromEntries(
    falls.flatMap(([minutes, depth, more = {}], place) =>
      Object.entries({ at: at(minutes), depth, x: '0', y: '0', ...more }).map(([column, text]) => [
        `falls/f${place}/${column}`,
        text,
      ]),
    ),
  ),
});

describe('the next fall of the needle', () => {
  it('waits for the water and the moulding', async () => {
    await atStep({ method: 'cement-setting', step: 'falls' });
    await screen.findByText(/^The first fall is due half an hour after moulding/u);
  });
  it('tells when it is due and where it goes, and is kept with its place once it is read', async () => {
    await atStep({ method: 'cement-setting', step: 'falls', readings: ring([52, '39.5']) });
    // The last one was at 52 min; it is 60 now.
    await screen.findByText('Next fall in');
    expect(screen.getByText(/^[67]:\d\d$/u)).toBeDefined();
    expect(screen.getByRole('img', { name: 'Ring with 1 hole; the next place is marked' })).toBeDefined();
    press('Needle released');
    fireEvent.change(screen.getByLabelText('Went in, mm'), { target: { value: '38.5' } });
    press('Keep it');
    await waitFor(() => expect(saved()).toContainEqual(['depth', '38.5']));
    const kept = Object.fromEntries(saved());
    expect(kept.wrong).toBe('nothing');
    expect(Math.hypot(Number(kept.x), Number(kept.y))).toBeCloseTo(6.35, 1);
    // Nobody said after how long it was read.
    expect(kept).not.toHaveProperty('settled');
  });
  it('a fall that was not meant is none', async () => {
    await atStep({ method: 'cement-setting', step: 'falls', readings: ring([52, '39.5']) });
    press('Needle released');
    press('Not this one');
    expect(saved()).toEqual([]);
  });
  it('asks for the circle where the needle hardly goes in, and for two more at once', async () => {
    const none = { circle: 'none' };
    await atStep({
      method: 'cement-setting',
      step: 'falls',
      readings: ring([37, '40'], [50, '20', { x: '7' }], [59.8, '0', { x: '14', ...none }]),
    });
    await screen.findByText(/^No circle: 2 more falls at other places within 1:1\d\./u);
    press('Needle released');
    fireEvent.change(screen.getByLabelText('Went in, mm'), { target: { value: '0' } });
    press('No whole circle');
    fireEvent.keyDown(screen.getByLabelText('Went in, mm'), { key: 'Enter' });
    await waitFor(() => expect(saved()).toContainEqual(['circle', 'none']));
  });
  it('a place can be chosen by a tap on the ring', () => {
    const pick = vi.fn();
    const { picture } =
      findMethod('cement-setting')?.compute(
        usableInput(findMethod('cement-setting') as never, { system: 'US' }).input,
        {},
      ) ?? {};
    if (!picture) throw new Error('no picture');
    render(<RingMap picture={settingPicture(picture)} place={null} pick={pick} />);
    const map = screen.getByRole('img', { name: 'Ring with 0 holes; it is full' });
    vi.spyOn(map, 'getBoundingClientRect').mockReturnValue({
      left: 0,
      top: 0,
      width: 680,
      height: 680,
    } as DOMRect);
    fireEvent.click(map, { clientX: 440, clientY: 240 });
    expect(pick).toHaveBeenCalledWith(10, 10);
  });
});

describe('the beats of mixing', () => {
  it('stamp the water, count each stage and end by themselves', async () => {
    await atStep({ method: 'cement-setting', step: 'mix' });
    press('Water meets cement');
    await waitFor(() =>
      expect(saved()).toMatchObject([['contactAt', expect.stringMatching(/^2031-09-12T13:12/u)]]),
    );
    expect(screen.getByText('Cement in the water: let it soak')).toBeDefined();
    await act(async () => void (await vi.advanceTimersByTimeAsync(40_000)));
    expect(screen.getByText('Slow')).toBeDefined();
    await act(async () => void (await vi.advanceTimersByTimeAsync(100_000)));
    expect(screen.getByText('Mixed.')).toBeDefined();
  });
  it('of a paste for the consistency go on to the release of the plunger', async () => {
    await atStep({ method: 'cement-consistency', step: 'pastes', readings: { cement: '650' } });
    press('Water meets cement');
    await act(async () => void (await vi.advanceTimersByTimeAsync(137_000)));
    press('Plunger released');
    await waitFor(() =>
      expect(Object.fromEntries(saved())).toMatchObject({
        paste: 'fresh',
        released: expect.stringMatching(/^\d$/u),
      }),
    );
    expect(screen.getByText(/^Read in \d+ s; nobody leans/u)).toBeDefined();
    await act(async () => void (await vi.advanceTimersByTimeAsync(35_000)));
    expect(screen.getByText('Read it now, and type it below.')).toBeDefined();
  });
  it('of a mortar go on to the lift of the flow mould', async () => {
    await atStep({ method: 'cement-mortar', step: 'mix' });
    press('Water meets cement');
    await act(async () => void (await vi.advanceTimersByTimeAsync(240_500)));
    expect(screen.getByText(/^Lift in \d+ s$/u)).toBeDefined();
    press('Mould lifted');
    await waitFor(() =>
      expect(Object.fromEntries(saved())).toMatchObject({ drops: '25', lifted: expect.any(String) }),
    );
    expect(screen.getByText(/^25 drops in 15 s/u)).toBeDefined();
  });
});

function OwnBench(props: BenchProps) {
  const { Bench } = useMethodFolder();
  return <Bench {...props} />;
}
async function drawn(id: MethodId, read: Readonly<Record<string, unknown>>, facts = {}) {
  const method = findMethod(id);
  if (!method) throw new Error(id);
  const { picture } = method.compute(usableInput(method, { system: 'US', ...read }).input, { facts });
  await opened(
    id,
    <div>
      <p>open</p>
      <OwnBench picture={picture} />
    </div>,
  );
}

describe('what is drawn of a cement', () => {
  it('pastes on a ladder, with the water of the next', async () => {
    const paste = (id: string, water: string, depth: string) => ({
      id,
      contactAt: at(0),
      water,
      depth,
      released: '20',
    });
    await drawn('cement-consistency', {
      cement: '650',
      pastes: [paste('a', '169', '7'), paste('b', '182', '14')],
    });
    await screen.findByText('Next paste: 174.6 g of water.');
    expect(screen.getByRole('img', { name: '2 pastes; the plunger has to go in 9 to 11 mm' })).toBeDefined();
  });
  it('the spread on the table, and why its water is not that of a concrete', async () => {
    const batch = {
      id: 'a',
      contactAt: at(0),
      water: '242',
      drops: '25',
      d1: '8',
      d2: '8',
      d3: '8',
      d4: '8',
    };
    await drawn('cement-mortar', { cement: '500', batches: [batch] }, { cementType: 'c595.IL' });
    await screen.findByText(/^Next batch: \d+\.\d g of water\.$/u);
    expect(screen.getByText(/^Water to cement 0\.484\. It is not that of a concrete/u)).toBeDefined();
  });
  it('determinations beside one another, with what the type asks for', async () => {
    await drawn(
      'cement-loss',
      {
        mass: '1',
        furnace: '1742',
        weighings: [
          { id: 'a', mass: '0.9782' },
          { id: 'b', mass: '0.978' },
        ],
      },
      { cementType: 'c150.I' },
    );
    await screen.findByRole('img', {
      name: /^loss on ignition: weighing 1 2\.18, weighing 2 2\.2 %; asked for/u,
    });
  });
  it('what a sample weighs against what a whole set takes', async () => {
    await drawn('cement-sample', { mass: '5400', reserve: '2000' });
    await screen.findByRole('img', { name: 'Sample 5.4 kg; a whole set takes 4.85 kg' });
  });
});

describe('a needle with a line', () => {
  it('is let fall by the button, and what stands after its 30 s is offered, not kept', async () => {
    const sources: { onmessage?: (event: { data: string }) => void; onerror?: () => void }[] = [];
    vi.stubGlobal(
      'EventSource',
      class {
        constructor() {
          sources.push(this as never);
        }
        close() {
          return undefined;
        }
      },
    );
    await atStep({
      ...{ method: 'cement-setting', step: 'falls' },
      readings: { contactAt: at(0), mouldedAt: at(7), vicat: 'VN' },
      equipment: [{ number: 'VN', kind: 'vicat apparatus', live: true }],
    });
    const says = (lines: object[]) =>
      act(() => sources.at(-1)?.onmessage?.({ data: JSON.stringify({ simulated: true, lines }) }));
    says([]);
    expect(await screen.findByText('VN reads over its line, a stand-in.')).toBeTruthy();
    press('Needle released');
    await waitFor(() => expect(asked.some(({ useCase }) => useCase === 'work-needle')).toBe(true));
    const line = { seq: 1, t: 2, depth: 31.5, fall: 1, at: Date.now() + 1000 };
    says([{ ...line, settled: false }]);
    expect(await screen.findByText('VN: 31.5 mm')).toBeTruthy();
    expect(screen.getByLabelText('Went in, mm')).toHaveProperty('value', '');
    says([{ ...line, seq: 2, settled: true }]);
    await waitFor(() => expect(screen.getByLabelText('Went in, mm')).toHaveProperty('value', '31.5'));
    expect(saved().some(([column]) => column === 'depth')).toBe(false);
    press('Keep it');
    await waitFor(() => expect(saved()).toContainEqual(['depth', '31.5']));
    press('Put this ring under the stand-in');
    act(() => sources.at(-1)?.onerror?.());
    expect(await screen.findByText('No line to VN: read its scale.')).toBeTruthy();
  });
});
