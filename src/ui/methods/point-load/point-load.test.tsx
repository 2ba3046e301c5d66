// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Limits } from '@/core/limits';
import { usableInput } from '@/core/methods';
import { complete } from '@/core/methods/complete';
import { pointLoad } from '@/core/methods/point-load';
import { derives } from '@/core/methods/point-load/group';
import { exact } from '@/core/quantity';
import { LineOfFrame } from '@/testing/line-of-frame';
import { type Asked, opened, savedReadings, sheetData, standInServer } from '@/testing/sheet';
import { Results } from '../../runsheet/Results';
import { useRun } from '../../runsheet/use-run';
import { LumpAdvisor } from './Advisor';
import { PointLoadBench } from './Bench';
import { PointLoadGroup } from './Group';
import { LoadClock } from './LoadClock';

let asked: readonly Asked[] = [];
const saved = (): Record<string, string> =>
  Object.fromEntries(savedReadings(asked).map(({ field, text }) => [field, text]));
beforeEach(() => {
  localStorage.clear();
  asked = standInServer();
});
afterEach(() => {
  vi.useRealTimers();
  cleanup();
  vi.unstubAllGlobals();
});

function Sheet({ readOnly = false }: { readOnly?: boolean }) {
  const data = sheetData({ method: 'point-load', system: 'SI' });
  const run = useRun(data, Date.UTC(2031, 5, 12));
  return <LumpAdvisor run={run} data={data} readOnly={readOnly} />;
}
const type = (label: RegExp, text: string): boolean =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });

describe('the advisor of a lump', () => {
  it('puts the best way first, says what is wrong with the others, and takes the sizes over', async () => {
    await opened('point-load', <Sheet />);
    expect(screen.queryByText(/Best/u)).toBeNull();
    type(/First size/u, '80');
    type(/Second size/u, '38');
    type(/Third size/u, '57');
    expect(screen.getAllByText(/Best|Not like this/u).map(({ textContent }) => textContent)).toEqual([
      '✓ Best',
      '✕ Not like this',
      '✕ Not like this',
    ]);
    expect(screen.getByText('38 mm between the points, 57 mm wide: 0.67.')).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'Take these sizes' }));
    await waitFor(() => expect(saved()).toEqual({ depth: '38', width1: '57', freeEnd: '40' }));
  });
  it('asks for a length where none was typed, and takes nothing over where nothing can be written', async () => {
    await opened('point-load', <Sheet readOnly />);
    type(/First size/u, 'large');
    expect(screen.getByText('A length is expected.')).toBeDefined();
    for (const [label, text] of [
      [/First size/u, '50'],
      [/Second size/u, '60'],
      [/Third size/u, '3.5 in'],
    ] as const)
      type(label, text);
    expect(screen.getByText(/Best/u)).toBeDefined();
    expect(screen.queryByRole('button', { name: 'Take these sizes' })).toBeNull();
  });
});

describe('the bench of a piece', () => {
  const shown = (depth: number | null, width: number | null, more: object = {}) =>
    render(
      <PointLoadBench
        picture={{
          kind: 'point-load',
          values: {
            type: 'lump',
            depth,
            width,
            top: width,
            bottom: width,
            freeEnd: 30,
            diameter: 55,
            system: 'SI',
            least: 30,
            most: 85,
            lowRatio: 0.3,
            highRatio: 1,
            share: 0.5,
            ...more,
          },
        }}
      />,
    );
  it('says in words and by its place whether the method takes the shape', () => {
    shown(44, 62);
    expect(screen.getByText('✓ Shape as the method takes it')).toBeDefined();
    expect(screen.getByText(/44 mm between the points, 62 mm wide, equal to a core of 55 mm/u)).toBeDefined();
    cleanup();
    shown(63, 62);
    expect(screen.getByText('✕ Outside what the method takes')).toBeDefined();
    cleanup();
    shown(90, 95);
    expect(screen.getByText('✕ Outside what the method takes')).toBeDefined();
  });
  it('waits for the sizes, and has no field of widths for a core across', () => {
    shown(null, null);
    expect(screen.getByText(/stands here between the points/u)).toBeDefined();
    cleanup();
    shown(54, 54, { type: 'diametral' });
    expect(screen.queryByText(/Shape as the method/u)).toBeNull();
    expect(screen.getByRole('img', { name: /between the points/u })).toBeDefined();
  });
});

