import { describe, expect, it } from 'vitest';
import type { Facts } from '../facts';
import { findMethod } from '../registry';
import { usableInput } from '../validate';

const joint = findMethod('pipe-joint') as NonNullable<ReturnType<typeof findMethod>>;
const wall = findMethod('pipe-permeability') as NonNullable<ReturnType<typeof findMethod>>;
const start = Date.UTC(2031, 8, 19, 14);
const at = (minutes: number): string => new Date(start + minutes * 60_000).toISOString();
const FACTS = { design: 'c76-III', span: '48 in', joint: 'plain', overall: '8 ft' };

/** The gauge at minutes after the start, psi. */
function held(
  read: readonly (readonly [minutes: number, psi: string])[],
  more: Readonly<Record<string, unknown>> = {},
  facts: Facts = FACTS,
) {
  const { input } = usableInput(joint, {
    system: 'US',
    kind: 'straight',
    readings: read.map(([minutes, pressure], place) => ({ id: `r${place}`, pressure, at: at(minutes) })),
    ...more,
  });
  const setup = { facts };
  return { ...joint.compute(input, setup), waits: joint.waits?.(input, setup) ?? [] };
}
const minutes = ({ results }: ReturnType<typeof held>): number | undefined =>
  results[0] && Number(results[0].reported);
const state = ({ verdicts }: ReturnType<typeof held>) => verdicts[0]?.state;

// ASTM C443 (from memory): 13 psi in a straight line, 10 psi opened, for ten minutes without a leak.
describe('a joint under water pressure', () => {
  it('is tight when it held for ten minutes without a break', () => {
    const done = held(
      [
        [0, '13.5'],
        [5, '13.5'],
        [10, '13'],
      ],
      { endedAt: at(10) },
    );
    expect([minutes(done), state(done)]).toEqual([10, 'meets']);
    // Cut, never rounded: 9 min 59 s are nine minutes.
    const short = held(
      [
        [0, '13'],
        [9.99, '13'],
      ],
      { endedAt: at(9.99) },
    );
    expect([minutes(short), state(short)]).toEqual([9, 'does not meet']);
  });
  it('begins anew where the pressure falls below, and waits for its end from then', () => {
    const fell = held([
      [0, '13'],
      [6, '13'],
      [7, '12.5'],
      [8, '13'],
      [14, '13'],
    ]);
    expect([minutes(fell), state(fell)]).toEqual([6, 'not yet determinable']);
    expect(fell.waits).toMatchObject([{ opens: at(18) }]);
    expect(
      held([
        [0, '13'],
        [6, '12'],
      ]).waits,
    ).toEqual([]);
  });
  it('leaks where water runs, not where beads stick', () => {
    const read = [
      [0, '13'],
      [10, '13'],
    ] as const;
    const seen = (what: string) => held(read, { leaks: [{ where: '6 o’clock', what }], endedAt: at(10) });
    expect(state(seen('beads'))).toBe('meets');
    expect(seen('runs').verdicts[0]).toMatchObject({ state: 'does not meet' });
    expect(seen('runs').verdicts[0]?.sentence).toContain('6 o’clock');
  });
  it('opened on one side is held at less, a barrel at what its owner asks', () => {
    const read = [
      [0, '10'],
      [10, '10'],
    ] as const;
    expect(state(held(read, { kind: 'deflected', endedAt: at(10) }))).toBe('meets');
    expect(state(held(read, { endedAt: at(10) }))).toBe('does not meet');
    expect(held(read, { kind: 'barrel' }).findings.map(({ id }) => id)).toContain('joint.asked');
    expect(state(held(read, { kind: 'barrel', asked: '8', endedAt: at(10) }))).toBe('meets');
  });
  it('wants its load where it is loaded, and says that far more is a slip', () => {
    const read = [
      [0, '13'],
      [10, '13'],
    ] as const;
    const ids = (more: object, pressed = read as Parameters<typeof held>[0]) =>
      held(pressed, more as never).findings.map(({ id }) => id);
    // 150 lbf for each of 48 in.
    expect(ids({ kind: 'loaded', load: '7,100' })).toContain('joint.load');
    expect(ids({ kind: 'loaded', load: '7,200' })).not.toContain('joint.load');
    expect(ids({}, [[0, '130']])).toContain('joint.over');
    expect(ids({ tied: 'false' })).toContain('joint.tied');
  });
  it('is planned with the thrust on its bulkhead, the head and the water', () => {
    const plan = Object.fromEntries(
      joint.plan('US', { facts: FACTS }).map(({ label, text }) => [label, text]),
    );
    // 13 psi on 48 in: π 24² · 13; 13 · 2.31 ft; π 2² · 8 ft³ · 7.48 gal.
    expect(plan['Thrust on a bulkhead']).toBe('23,524 lbf');
    expect(plan['Head of water']).toBe('30 ft');
    expect(plan['Water to fill one pipe']).toBe('752 gal');
  });
});

// ASTM C497 (from memory): looked at after a quarter of an hour; where it is damp, up to a day.
describe('water through the wall', () => {
  const looked = (...looks: readonly (readonly [minutes: number, seen: string])[]) => {
    const { input } = usableInput(wall, {
      system: 'US',
      filledAt: at(0),
      looks: looks.map(([minutes_, seen], place) => ({ id: `l${place}`, seen, at: at(minutes_) })),
    });
    return wall.compute(input, {});
  };
  it.each([
    [[[15, 'dry']], 'meets'],
    [[[14, 'dry']], 'not yet determinable'],
    [[[16, 'damp']], 'not yet determinable'],
    [
      [
        [16, 'damp'],
        [200, 'dry'],
      ],
      'meets',
    ],
    [
      [
        [16, 'damp'],
        [1440, 'damp'],
      ],
      'not yet determinable',
    ],
    [[[3, 'drops']], 'does not meet'],
    [
      [
        [16, 'drops'],
        [60, 'dry'],
      ],
      'does not meet',
    ],
  ] as const)('%j: %s', (looks, says) => {
    expect(looked(...looks).verdicts[0]?.state).toBe(says);
  });
  it('before it is filled nothing can be seen', () => {
    expect(looked([-5, 'dry']).findings.map(({ id }) => id)).toEqual(['permeable.order']);
    expect(looked().results).toEqual([]);
  });
});
