// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { complete } from '@/core/methods/complete';
import { threeEdge } from '@/core/methods/three-edge';
import { usableInput } from '@/core/methods/validate';
import { LineOfFrame } from '@/testing/line-of-frame';
import { type Asked, opened, savedReadings, sheetData, standInServer } from '@/testing/sheet';
import { useRun } from '../../runsheet/use-run';
import { ThreeEdgeBench } from './Bench';
import { LivePipe } from './LivePipe';
import { ProbeCrack } from './ProbeCrack';
import { Section } from './Section';

vi.mock('../../charts/Line', () => ({
  Line: (props: { 'aria-label': string }) => <div role="img" aria-label={props['aria-label']} />,
}));

let asked: readonly Asked[] = [];
const saved = (): Record<string, string> =>
  Object.fromEntries(
    savedReadings(asked.filter(({ useCase }) => useCase === 'save-readings')).map(({ field, text }) => [
      field,
      text,
    ]),
  );
beforeEach(() => {
  localStorage.clear();
  LineOfFrame.newest = undefined;
  vi.stubGlobal('EventSource', LineOfFrame);
  asked = standInServer();
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

// 24 in, class III, 8 ft: 21,600 lbf, 96.08 kN; three quarters of it 72.06 kN.
const FACTS = { design: 'c76-III', span: '24 in', joint: 'plain', overall: '8 ft', wallLetter: 'B' };
function Live({
  readings = {},
  Instrument = LivePipe,
}: {
  readonly readings?: Readonly<Record<string, string>>;
  readonly Instrument?: typeof LivePipe;
}) {
  const data = sheetData({
    method: 'three-edge',
    readings: { machine: 'PB-9', ...readings },
    setup: {
      equipment: [{ number: 'PB-9', kind: 'pipe press', name: 'Frame', live: true as const }],
      facts: FACTS,
    },
  });
  const run = useRun(data, Date.UTC(2031, 5, 12));
  return <Instrument run={run} data={data} readOnly={false} />;
}
const followed = async (props: Parameters<typeof Live>[0] = {}) => {
  await opened(
    'three-edge',
    <div>
      <p>open</p>
      <Live {...props} />
    </div>,
  );
  await waitFor(() => expect(LineOfFrame.newest?.url).toContain('/api/press/PB-9'));
};
const sent = (...told: Parameters<LineOfFrame['send']>) => act(async () => LineOfFrame.newest?.send(...told));
/** Fifty readings a second from a load to another at so many kN a minute. */
const ramp = (from: number, to: number, rate: number): number[] => {
  const count = Math.round((Math.abs(to - from) / rate) * 60 * 50);
  return Array.from({ length: count }, (_, place) => from + ((to - from) * (place + 1)) / count);
};
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

describe('a pipe that is followed live', () => {
  it('is told both rates, and takes the loads off the gauge by one press each', async () => {
    await followed();
    await sent(1, [0, 0.1]);
    await screen.findByText(/^Following PB-9/u);
    const first = ramp(0, 60, 240);
    await sent(3, first);
    await screen.findByText('First rate.');
    const soon = ramp(60, 70, 240);
    await sent(3 + first.length, soon);
    await screen.findByText(/Get ready/u);
    const second = ramp(70, 96.2, 40);
    await sent(3 + first.length + soon.length, second);
    await screen.findByText(/^Design load: stop, hold/u);
    press('Probed, not the crack');
    press('First hairline now');
    // 96.2 kN.
    await waitFor(() => expect(saved()).toMatchObject({ sound: '21,630', hairline: '21,630' }));
    press('Stopped unbroken');
    await waitFor(() => expect(saved()).toMatchObject({ most: '21,630', ended: 'stopped' }));
    const rows = (saved().trace ?? '').split('\n').map((row) => row.split(' ').map(Number));
    expect(rows.length).toBeGreaterThan(60);
    expect(rows.every(([at = 0], place) => place === 0 || at > (rows[place - 1]?.[0] ?? 0))).toBe(true);
  });
  it('says that it is too fast in either part, and when the line is down', async () => {
    await followed();
    await sent(1, [0, ...ramp(0, 40, 290)]);
    await screen.findByText('Too fast for the first rate: ease the pump.');
    await act(async () => LineOfFrame.newest?.onerror?.());
    await screen.findByText('The line to the machine is down: what stands here is old.');
    cleanup();
    await followed();
    await sent(1, [0, ...ramp(0, 74, 200), ...ramp(74, 86, 90)]);
    await screen.findByText(/^Too fast past three quarters/u);
  });
  it('works the pump of a stand-in', async () => {
    await followed();
    await sent(1, [0, 0], false);
    expect(screen.queryByRole('button', { name: 'Pump' })).toBeNull();
    await sent(3, [0, 0]);
    await screen.findByText(/^A stand-in press/u);
    // Four fifths of a quarter more than the first rate, 60,000 lbf/min: that rate, in kN.
    press('Pump');
    await waitFor(() =>
      expect(asked.at(-1)).toMatchObject({
        useCase: 'pump-frame',
        data: { runId: 'run-1', what: 'flow', times: 1 },
      }),
    );
    expect(Number(asked.at(-1)?.data.rate)).toBeCloseTo(266.9, 1);
    press('Hold');
    await waitFor(() => expect(asked.at(-1)?.data).toMatchObject({ what: 'flow', rate: 0 }));
    fireEvent.click(screen.getByRole('switch', { name: 'Ten times as fast' }));
    press('Hold');
    await waitFor(() => expect(asked.at(-1)?.data).toMatchObject({ times: 10 }));
    for (const [name, what] of [
      ['Set the pipe', 'place'],
      ['Open the valve', 'release'],
    ] as const) {
      press(name);
      await waitFor(() => expect(asked.at(-1)?.data).toMatchObject({ runId: 'run-1', what }));
    }
  });
});

/** A run at a machine without a line, whose gauge shows the load, or pressure on two rams of 20 in². */
function ByHand({
  readings = {},
  rams = false,
  pump = false,
}: {
  readonly readings?: Readonly<Record<string, string>>;
  readonly rams?: boolean;
  readonly pump?: boolean;
}) {
  const data = sheetData({
    method: 'three-edge',
    readings: { machine: 'PB-8', ...readings },
    setup: {
      equipment: [
        {
          ...{ number: 'PB-8', kind: 'pipe press', name: 'Frame' },
          ...(rams
            ? { machine: { rams: '2', ramArea: '20 in2', ...(pump ? { strokeVolume: '1 in3' } : {}) } }
            : {}),
        },
      ],
      facts: FACTS,
    },
  });
  const run = useRun(data, Date.UTC(2031, 5, 12));
  return <LivePipe run={run} data={data} readOnly={false} />;
}

describe('a pipe that is loaded by a gauge without a line', () => {
  const rows = () =>
    savedReadings(asked.filter(({ useCase }) => useCase === 'save-readings')).map(({ field, text }) => [
      field.split('/').at(-1),
      text,
    ]);
  it('is told its rate from mark to mark by taps, and one can be taken back', async () => {
    const clock = vi.spyOn(performance, 'now').mockReturnValue(10_000);
    await opened('three-edge', <ByHand />);
    // A fifteenth of 21,600 lbf, as marks go.
    expect(screen.getByLabelText('From mark to mark, lbf')).toHaveProperty('value', '2000');
    press('The load begins');
    clock.mockReturnValue(13_000);
    press('Mark passed');
    await screen.findByText('Kept.');
    await waitFor(() =>
      expect(rows()).toEqual([
        ['seconds', '0.0'],
        ['load', '0'],
        ['seconds', '3.0'],
        ['load', '2000'],
      ]),
    );
    // 2,000 lbf in 3 s are 40,000 a minute; in 1.5 s they are 80,000.
    expect(screen.getByText('40,000')).toBeDefined();
    clock.mockReturnValue(14_500);
    fireEvent.keyDown(document.body, { key: ' ' });
    await screen.findByText('Too fast: ease the pump.');
    press('Take it back');
    await screen.findByText('Kept.');
    clock.mockRestore();
  });
  it('speaks in the pressure that its gauge shows', async () => {
    await opened('three-edge', <ByHand rams />);
    // 21,600 lbf on 40 in² are 540 psi.
    expect(screen.getByLabelText('From mark to mark, psi')).toHaveProperty('value', '50');
    press('The load begins');
    await waitFor(() => expect(rows()).toContainEqual(['pressure', '0']));
  });
  it('tells how many strokes of the pump keep the rate, once some were counted', async () => {
    const clock = vi.spyOn(performance, 'now').mockReturnValue(10_000);
    await opened('three-edge', <ByHand rams pump />);
    press('The load begins');
    for (let place = 0; place < 4; place += 1) press(`Stroke of the pump: ${place}`);
    clock.mockReturnValue(14_000);
    press('Mark passed');
    // 50 psi on 40 in² in 4 strokes, 500 lbf each; 60,000 lbf/min are 10,000 in 10 s.
    await screen.findByText('20.0');
    // 1 in³ on 40 in² is 0.025 in: 500 lbf over that are 20,000 lbf/in.
    expect(screen.getByText(/^Frame and pipe give 20,000 lbf\/in/u)).toBeDefined();
    press('Take it back');
    expect(screen.getByRole('button', { name: 'Stroke of the pump: 4' })).toBeDefined();
    clock.mockRestore();
  });
  it('does not go on with rows of another watch', async () => {
    await opened('three-edge', <ByHand readings={{ 'log/a1/seconds': '0', 'log/a1/load': '0' }} />);
    expect(screen.getByText('There are rows already: take them back to tap anew.')).toBeDefined();
    expect(screen.getByRole('button', { name: 'The load begins' })).toHaveProperty('disabled', true);
  });
});

const probed = (...at: readonly (readonly [at: number, enters: boolean])[]): Record<string, string> =>
  Object.fromEntries(
    at.flatMap(([place, enters], order) => [
      [`probes/p${order}/at`, String(place)],
      [`probes/p${order}/enters`, enters ? 'yes' : 'no'],
      [`probes/p${order}/where`, 'invert'],
    ]),
  );

describe('a crack that is probed', () => {
  it('says where to probe on, and that it is the crack the moment the places make it', async () => {
    await followed({
      Instrument: ProbeCrack,
      readings: probed([20, true], [24, true], [28, true], [32, true]),
    });
    await screen.findByText('It cannot be told yet: probe where the arrows are.');
    expect(screen.getByRole('img', { name: /invert: 4 probes, probe on/u })).toBeDefined();
    cleanup();
    await followed({
      Instrument: ProbeCrack,
      readings: probed([20, true], [23, true], [26, true], [29, true], [32, true]),
    });
    await screen.findByText(/^It is the crack: over a foot/u);
  });
  it('takes a place by a tap, and the answer of the leaf by a press', async () => {
    await followed({ Instrument: ProbeCrack });
    const barrel = screen.getByRole('img', { name: /^Barrel unrolled, 96 in long\. Nothing probed yet/u });
    vi.spyOn(barrel, 'getBoundingClientRect').mockReturnValue({ left: 0, width: 620 } as DOMRect);
    // A quarter of the way from the spigot: 96 + 512/4.
    fireEvent.click(barrel, { clientX: 96 + 128 });
    await screen.findByText('24 in: the leaf');
    press('Goes in');
    await waitFor(() => expect(Object.values(saved())).toEqual(['24', 'yes', 'invert']));
    fireEvent.click(barrel, { clientX: 96 + 128 });
    press('Not here');
    expect(screen.queryByText('24 in: the leaf')).toBeNull();
  });
});

describe('what is drawn of a pipe', () => {
  it('a section says how far its strips stand apart, and whether they may', () => {
    const section = (apart: number) =>
      render(
        <Section
          {...{ shape: 'round', span: 24, rise: null, wall: 3, apart, least: 1, most: 2, off: 0.125 }}
          {...{ beamWide: 8, beamHigh: 12, unit: 'in' }}
        />,
      );
    section(1.5);
    expect(screen.getByText('✓ strips 1.5 in, 1 to 2 in allowed')).toBeDefined();
    cleanup();
    section(2.25);
    expect(screen.getByText('✕ strips 2.25 in, 1 to 2 in allowed')).toBeDefined();
  });
  it.each(['round', 'arch', 'flat', 'upright', null])(
    'a pipe of the shape %s stands above its strips',
    (shape) => {
      const { container } = render(
        <Section
          {...{ shape, span: 60, rise: 38, wall: null, apart: null, least: null, most: null, off: null }}
          {...{ beamWide: null, beamHigh: null, unit: 'in' }}
        />,
      );
      expect(container.innerHTML).not.toContain('NaN');
    },
  );
  it('the bench draws what its method computes, from nothing to all of it', () => {
    const method = complete(threeEdge);
    for (const system of ['US', 'SI'] as const) {
      const { input, setup } = method.example(system);
      const whole = method.compute(usableInput(method, input).input as never, setup).picture;
      const { container } = render(<ThreeEdgeBench picture={whole} />);
      expect(screen.getByText('It is the crack')).toBeDefined();
      expect(container.innerHTML).not.toContain('NaN');
      expect(screen.getByRole('img', { name: /invert: 6 probes, it is the crack$/u })).toBeDefined();
      cleanup();
      const none = method.compute(usableInput(method, { system }).input as never, {}).picture;
      render(<ThreeEdgeBench picture={none} />);
      expect(screen.getByText(/^Its loads stand here once class/u)).toBeDefined();
      cleanup();
    }
  });
});