describe('an awkward lump', () => {
  it('is given by six sizes, and both of its widths are taken over', async () => {
    await opened('point-load', <Sheet />);
    fireEvent.click(screen.getByRole('checkbox', { name: /not parallel/u }));
    for (const [label, text] of [
      [/First size, mm/u, '80'],
      [/Second size, mm/u, '38'],
      [/Third size, mm/u, '54'],
      [/First size, other end/u, '84'],
      [/Second size, other end/u, '40'],
    ] as const)
      type(label, text);
    expect(screen.queryByText(/Best/u)).toBeNull();
    type(/Third size, other end/u, '62');
    expect(screen.getByText('39 mm between the points, 58 mm wide: 0.67.')).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'Take these sizes' }));
    await waitFor(() => expect(saved()).toEqual({ depth: '39', width1: '54', width2: '62', freeEnd: '41' }));
  });
});

describe('the load that is expected of a piece', () => {
  const picture = (over: object) => ({
    kind: 'point-load',
    values: {
      system: 'SI',
      depth: 45,
      width: 60,
      diameter: 58.6,
      soonest: 10,
      latest: 60,
      expected: 12.4,
      ...over,
    },
  });
  it('is told with its rate, and with the strokes of a pump', () => {
    const { rerender } = render(<PointLoadBench picture={picture({})} />);
    expect(screen.getByText('About 12 kN is expected: 0.21 to 1.2 kN/s.')).toBeDefined();
    rerender(<PointLoadBench picture={picture({ stroke: 0.6 })} />);
    expect(screen.getByText(/21 strokes, one every 0\.48 to 2\.9 s\./u)).toBeDefined();
    rerender(<PointLoadBench picture={picture({ expected: null })} />);
    expect(screen.queryByText(/is expected/u)).toBeNull();
  });
});

describe('a group drawn', () => {
  const same = {
    label: 'L',
    value: '3.0',
    used: true,
    quantities: { 'equivalent diameter': '55', 'failure load': '9.1' },
  };
  const PLOT = derives(exact(3), {
    pieces: [same, same, same],
    rejected: 0,
    facts: {},
    asked: () => undefined,
    system: 'SI',
    unit: 'MPa',
    limits: new Limits(),
    mode: 'half-even',
  }).plot;
  const piece = (label: string, value: number | null, used = true) => ({
    id: label,
    label,
    value,
    used,
  });
  const draw = (pieces: ReturnType<typeof piece>[], mean: number | null = 3.1) =>
    render(<PointLoadGroup pieces={pieces} mean={mean} unit="MPa" plot={PLOT} />);
  it('shows every valid piece, those left out of the mean hollow and by name', () => {
    const { container } = draw([
      piece('L1', 2.4, false),
      piece('L2', 3.0),
      piece('L3', 3.2),
      piece('L4', 4.1, false),
      piece('L5', null),
    ]);
    const drawn = [...container.querySelectorAll('circle')];
    expect(drawn).toHaveLength(4);
    expect(drawn.filter((each) => each.getAttribute('stroke-dasharray'))).toHaveLength(2);
    expect(screen.getByText(/left out of the mean by its rule: L1, L4\./u)).toBeDefined();
    expect(screen.getByRole('img', { name: /4 indices from 2\.4 to 4\.1 MPa, mean 3\.1/u })).toBeDefined();
    expect(screen.getByText(/No line over sizes: pieces of one size carry none/u)).toBeDefined();
  });
  it('is drawn of one piece, and not at all of none', () => {
    const { container, rerender } = draw([piece('L1', 2.4)], null);
    expect(container.querySelectorAll('circle')).toHaveLength(1);
    expect(screen.getByText(/None is left out/u)).toBeDefined();
    rerender(<PointLoadGroup pieces={[piece('L1', null)]} mean={null} unit="MPa" plot={PLOT} />);
    expect(container.querySelectorAll('circle')).toHaveLength(0);
  });
  it('puts pieces of one index above one another', () => {
    const { container } = draw([piece('L1', 3), piece('L2', 3), piece('L3', 3)]);
    const heights = [...container.querySelectorAll('circle')].map((each) => each.getAttribute('cy'));
    expect(new Set(heights).size).toBe(3);
  });
});

