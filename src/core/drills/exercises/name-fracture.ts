import { Chance } from '../../statistics';
import type { Exercise, FractureTask } from './types';

const TYPES: readonly [string, ...string[]] = ['1', '2', '3', '4', '5', '6'];
const COUNT = 8;
/** What is to be seen, in our own words. Source: ASTM C39/C39M (from memory). */
const SEEN: Readonly<Record<string, string>> = {
  '1': 'well-formed cones on both ends, short cracks through them',
  '2': 'a cone on one end, vertical cracks out through the other',
  '3': 'vertical cracks through both ends, columns standing',
  '4': 'one diagonal crack, nothing through the ends',
  '5': 'a side broken off at one end',
  '6': 'as type 5, the end left pointed',
};

/** Naming the fracture from its drawing. */
export const nameFractureExercise: Exercise = {
  id: 'name-fracture',
  title: 'Name the fracture',
  about: 'Eight broken cylinders. Choose the type, 1 to 6.',
  enough: 0.8,
  tasks(seed) {
    const chance = Chance.settled(seed);
    return Array.from(
      { length: COUNT },
      (): FractureTask => ({ kind: 'fracture', type: chance.pick(TYPES) }),
    );
  },
  judge(task, answer, place) {
    if (task.kind !== 'fracture') return [];
    const passed = answer.trim() === task.type;
    return [
      {
        id: `fracture-${place}`,
        item: `Cylinder ${place + 1}`,
        starred: true,
        passed,
        why: `${passed ? '' : answer ? `You said ${answer}. ` : 'Left out. '}Type ${task.type}: ${SEEN[task.type]}.`,
      },
    ];
  },
};
