import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Limits, type Profile } from '../limits';
import { type RunSetup, usableInput } from '../methods';
import { capping } from '../methods/capping';
import type { CappingInput } from '../methods/capping/input';
import { initialCuring } from '../methods/initial-curing';
import { METHODS } from '../methods/registry';
import { clockWaits } from '../methods/stamps';
import { waitsOf } from '../methods/step-clock';
import { DUTIES, dutyWait, readDuty } from '../storage';
import { stateOf } from '../windows';
import { LANES, type Wait } from './wait';

const HOUR = 3_600_000;
const CAST = Date.UTC(2031, 4, 14, 13);
const at = (hours: number): string => new Date(CAST + hours * HOUR).toISOString();
/** A wait in hours after the casting. */
const hours = ({ id, opens, closes, done }: Wait) => {
  const of = (text: string | undefined) => (text === undefined ? null : (Date.parse(text) - CAST) / HOUR);
  return [id, of(opens), of(closes), of(done)];
};

describe('every method that makes something wait', () => {
  it('says it in a place of work that there is, each by a name of its own, and never backwards', () => {
    const waiting = METHODS.filter(({ waits }) => waits);
    expect(waiting.length).toBeGreaterThanOrEqual(2);
    for (const method of waiting)
      for (const system of ['US', 'SI'] as const) {
        const { input, setup } = method.example(system);
        const found = method.waits?.(usableInput(method, input).input, setup) ?? [];
        expect(found.length, method.id).toBeGreaterThan(0);
        const names = found.map(({ id, about }) => `${id} ${about}`);
        expect(new Set(names).size).toBe(names.length);
        for (const wait of found) {
          expect(Object.keys(LANES)).toContain(wait.lane);
          expect(wait.what).toMatch(/^[A-Z]/u);
          if (wait.closes) expect(Date.parse(wait.closes)).toBeGreaterThan(Date.parse(wait.opens));
        }
      }
  });
  it('waits for nothing before anything was read', () => {
    for (const method of METHODS)
      for (const system of ['US', 'SI'] as const)
        expect(waitsOf(method, usableInput(method, { system }).input, {})).toEqual([]);
  });
});

const curing = (
  typed: Record<string, unknown>,
  events: Record<string, string>,
  over: Partial<RunSetup> = {},
): readonly Wait[] =>
  initialCuring.waits?.(usableInput(initialCuring, { system: 'US', ...typed }).input as never, {
    sample: { label: '1', sampledAt: at(-0.5), events },
    ...over,
  }) ?? [];

// ASTM C31/C31M (from memory): at most 48 h on site, eight hours after final set before they are moved, at most 4 h on the
// way, half an hour from the mould into water. By common practice concrete at 70 °F sets six hours after batching.
describe('a box on site', () => {
  const moulded = { moulded: at(0) };
  it('may be moved from the moulding on while nothing is known of the set, and says that it is not', () => {
    const [box] = curing({}, moulded);
    expect(box && hours(box)).toEqual(['collect', 0, 48, null]);
    expect(box?.provisional).toMatch(/not known/u);
  });
  it('hangs on an estimate until the set is measured', () => {
    const [estimated] = curing({ meanTemperature: '70' }, { ...moulded, batched: at(-1) });
    expect(estimated && hours(estimated)).toEqual(['collect', 13, 48, null]);
    expect(estimated?.provisional).toBe('by an estimated set');
    const [measured] = curing({ meanTemperature: '70', setAt: at(4) }, { ...moulded, batched: at(-1) });
    expect(measured && hours(measured)).toEqual(['collect', 12, 48, null]);
    expect(measured?.provisional).toBeUndefined();
  });
  it('is put off by a retarder', () => {
    const [box] = curing({ meanTemperature: '70', retarder: '3' }, { ...moulded, batched: at(-1) });
    expect(box && hours(box)[1]).toBe(16);
  });
  it('stays longer where the agency wants it to', () => {
    // Twenty hours on site at the least: the agency's own row.
    const [box] = curing({ setAt: at(4) }, moulded, { profile: 'agency' });
    expect(box && hours(box)).toEqual(['collect', 20, 48, null]);
  });
  it('is done once it is collected; the way and the water are waited for then', () => {
    const typed = { setAt: at(4), collectedAt: at(24), leftAt: at(24.5) };
    expect(curing(typed, moulded).map(hours)).toEqual([
      ['collect', 12, 48, 24],
      ['transport', 24.5, 28.5, null],
    ]);
    const home = { ...typed, receivedAt: at(26), demouldedAt: at(27) };
    expect(curing(home, moulded).map(hours)).toEqual([
      ['collect', 12, 48, 24],
      ['transport', 24.5, 28.5, 26],
      ['bare', 27, 27.5, null],
    ]);
  });
  it('waits for what its school counts and for the specimens that were made', () => {
    const ids = (profile: Profile, specimens: readonly string[] = []) =>
      curing({}, moulded, {
        profile,
        sample: { label: '1', sampledAt: at(-0.5), events: moulded, specimens: [...specimens] },
      }).map(({ id }) => id);
    expect(ids('astm')).toEqual(['collect']);
    expect(ids('en')).toContain('demould-en');
    expect(ids('astm', ['beam/field'])).toContain('beams-stored');
  });
});