it('the number of a piece is kept back until it is said how it broke', () => {
  const { input, setup } = pointLoad.example('SI');
  const method = complete(pointLoad as never);
  const outcome = method.compute(usableInput(method, input).input, setup);
  const { rerender } = render(<Results outcome={outcome} method={method} values={{}} />);
  expect(screen.queryByTestId('main-result')).toBeNull();
  expect(screen.getByText('The number is kept back until it is said: how it broke.')).toBeDefined();
  rerender(<Results outcome={outcome} method={method} values={{ fracture: 'through' }} />);
  expect(screen.getByTestId('main-result').textContent).toMatch(/^\d\.\d\d$/u);
});

function Clock({ readOnly = false }: { readOnly?: boolean }) {
  const data = sheetData({ method: 'point-load', system: 'SI' });
  const run = useRun(data, Date.UTC(2031, 5, 12));
  return <LoadClock run={run} data={data} readOnly={readOnly} />;
}

// The curve is drawn on a canvas, which there is none of here.
vi.mock('../../charts/Line', () => ({ Line: () => null }));

function Live({ readings = {} }: { readings?: Readonly<Record<string, string>> }) {
  const equipment = [{ number: 'PL-9', kind: 'point load frame', name: 'Frame', live: true as const }];
  const data = sheetData({
    method: 'point-load',
    system: 'SI',
    readings: { frame: 'PL-9', ...readings },
    setup: { equipment },
  });
  const run = useRun(data, Date.UTC(2031, 5, 12));
  return <LoadClock run={run} data={data} readOnly={false} />;
}

