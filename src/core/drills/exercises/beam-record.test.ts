import 'reflect-metadata';
import { describe, expect, it } from 'vitest';
import { type Method, usableInput } from '../../methods';
import { findMethod } from '../../methods/registry';
import { Chance } from '../../statistics';
import { type BeamFault, beamRecordExercise, beamWith } from './beam-record';
import type { PaperTask } from './types';

const SHOWN: Readonly<Record<BeamFault, string | null>> = {
  none: null,
  span: 'beam.span',
  gap: 'beam.gap-wide',
  late: 'beam.out-of-water',
  beyond: 'beam.discard',
  fast: 'beam.rate',
  top: 'beam.side',
};

/** What the method itself finds in such a beam, as it would on a run sheet. */
function foundIn(fault: BeamFault, seed: number): string[] {
  const { b, d, a, gap, side, minutesOut, rate, load } = beamWith(fault, Chance.settled(seed));
  const at = Date.parse('2031-06-11T13:00:00Z');
  const three = (name: string, values: readonly string[]) =>
    Object.fromEntries(values.map((value, place) => [`${name}${place + 1}`, value]));
  const method = findMethod('beam-third-point') as Method;
  const { input } = usableInput(method, {
    ...{ system: 'US', made: 'moulded', side, surface: 'moist', condition: 'sound', rollers: 'true' },
    ...{ span: '18', overhangLeft: '1.5', overhangRight: '1.5', zeroed: 'true', guarded: 'true' },
    ...{ gapSupportLeft: 'none', gapLoadLeft: gap, gapLoadRight: 'none', gapSupportRight: 'none' },
    ...{ going: 'steady', crack: 'clean', zeroAfter: 'same', waterTemperature: '73' },
    ...{ loadingRate: String(rate), maximumLoad: String(load) },
    waterFrom: new Date(at - 47 * 3_600_000).toISOString(),
    outOfMoistAt: new Date(at - minutesOut * 60_000).toISOString(),
    testedAt: new Date(at).toISOString(),
    ...three('width', b),
    ...three('depth', d),
    ...three('a', a),
  });
  const all = method.compute(input, {}).findings.map(({ id }) => id);
  return Object.values(SHOWN).filter((id): id is string => id !== null && all.includes(id));
}

describe('a sheet of a beam', () => {
  it.each(Object.keys(SHOWN) as BeamFault[])(
    'with the fault “%s” is found to have it by the method, and no other',
    (fault) => {
      for (let seed = 1; seed <= 25; seed += 1)
        expect(foundIn(fault, seed), `seed ${seed}`).toEqual([SHOWN[fault] ?? []].flat());
    },
  );
  it('shows its fault in its lines, and every fault is met', () => {
    const met = new Set<string>();
    for (let seed = 1; seed <= 20; seed += 1)
      for (const task of beamRecordExercise.tasks(seed) as PaperTask[]) {
        const { right, lines, options } = task;
        if (!('answer' in right)) throw new Error('an answer to choose');
        met.add(right.answer);
        expect(options.map(([id]) => id)).toContain(right.answer);
        const said = Object.fromEntries(lines);
        expect(/0\.015 in goes in/u.test(said.Gauge ?? '')).toBe(right.answer === 'gap');
        const loaded = Number(/([\d,]+) lbf/u.exec(said.Load ?? '')?.[1]?.replace(',', ''));
        // 12 lbf a minute for each psi a minute on a beam of 6 × 6 in over 18: ASTM C78/C78M (from memory).
        expect(loaded > 12 * 180).toBe(right.answer === 'fast');
        expect(beamRecordExercise.judge(task, right.answer, 0)[0]?.passed).toBe(true);
      }
    expect([...met].toSorted()).toEqual(Object.keys(SHOWN).toSorted());
  });
});