describe('the clocks of a run as waits', () => {
  it('open at the end of the least time, close at the end of the most, and are over by themselves without a most', () => {
    const limits = new Limits({}, 0, 'is');
    const setup = { sample: { label: '1', sampledAt: at(0), events: { received: at(30) } } };
    const [arrival] = clockWaits(usableInput(initialCuring, { system: 'SI' }).input, setup, limits, [
      'arrival',
    ]);
    // A day in the laboratory before the test; nothing is late after it.
    expect(arrival && hours(arrival)).toEqual(['arrival', 54, null, 54]);
  });
});

// ASTM C617/C617M (from memory): sulfur two hours, sixteen from 5,000 psi; gypsum as its maker says.
describe('caps', () => {
  const labels = ['Q-A', 'Q-B'];
  const capped = (typed: Record<string, unknown>, specifiedStrength = '2,600 psi') =>
    (
      capping.waits?.(
        usableInput(capping, { system: 'US', kind: 'sulfur', ...typed }).input as CappingInput,
        {
          zone: 'America/New_York',
          batch: {
            label: 'CB-1',
            seed: 1,
            specimens: labels.map((label) => ({ label, facts: { specifiedStrength } })),
          },
        },
      ) ?? []
    ).map((wait) => [wait.about, ...hours(wait).slice(1)]);
  it('harden from the youngest of the batch, or from a specimen’s own where that is on record', () => {
    expect(capped({ lastCapAt: at(10) })).toEqual([
      ['Q-A', 12, null, 12],
      ['Q-B', 12, null, 12],
    ]);
    const pours = [{ specimen: 'Q-A', end: '2', at: at(9.5) }];
    expect(capped({ lastCapAt: at(10), pours })).toEqual([
      ['Q-A', 11.5, null, 11.5],
      ['Q-B', 12, null, 12],
    ]);
  });
  it('harden longer under strong concrete, and where nothing is known of it', () => {
    expect(capped({ lastCapAt: at(10) }, '6,500 psi')[0]).toEqual(['Q-A', 26, null, 26]);
    expect(capped({ lastCapAt: at(10) }, '')[0]).toEqual(['Q-A', 26, null, 26]);
  });
  it('wait for nothing before the last was poured', () => {
    expect(capped({ firstCapAt: at(9) })).toEqual([]);
  });
});

describe('duties of tanks and rooms', () => {
  const limits = new Limits({}, 0);
  it('are open from the beginning until they are done for the first time', () => {
    for (const duty of DUTIES) {
      const wait = dutyWait(duty, null, CAST, limits, 'US');
      expect(hours(wait)).toEqual([duty, 0, null, null]);
      expect(wait.lane).toBe('tank');
    }
  });
  it('open when they are due soon and close when they are due, as the tank itself says it', () => {
    fc.assert(
      fc.property(fc.constantFrom(...DUTIES), fc.integer({ min: 0, max: 400 }), (duty, day) => {
        const done = CAST + day * 24 * HOUR;
        const { opens, closes = '' } = dutyWait(duty, done, CAST, limits, 'US');
        const said = (now: number) => readDuty(duty, done, now, limits, 'US').state;
        expect(said(Date.parse(opens) - 1000)).toBe('in order');
        expect(said(Date.parse(opens) + 1000)).toBe('due soon');
        expect(said(Date.parse(closes))).toBe('due soon');
        expect(said(Date.parse(closes) + 1000)).toBe('overdue');
      }),
      { numRuns: 60 },
    );
  });
});

describe('the state of a wait', () => {
  const window = { opensAt: 100, closesAt: 200 as number | null };
  it('is open without an end until it is done', () => {
    const open = { ...window, closesAt: null };
    expect([50, 100, 1e9].map((now) => stateOf(open, now, 0.2))).toEqual(['not open yet', 'open', 'open']);
    expect(stateOf(open, 150, 0.2, 120)).toBe('done');
  });
  it('is not done by what is still to come', () => {
    const itself = { opensAt: 100, closesAt: null };
    expect([99, 100].map((now) => stateOf(itself, now, 0.2, 100))).toEqual(['not open yet', 'done']);
  });
  it('goes its one way: not open, open, closing, missed', () => {
    const order = ['not open yet', 'open', 'closing', 'missed'];
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 0, max: 300 }), (a, b) => {
        const place = (now: number) => order.indexOf(stateOf(window, now, 0.2));
        if (a <= b) expect(place(a)).toBeLessThanOrEqual(place(b));
      }),
    );
  });
});
