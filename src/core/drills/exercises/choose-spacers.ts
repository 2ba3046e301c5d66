import { chooseSpacers, type PressSpace, stackOf } from '../../press';
import { exact, parseMeasure } from '../../quantity';
import { Chance } from '../../statistics';
import type { Exercise, SpacerTask } from './types';

const COUNT = 5;
const SETS: readonly [readonly string[], ...(readonly string[])[]] = [
  ['4', '2', '1.5', '1', '0.5'],
  ['5', '3', '2', '1'],
  ['6', '2', '1', '0.5'],
];
/** Specimens with what is on their ends, in. */
const ASSEMBLIES: readonly [string, ...string[]] = ['10', '10.25', '12.25', '8.25', '6.25', '14'];

/** The spacers that a person says go in; undefined when the words are none. */
function said(answer: string): ReturnType<typeof exact>[] | undefined {
  const words = answer.trim().toLowerCase();
  if (/^(none|0|no spacers?)$/u.test(words)) return [];
  const heights = words.split(/\s*(?:\+|,|;|\s)\s*/u).filter(Boolean);
  const read = heights.map((each) => parseMeasure(each, 'length', 'in'));
  return heights.length > 0 && read.every(({ ok }) => ok)
    ? read.flatMap((each) => (each.ok ? [each.measure.value] : []))
    : undefined;
}

/** True for words that say that no stack of these spacers will do. */
const refuses = (answer: string): boolean =>
  /^(cannot|can't|no stack|nothing fits|impossible)/iu.test(answer.trim());

/** Choosing spacers so that the gap is right and the ram stays within its stroke. */
export const chooseSpacersExercise: Exercise = {
  id: 'choose-spacers',
  title: 'Choose the spacers',
  about:
    'Five presses, each with its own spacers and a specimen. Type the heights with a plus between them, none for no spacer, or cannot where nothing will do: then a piece is missing, and the ram is never run up to meet the specimen.',
  enough: 0.8,
  tasks(seed) {
    const chance = Chance.settled(seed);
    return Array.from({ length: COUNT }, (): SpacerTask => {
      const pads = chance.between(0, 1) < 0.5;
      const space: PressSpace = {
        clearHeight: exact(chance.pick(['18.5', '19', '20.25', '22'])),
        lowerBlock: exact(chance.pick(['1.5', '2', '2.5'])),
        stroke: exact(chance.pick(['2.5', '3', '2'])),
        spacers: chance.pick(SETS).map((each) => exact(each)),
        assembly: exact(chance.pick(ASSEMBLIES)),
        give: exact(pads ? '0.35' : '0.15'),
        gap: { low: exact('0.375'), target: exact('0.625'), high: exact('1') },
        margin: { length: exact('0.5'), percent: exact('20') },
      };
      return { kind: 'spacers', space, unit: 'in' };
    });
  },
  judge(task, answer, place) {
    if (task.kind !== 'spacers') return [];
    const best = chooseSpacers(task.space);
    const possible = best.trouble === 'none';
    const stack = said(answer);
    const owned = task.space.spacers.map((each) => each.toFixed());
    const fits = stack?.every((each) => {
      const at = owned.indexOf(each.toFixed());
      if (at < 0) return false;
      owned.splice(at, 1);
      return true;
    });
    const stood = stack && stackOf(task.space, stack);
    const passed = refuses(answer) ? !possible : Boolean(possible && fits && stood?.trouble === 'none');
    const show = best.spacers.length === 0 ? 'none' : best.spacers.map((each) => each.toFixed()).join(' + ');
    const right = possible
      ? `${show} leaves a gap of ${best.gap.toFixed(2)} in.`
      : `nothing fits: the nearest, ${show}, leaves ${best.gap.toFixed(2)} in, ${best.trouble}.`;
    const yours = refuses(answer)
      ? 'You said that nothing fits;'
      : !stack
        ? 'That names no spacers;'
        : !fits
          ? 'The press does not own these;'
          : `Yours leaves ${stood?.gap.toFixed(2)} in${stood && stood.trouble !== 'none' ? `, ${stood.trouble}` : ''};`;
    return [
      {
        id: `spacers-${place}`,
        item: `Press ${place + 1}`,
        starred: true,
        passed,
        why: passed ? right : `${yours} ${right}`,
      },
    ];
  },
};