describe('a frame that is followed live', () => {
  const steps = Array.from({ length: 600 }, (_, index) => Math.floor(index / 50) * 0.9);
  it('begins with the first load, finds the split by itself, and fills in what is empty', async () => {
    vi.stubGlobal('EventSource', LineOfFrame);
    await opened('point-load', <Live />);
    expect(LineOfFrame.newest?.url).toBe('/api/press/PL-9');
    await act(async () => LineOfFrame.newest?.send(1, steps));
    await waitFor(() => expect(screen.getByText('✓ Now it may fail, until 60 s')).toBeDefined());
    expect(saved()).not.toHaveProperty('load');
    await act(async () => LineOfFrame.newest?.send(601, [9.9, 10.4, 11.26, 0.1, 0.1]));
    await waitFor(() => expect(saved()).toMatchObject({ load: '11.26', time: '11' }));
    expect(screen.getByText(/^Split at 11.26 kN after 11\.0 s/u)).toBeDefined();
    fireEvent.click(await screen.findByRole('button', { name: 'Pump once' }));
    await waitFor(() =>
      expect(asked.at(-1)).toMatchObject({ useCase: 'pump-frame', data: { what: 'stroke' } }),
    );
    // By hand it is as before.
    expect(screen.getByRole('button', { name: 'The load begins' })).toBeDefined();
  });

  const followed = async (readings: Readonly<Record<string, string>> = {}) => {
    vi.stubGlobal('EventSource', LineOfFrame);
    await opened('point-load', <Live readings={readings} />);
    await screen.findByText('Following PL-9: the clock begins with the first load.');
  };
  const sent = (...told: Parameters<LineOfFrame['send']>) =>
    act(async () => LineOfFrame.newest?.send(...told));

  it('lets stand what somebody has read off', async () => {
    await followed({ load: '10.9' });
    await sent(1, [...steps, 9.9, 11.26, 0.1]);
    await waitFor(() => expect(saved()).toHaveProperty('time'));
    expect(saved()).not.toHaveProperty('load');
  });

  it('says how it goes: too soon, in its time, too late', async () => {
    await followed();
    await sent(1, steps.slice(0, 300));
    await screen.findByText('Not before 10 s');
    const on = Array.from({ length: 3200 }, () => 9.9);
    await sent(301, [...steps.slice(300), ...on]);
    await screen.findByText(/^✕ Past 60 s/u);
    expect(saved()).toEqual({});
  });

  it('says when the line is down, and begins anew for another try', async () => {
    await followed();
    await sent(1, steps);
    await act(async () => LineOfFrame.newest?.onerror?.());
    await screen.findByText('The line to the frame is down: what stands here is old.');
    await sent(601, [9.9]);
    await screen.findByText(/^✓ Now it may fail/u);
    fireEvent.click(screen.getByRole('button', { name: 'Another try' }));
    await screen.findByText('Following PL-9: the clock begins with the first load.');
  });

  it('offers to work the pump of a stand-in only, and says what hinders it', async () => {
    await followed();
    await sent(1, [0, 0], false);
    expect(screen.queryByRole('button', { name: 'Pump once' })).toBeNull();
    await sent(3, [0, 0]);
    await screen.findByText('A stand-in frame: its pieces are made up.');
    for (const [name, what] of [
      ['Piece in', 'place'],
      ['Pump once', 'stroke'],
      ['Open the valve', 'release'],
    ] as const) {
      fireEvent.click(screen.getByRole('button', { name }));
      await waitFor(() =>
        expect(asked.at(-1)).toEqual({ useCase: 'pump-frame', data: { runId: 'run-1', what } }),
      );
    }
  });

  it('is not there for a frame without a line, nor for another that was chosen', async () => {
    vi.stubGlobal('EventSource', LineOfFrame);
    LineOfFrame.newest = undefined;
    await opened('point-load', <Live readings={{ frame: 'PL-8' }} />);
    await screen.findByRole('button', { name: 'The load begins' });
    expect(LineOfFrame.newest).toBeUndefined();
  });
});

describe('the clock of the load', () => {
  const begin = async () => {
    await opened('point-load', <Clock />);
    vi.useFakeTimers({ now: Date.UTC(2031, 5, 12, 14), toFake: ['Date', 'setInterval', 'clearInterval'] });
    fireEvent.click(screen.getByRole('button', { name: 'The load begins' }));
  };
  const wait = (seconds: number) => act(() => vi.advanceTimersByTime(seconds * 1000));
  it('says when it may fail, when it is time to pump faster, and when it is too late', async () => {
    await begin();
    wait(4);
    expect(screen.getByText('Not before 10 s')).toBeDefined();
    wait(4.5);
    expect(screen.getByText(/^Slower, if it is near/u)).toBeDefined();
    wait(1.5);
    expect(screen.getByRole('timer').textContent).toBe('10.0 s');
    expect(screen.getByText('✓ Now it may fail, until 60 s')).toBeDefined();
    wait(43);
    expect(screen.getByText('Faster: 7 s left')).toBeDefined();
    wait(7);
    expect(screen.getByText('Faster: 0 s left')).toBeDefined();
    wait(0.2);
    expect(screen.getByText(/^✕ Past 60 s/u)).toBeDefined();
  });
  it('takes the seconds, cut down, and the moment it broke', async () => {
    await begin();
    wait(9.95);
    fireEvent.click(screen.getByRole('button', { name: 'It broke' }));
    vi.useRealTimers();
    await waitFor(() =>
      expect(saved()).toMatchObject({
        time: '9.9',
        testedAt: expect.stringMatching(/^2031-06-12T14:00:09/u),
      }),
    );
    expect(screen.getByRole('button', { name: 'The load begins' })).toBeDefined();
  });
  it('is not there where nothing can be written', async () => {
    await opened(
      'point-load',
      <>
        <p>sheet</p>
        <Clock readOnly />
      </>,
    );
    expect(screen.queryByRole('button', { name: 'The load begins' })).toBeNull();
  });
});
