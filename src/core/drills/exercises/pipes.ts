import { Limits } from '../../limits';
import { crackOf, type Probe } from '../../pipe/crack';
import { C76, loadOf } from '../../pipe/load';
import { ratePlan, tooFast } from '../../pipe/rates';
import { spacingOf, stripTrouble } from '../../pipe/strips';
import { type Exact, exact, withThousands } from '../../quantity';
import type { Chance } from '../../statistics';
import { onPaper } from './on-paper';

const LIMITS = new Limits();
const SIZES = [12, 15, 18, 24, 30, 36, 48, 60, 72] as const;
const feet = (inches: number): Exact => exact(inches).div(12);
const pounds = (load: Exact): string => `${withThousands(load.toFixed(0))} lbf`;

const STRIPS = {
  none: 'They may stay as they are',
  'too wide': 'Set them nearer: the pipe would look stronger',
  'too near': 'Set them wider',
  'too soft': 'Other strips: these are too soft',
  'too hard': 'Other strips: these are too hard',
} as const;

/** Strips under a pipe: how far apart, how hard. */
export const setStripsExercise = onPaper(
  {
    id: 'set-strips',
    title: 'Set the strips',
    about:
      'Six pipes on their two lower strips. The spacing goes by the inside diameter, between the inner sides of the strips; rubber hardens in the sun.',
  },
  'Pipe',
  6,
  (chance) => {
    const inches = chance.pick(SIZES);
    const wanted = chance.pick(['none', 'none', 'too wide', 'too near', 'too soft', 'too hard'] as const);
    const { least, most } = spacingOf(feet(inches), LIMITS, 'US');
    // Well to one side of a limit, to an eighth of an inch.
    const apart =
      wanted === 'too wide'
        ? most.toNumber() + Math.round(chance.between(2, 8)) / 8
        : wanted === 'too near'
          ? least.toNumber() - Math.round(chance.between(1, 3)) / 8
          : Math.round(chance.between(least.toNumber(), most.toNumber()) * 8) / 8;
    const hardness =
      wanted === 'too soft'
        ? Math.round(chance.between(32, 42))
        : wanted === 'too hard'
          ? Math.round(chance.between(63, 78))
          : Math.round(chance.between(47, 58));
    const trouble = stripTrouble(
      { diameter: feet(inches), apart: exact(apart), hardness: exact(hardness) },
      LIMITS,
      'US',
    );
    return {
      kind: 'paper',
      lines: [
        ['Pipe', `${inches} in inside, ${inches + Math.round(inches / 6) + 2} in outside`],
        ['Strips, inner sides', `${apart} in apart`],
        ['Rubber, type A', String(hardness)],
      ],
      ask: 'What is to be done?',
      help: '',
      options: Object.entries(STRIPS),
      right: { answer: trouble },
      why: `${STRIPS[trouble]}. Under ${inches} in they stand ${least.equals(most) ? `${least} in` : `${least} to ${most.toFixed()} in`} apart, an inch for a foot of inside diameter and never under an inch; rubber has ${LIMITS.of('teb.rubber', 'US').text}.`,
    };
  },
);

const KEPT = { kept: 'Kept', first: 'Too fast at first', second: 'Too fast past three quarters' } as const;

/** The record of a pump: steady up to three quarters, then to the design load, too fast in one of them or in none. */
function recordOf(
  chance: Chance,
  { turn, design, first, second }: ReturnType<typeof ratePlan>,
  fault: keyof typeof KEPT,
) {
  const [slow, fast] = [() => chance.between(0.45, 0.85), () => chance.between(1.25, 1.7)];
  const way = [
    [turn.times('0.5'), first, fault === 'first' ? fast() : slow()],
    [turn, first, slow()],
    [turn.plus(design).div(2), second, fault === 'second' ? fast() : slow()],
    [design, second, slow()],
  ] as const;
  const read = [{ seconds: exact(0), load: exact(0) }];
  for (const [load, most, share] of way) {
    const last = read.at(-1) ?? { seconds: exact(0), load: exact(0) };
    const seconds = load.minus(last.load).div(most.times(share)).times(60);
    read.push({ seconds: last.seconds.plus(seconds).toDecimalPlaces(1), load: load.toDecimalPlaces(0) });
  }
  return read;
}

