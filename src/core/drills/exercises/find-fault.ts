import { exact, roundedText, withThousands } from '../../quantity';
import { Chance } from '../../statistics';
import { type Exercise, RECORD_FAULTS, type RecordFault, type RecordTask } from './types';

const COUNT = 6;
const FAULTS: readonly [RecordFault, ...RecordFault[]] = [
  'none',
  'area',
  'peak',
  'caps',
  'pads',
  'age',
  'dial',
];
const HINTS: Readonly<Record<RecordFault, string>> = {
  none: 'Every line agrees with the others.',
  area: 'Load over area: 28.27 in² belongs to a 6 × 12, 12.57 in² to this 4 × 8. The results are 2.25 apart.',
  peak: 'The peak hand stood at the same mark before the test and after it: the maximum lies somewhere below, and is lost.',
  caps: 'Below 5,000 psi sulfur caps harden two hours, from 5,000 psi on sixteen.',
  pads: '50 durometer goes to 6,000 psi; above that 60 or 70.',
  age: 'The window at 28 days is 20 hours either side, counted in hours from casting.',
  dial: 'Counted up from the lower mark and down from the upper one, the two must give the same load.',
};

/** A record of a cylinder as it would stand on paper, with one thing wrong in it or nothing. */
function record(fault: RecordFault, chance: Chance): RecordTask {
  const major = 5000;
  const marks = Math.floor(chance.between(2, 9));
  const below = Math.floor(chance.between(9, 12)) * major;
  const load = below + marks * 500;
  const strength = load / (Math.PI * 4);
  const strong = fault === 'pads';
  const real = strong ? 79_500 + marks * 500 : load;
  const area = fault === 'area' ? Math.PI * 9 : Math.PI * 4;
  const before = fault === 'peak' ? real : Math.floor(chance.between(1, 4)) * major;
  const wrongWay = below + major + marks * 500;
  const hours = 28 * 24 + (fault === 'age' ? 21 : chance.between(-14, 14));
  const bonded = fault === 'caps' || chance.between(0, 1) < 0.3;
  const young = fault === 'caps';
  const base = strong ? 75_000 + major : below;
  const counted = Math.round((real - base) / 500);
  return {
    kind: 'record',
    fault,
    lines: [
      ['Size', '4 × 8 in, diameters 4.00 and 4.00 in'],
      ['Age at the break', `${hours.toFixed(1)} h (28 d asked for)`],
      bonded && !strong
        ? ['Ends', `sulfur caps, ${young ? '1 h 25 min' : strength >= 5000 ? '17 h' : '3 h 10 min'} old`]
        : ['Ends', `pads, ${strong ? '50' : '60'} durometer`],
      ['Peak hand before the test', `${withThousands(String(before))} lbf`],
      ['Dial', 'numbered every 5,000, small marks of 500 lbf'],
      [
        'Peak hand after the test',
        `${counted} small ${counted === 1 ? 'mark' : 'marks'} past ${withThousands(String(base))}`,
      ],
      ['Maximum load', `${withThousands(String(fault === 'dial' ? wrongWay : real))} lbf`],
      ['Strength', `${roundedText(exact((fault === 'dial' ? wrongWay : real) / area), '10')} psi`],
      ['Zero', 'set before contact, back at zero afterwards'],
    ],
  };
}

/** Finding what is wrong in finished records. */
export const findFaultExercise: Exercise = {
  id: 'find-fault',
  title: 'Find the fault in a record',
  about:
    'Six finished records. One thing is wrong in each, or nothing: check the arithmetic, the dial, the times and the ends.',
  enough: 0.8,
  tasks(seed) {
    const chance = Chance.settled(seed);
    return Array.from({ length: COUNT }, () => record(chance.pick(FAULTS), chance));
  },
  judge(task, answer, place) {
    if (task.kind !== 'record') return [];
    const passed = answer === task.fault;
    const yours = RECORD_FAULTS[answer as RecordFault];
    return [
      {
        id: `record-${place}`,
        item: `Record ${place + 1}`,
        starred: true,
        passed,
        why: `${passed ? '' : yours ? `You said: ${yours.toLowerCase()}. ` : 'Left out. '}${RECORD_FAULTS[task.fault]}. ${HINTS[task.fault]}`,
      },
    ];
  },
};
