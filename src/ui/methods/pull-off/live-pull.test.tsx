// @vitest-environment jsdom
import { act, cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { LineOfFrame } from '@/testing/line-of-frame';
import { type Asked, opened, savedReadings, sheetData, standInServer } from '@/testing/sheet';
import { useRun } from '../../runsheet/use-run';
import { LivePull } from './LivePull';

// The curve is drawn on a canvas, which there is none of here.
vi.mock('../../charts/Line', () => ({ Line: () => null }));
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

function Live({
  readings = {},
  facts = {},
}: {
  readonly readings?: Readonly<Record<string, string>>;
  readonly facts?: Readonly<Record<string, string>>;
}) {
  const equipment = [{ number: 'PT-9', kind: 'pull-off tester', name: 'Tester', live: true as const }];
  const data = sheetData({
    method: 'pull-off',
    system: 'SI',
    readings: { tester: 'PT-9', dolly: '50', ...readings },
    setup: { equipment, facts: { pullBy: 'd7234', ...facts } },
  });
  const run = useRun(data, Date.UTC(2031, 5, 12));
  return <LivePull run={run} data={data} readOnly={false} />;
}
const followed = async (props: Parameters<typeof Live>[0] = {}) => {
  await opened(
    'pull-off',
    <div>
      <p>open</p>
      <Live {...props} />
    </div>,
  );
  await waitFor(() => expect(LineOfFrame.newest?.url).toBe('/api/press/PT-9'));
};
const sent = (...told: Parameters<LineOfFrame['send']>) => act(async () => LineOfFrame.newest?.send(...told));
/** kN over fifty readings a second: so many MPa a second on a dolly of 50 mm. */
const ramp = (mpa: number, seconds: number): number[] =>
  Array.from({ length: 50 * seconds }, (_, index) => (mpa * (index / 50) * 1963.5) / 1000);

describe('a pull that is followed live', () => {
  it('tells its rate in its corridor, finds the break by itself, and takes force and record', async () => {
    await followed();
    await screen.findByText(/^Following PT-9/u);
    const loads = ramp(0.15, 12);
    await sent(1, loads);
    await screen.findByText('In its corridor.');
    await sent(601, [3.55, 0, 0]);
    await screen.findByText(/^It let go at 1\.8\d MPa/u);
    await waitFor(() => expect(saved()).toMatchObject({ shows: 'force', ended: 'broke' }));
    expect(Number(saved().force)).toBeCloseTo(3550, -1);
    const rows = (saved().trace ?? '').split('\n').map((row) => row.split(' ').map(Number));
    expect(rows.length).toBeGreaterThan(80);
    expect(rows.at(-1)?.[1]).toBeCloseTo(1.808, 2);
    expect(rows.every(([at = 0], place) => place === 0 || at > (rows[place - 1]?.[0] ?? 0))).toBe(true);
    expect(screen.getByText(/MPa\/s from a tenth of it on/u)).toBeDefined();
  });
  it('says that it is too fast, and too slow where the standard has an end below', async () => {
    await followed();
    await sent(1, ramp(0.4, 4));
    await screen.findByText('Too fast: slower strokes. So it reads high.');
    cleanup();
    await followed({ facts: { pullBy: 'c1583' }, readings: { core1: '50', core2: '50' } });
    await sent(1, ramp(0.012, 20));
    await screen.findByText('Too slow: keep the strokes following one another.');
  });
  it('wants the area first, of a core both of its diameters', async () => {
    await followed({ readings: { dolly: '' } });
    await screen.findByText(/Its dolly, or its core, first/u);
    cleanup();
    await followed({ facts: { pullBy: 'c1583' }, readings: { core1: '50' } });
    await sent(1, ramp(0.03, 20));
    // Without the second the dolly stands in.
    await screen.findByText('In its corridor.');
  });
  it('lets stand what somebody read off', async () => {
    await followed({ readings: { force: '2900' } });
    await sent(1, [...ramp(0.15, 8), 0, 0]);
    await waitFor(() => expect(saved()).toHaveProperty('trace'));
    expect(saved()).not.toHaveProperty('force');
  });
  it('works the pump of a stand-in as long and as far as it is told, and says how to end in a stroke', async () => {
    await followed({ facts: { pullOffLeast: '1.4 MPa' } });
    await sent(1, [0, 0], false);
    expect(screen.queryByRole('button', { name: 'Pump once' })).toBeNull();
    await sent(3, [0, 0]);
    await screen.findByText('A stand-in tester: what it pulls on is made up.');
    expect(screen.getByText(/^For a break at 2\.10 MPa in the middle of a stroke/u)).toBeDefined();
    fireEvent.change(screen.getByRole('slider', { name: 'Seconds a stroke' }), { target: { value: '6' } });
    fireEvent.change(screen.getByRole('slider', { name: 'Part of a stroke' }), { target: { value: '0.5' } });
    fireEvent.click(screen.getByRole('button', { name: 'Pump once' }));
    await waitFor(() =>
      expect(asked.at(-1)).toEqual({
        useCase: 'pump-frame',
        data: { runId: 'run-1', what: 'stroke', seconds: 6, part: 0.5 },
      }),
    );
    for (const [name, what] of [
      ['Hook on the dolly', 'place'],
      ['Open the valve', 'release'],
    ] as const) {
      fireEvent.click(screen.getByRole('button', { name }));
      await waitFor(() => expect(asked.at(-1)?.data).toEqual({ runId: 'run-1', what }));
    }
  });
  it('says when the line is down', async () => {
    await followed();
    await sent(1, ramp(0.1, 2));
    await act(async () => LineOfFrame.newest?.onerror?.());
    await screen.findByText('The line to the tester is down: what stands here is old.');
  });
  it('is not there for a tester without a line', async () => {
    await opened(
      'pull-off',
      <div>
        <p>open</p>
        <Live readings={{ tester: 'PT-8' }} />
      </div>,
    );
    expect(screen.queryByRole('region')).toBeNull();
  });
});