/** Whether a pipe was loaded as it may be, and how fast it may be. */
export const keepRateExercise = onPaper(
  {
    id: 'pipe-rate',
    title: 'Keep the rate, to the crack',
    about:
      'Five pipes. Two rates: no more than 7,500 lbf a foot of length and minute to 75 % of the design load, then no more than a third of the design load a minute. Give the second one, or say where a record was too fast.',
  },
  'Pipe',
  5,
  (chance) => {
    const inches = chance.pick(SIZES);
    const length = exact(chance.pick([6, 8, 8, 10] as const));
    const name = chance.pick(['II', 'III', 'IV'] as const);
    const strength = C76[name]?.[0] ?? exact(0);
    const plan = ratePlan(loadOf(strength, feet(inches), length), length, LIMITS, 'US');
    const lines = [
      ['Pipe', `class ${name}, ${inches} in, ${length} ft`],
      ['D-load at the crack', `${withThousands(strength.toFixed())} lbf/ft/ft`],
    ] as const;
    if (chance.between(0, 1) < 0.4) {
      const slow = LIMITS.number('teb.slow', 'US').div(100);
      return {
        kind: 'paper',
        lines,
        ask: 'Rate past three quarters, lbf/min',
        help: 'As fast as it may be, or down to half of that.',
        options: [],
        right: { low: plan.second.times(slow).toNumber(), high: plan.second.toNumber() + 0.5 },
        why: `No more than ${withThousands(plan.second.toFixed(0))} lbf/min: the design load is ${withThousands(strength.toFixed())} × ${feet(inches).toFixed(2)} ft × ${length} ft, ${pounds(plan.design)}, and a third of it.`,
      };
    }
    const read = recordOf(chance, plan, chance.pick(['kept', 'first', 'second'] as const));
    const [broken] = tooFast(read, plan);
    const reads = broken?.part ?? 'kept';
    return {
      kind: 'paper',
      lines: [
        ...lines,
        ['Record', read.map(({ seconds, load }) => `${seconds.toFixed(1)} s ${pounds(load)}`).join('; ')],
      ],
      ask: 'Was it kept?',
      help: '',
      options: Object.entries(KEPT),
      right: { answer: reads },
      why: `${KEPT[reads]}. Up to ${pounds(plan.turn)} no more than ${withThousands(plan.first.toFixed(0))} lbf/min, from there to ${pounds(plan.design)} no more than ${withThousands(plan.second.toFixed(0))}${broken ? `: it was ${withThousands(broken.rate.toFixed(0))}` : ''}.`,
    };
  },
);

const CRACK = {
  'it is the crack': 'It is the crack',
  'it is not': 'It is not',
  'probe on': 'It cannot be said yet: probe on',
} as const;

/** Probes along a crack: is it the one that ends the test? */
export const isItTheCrackExercise = onPaper(
  {
    id: 'pipe-crack',
    title: 'Is it the crack?',
    about:
      'Six cracks, probed with the leaf gauge along the barrel: inches from the spigot where it entered, and where it did not. It ends the test over a foot, with no more than 3 in from one probe to the next.',
  },
  'Crack',
  6,
  (chance) => {
    const wanted = chance.pick(['it is the crack', 'it is not', 'probe on'] as const);
    const start = Math.round(chance.between(6, 40));
    const step =
      wanted === 'probe on' ? () => Math.round(chance.between(4, 6)) : () => Math.round(chance.between(2, 3));
    const long = wanted === 'it is not' ? chance.between(5, 10) : chance.between(12.5, 19);
    const at = [start];
    while ((at.at(-1) ?? 0) - start < long) at.push((at.at(-1) ?? 0) + step());
    // It enters again behind one that it does not: that makes no run of both.
    const goesOn = wanted === 'it is not' && chance.between(0, 1) < 0.5;
    const all: Probe[] = [
      ...at.map((each) => ({ at: each, enters: true })),
      { at: (at.at(-1) ?? 0) + 2, enters: false },
      ...(goesOn ? [4, 6] : []).map((more) => ({ at: (at.at(-1) ?? 0) + more, enters: true })),
    ];
    const told = crackOf(all, LIMITS, 'US');
    const list = (enters: boolean): string =>
      all
        .filter((each) => each.enters === enters)
        .map((each) => each.at)
        .join(', ');
    return {
      kind: 'paper',
      lines: [
        ['It entered at', `${list(true)} in`],
        ['It did not at', `${list(false)} in`],
      ],
      ask: 'What is it?',
      help: 'Beyond the outer probes nothing is to be seen.',
      options: Object.entries(CRACK),
      right: { answer: told.says },
      why: `${CRACK[told.says]}. ${told.says === 'it is the crack' ? `It entered from ${told.from} to ${told.to} in, probe by probe` : told.says === 'probe on' ? `Probe at ${told.at.join(', ')} in: the probes are too far apart to say it` : 'Nowhere does it enter over a foot without a break'}.`,
    };
  },
);
