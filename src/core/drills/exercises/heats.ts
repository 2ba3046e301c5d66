import {
  COMPARED_FROM,
  findFeatures,
  GRID_H,
  heatBetween,
  judgeDoses,
  MODEL_CEMENT,
  MODEL_ENERGY,
  type ModelCement,
  modelPower,
} from '../../calorimetry';
import { rateFactor } from '../../cement/setting';
import { Limits } from '../../limits';
import type { Chance } from '../../statistics';
import { onPaper } from './on-paper';

const LIMITS = new Limits();
/** From when on a curve is shown, h: before that the vial settles. */
const FROM = LIMITS.number('heat.from', 'US').toNumber() / 60;
const STEP = 0.25;

const two = (value: number): number => Math.round(value * 100) / 100;
const pointsOf = (power: (hours: number) => number, until: number, chance: Chance) =>
  Array.from({ length: Math.floor((until - FROM) / STEP) + 1 }, (_, place) => {
    const x = FROM + place * STEP;
    return { x: two(x), y: two(power(x) + chance.normal(0, 0.008)) };
  });

const STATES = {
  order: 'Nothing: it is as the one in order',
  late: 'It is held back by an admixture',
  cold: 'Its bath is too cold',
  short: 'It is short of sulfate',
  thin: 'A slow material stands for part of it',
  high: 'Its baseline lies too high',
} as const;
type State = keyof typeof STATES;

const WHY: Readonly<Record<State, string>> = {
  order: 'Induction, rise, maximum and the hump behind it stand where they stand in the other.',
  late: 'The floor of the induction is long, and what comes behind it is as steep and as high as ever: only its start moved.',
  cold: 'Everything is stretched and lower at once, the induction too: one factor turns it into the other.',
  short:
    'Its maximum is early, low and sharp, and the silicate follows as a late shoulder: the aluminate did not wait. Little heat in a day.',
  thin: 'It is lower everywhere by about one share, at nearly the same times: there is less cement in a gram.',
  high: 'It lies above the other by the same amount everywhere, and never comes down to nought: 0.1 mW/g are 26 J/g in three days.',
};

/** A curve beside one that is in order: what is otherwise with it? */
export const readCurveExercise = onPaper(
  {
    id: 'read-curve',
    title: 'What does the curve say?',
    about:
      'Six cements in a calorimeter, each beside one of its kind that is in order: power to a gram over three days. Look in this order: its end, the induction, the rise, which maximum comes first. Say what is otherwise.',
  },
  'Curve',
  6,
  (chance) => {
    const state = chance.pick(Object.keys(STATES) as [State, ...State[]]);
    const cement: ModelCement = { ...MODEL_CEMENT, fineness: Math.round(chance.between(355, 410)) };
    const other: ModelCement = {
      ...cement,
      ...(state === 'late' ? { lag: chance.between(2.5, 5) } : {}),
      ...(state === 'cold' ? { celsius: chance.between(11, 15) } : {}),
      ...(state === 'short' ? { sulfate: chance.between(1.8, 2.05) } : {}),
      ...(state === 'thin' ? { other: chance.between(0.28, 0.4) } : {}),
    };
    const high = state === 'high' ? chance.between(0.22, 0.4) : 0;
    return {
      kind: 'paper',
      curves: {
        x: 'hours since the water',
        y: 'mW to a gram of binder',
        lines: [
          { name: 'in order', points: pointsOf((at) => modelPower(cement, at), 72, chance) },
          { name: 'this one', points: pointsOf((at) => modelPower(other, at) + high, 72, chance) },
        ],
      },
      lines: [],
      ask: 'What is otherwise with it?',
      help: '',
      options: Object.entries(STATES),
      right: { answer: state },
      why: WHY[state],
    };
  },
);

/** What a dose of the model comes to, as a test of it would say. */
function doseOf(cement: ModelCement, label: string) {
  const power = Float64Array.from({ length: 40 * 60 + 1 }, (_, minute) =>
    modelPower(cement, minute * GRID_H),
  );
  const found = findFeatures({
    ...{ power, first: 0, dt: GRID_H, from: FROM },
    faster: rateFactor(cement.celsius, MODEL_ENERGY),
  });
  return {
    ...{ label, sulfate: cement.sulfate },
    heat: heatBetween(power, 0, GRID_H, COMPARED_FROM, 24),
    apart: found?.second && found.second.at - found.main.at,
    unclear: found?.unclear !== undefined,
  };
}

/** A series of sulfate: which is the least that is in balance? */
export const sulfateByEyeExercise = onPaper(
  {
    id: 'sulfate-by-eye',
    title: 'How much sulfate?',
    about:
      'Five cements, each with its sulfate raised step by step: power to a gram over a day and a half. In balance the aluminate comes two hours or more behind the main maximum, and the heat of a day is nearly the best of the series. Choose the least that is.',
  },
  'Cement',
  5,
  (chance) => {
    const cement: ModelCement = {
      ...MODEL_CEMENT,
      fineness: Math.round(chance.between(350, 470)),
      aluminate: 12,
    };
    const begin = two(chance.between(1.9, 2.6));
    const series = [0, 0.35, 0.7, 1.05].map((more) => ({ ...cement, sulfate: two(begin + more) }));
    const doses = series.map((each) => doseOf(each, each.sulfate.toFixed(2)));
    const { doses: judged, chosen } = judgeDoses(doses, {
      share: LIMITS.number('heat.best-share', 'US').toNumber(),
      apart: LIMITS.of('heat.aluminate', 'US').low?.toNumber() ?? 0,
    });
    const why = judged.map(
      ({ label, share, apart, unclear }) =>
        `${label} %: ${((share ?? 0) * 100).toFixed(0)} % of the best heat, ${
          unclear || apart === undefined ? 'the two are not told apart' : `${apart.toFixed(1)} h behind`
        }`,
    );
    return {
      kind: 'paper',
      curves: {
        x: 'hours since the water',
        y: 'mW to a gram of cement',
        lines: series.map((each) => ({
          name: `${each.sulfate.toFixed(2)} % SO₃`,
          points: pointsOf((at) => modelPower(each, at), 36, chance),
        })),
      },
      lines: doses.map(
        ({ label, heat }) => [`Heat of a day at ${label} %`, `${heat?.toFixed(0)} J/g`] as const,
      ),
      ask: 'Which is the least in balance?',
      help: 'What comes later by more sulfate is the aluminate.',
      options: [
        ...doses.map(({ label }) => [label, `${label} % SO₃`] as const),
        ['none', 'None of them'] as const,
      ],
      right: { answer: chosen?.label ?? 'none' },
      why: `${why.join('; ')}.`,
    };
  },
);
