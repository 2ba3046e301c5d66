import { countedBothWays, type Dial, loadAtTurn, readDial } from '../../press';
import { exact, withThousands } from '../../quantity';
import { Chance } from '../../statistics';
import type { DialTask, Exercise } from './types';

const COUNT = 8;
const dial = (major: string, minor: string, fullScale: string): Dial => ({
  major: exact(major),
  minor: exact(minor),
  fullScale: exact(fullScale),
});
/** Dials of several divisions, as they are met. */
const DIALS: readonly [readonly [Dial, 'lbf' | 'kN'], ...(readonly [Dial, 'lbf' | 'kN'])[]] = [
  [dial('5000', '500', '250000'), 'lbf'],
  [dial('10000', '1000', '300000'), 'lbf'],
  [dial('1000', '100', '60000'), 'lbf'],
  [dial('20', '2', '1000'), 'kN'],
  [dial('5', '0.5', '150'), 'kN'],
];

/** Reading the peak hand of dials with different divisions. */
export const readDialExercise: Exercise = {
  id: 'read-dial',
  title: 'Read the dial',
  about:
    'Eight needles on dials of different divisions. Type the load, or count: 7 past 45,000, 2 short of 70. Within half a small mark is right.',
  enough: 1,
  tasks(seed) {
    const chance = Chance.settled(seed);
    return Array.from({ length: COUNT }, (): DialTask => {
      const [own, unit] = chance.pick(DIALS);
      // A needle that stands where a person can say where it stands: on a mark, or half-way.
      const load = loadAtTurn(chance.between(0.08, 0.92), own);
      return { kind: 'dial', dial: own, unit, share: load.div(own.fullScale).toNumber() };
    });
  },
  judge(task, answer, place) {
    if (task.kind !== 'dial') return [];
    const truth = loadAtTurn(task.share, task.dial);
    const read = readDial(answer, task.dial);
    const { up, down } = countedBothWays(truth, task.dial);
    const right = `${withThousands(truth.toFixed())} ${task.unit}: ${up === down ? 'on the numbered mark' : `${up}, or ${down}`}.`;
    const passed = read.ok && read.load.minus(truth).abs().lessThanOrEqualTo(task.dial.minor.div(2));
    return [
      {
        id: `dial-${place}`,
        item: `Needle ${place + 1}`,
        starred: true,
        passed,
        why: passed
          ? right
          : `${read.ok ? `You read ${withThousands(read.load.toFixed())}.` : answer.trim() === '' ? 'Left out.' : read.message} It was ${right}`,
      },
    ];
  },
};
