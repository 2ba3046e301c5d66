import type { LotAbout, LotSays, SampleOfLot } from '../../material/contract';
import {
  type CementProperty,
  type CementSchool,
  mostRow,
  orderedBy,
  propertyRow,
  standardOf,
  strengthRow,
} from './standards';

/** The tests that a property is told by. */
const TOLD_BY: readonly (readonly [property: CementProperty, method: string, word: string])[] = [
  ['set', 'cement-setting', 'setting'],
  ['fineness', 'cement-surface', 'surface'],
  ['autoclave', 'cement-autoclave', 'autoclave'],
  ['expansion', 'cement-needles', 'expansion between needles'],
  ['air', 'cement-air', 'air'],
  ['loss', 'cement-loss', 'loss on ignition'],
  ['heat-3d', 'cement-heat', 'heat in 3 d'],
  ['heat-7d', 'cement-heat', 'heat in 7 d'],
  ['false-set', 'cement-stiffening', 'early stiffening'],
  ['gillmore-initial', 'cement-gillmore', 'Gillmore set'],
];
/** What the strength of a school is told by. */
const STRENGTH_BY: Readonly<Record<CementSchool, string>> = {
  astm: 'mortar-cube',
  en: 'cement-prisms',
  is: 'vibrated-cube',
};
const AGES = [24, 48, 72, 168, 672];

/** A test that the type asks for: how many verdicts it gives, and by which method. */
interface Wanted {
  readonly method: string;
  readonly word: string;
  readonly count: number;
}

/** What the type of a cement asks for, and what was ordered besides. */
function wantedOf(asked: LotAbout['asked']): Wanted[] {
  const type = String(asked.cementType);
  const ordered = orderedBy((field) => asked[field] === true);
  const cool = asked.orderedHeat === true;
  const ages = AGES.filter((hours) => strengthRow(type, hours, asked.ordered28 === 'yes', cool));
  return [
    {
      method: STRENGTH_BY[standardOf(type)?.school ?? 'astm'],
      word: `strength at ${ages.map((hours) => `${hours / 24}`).join(', ')} d`,
      // Cubes are held against the most of their grade by a verdict of its own, prisms within both by one.
      count: ages.length + (standardOf(type)?.school === 'is' && mostRow(type) ? 1 : 0),
    },
    ...TOLD_BY.flatMap(([property, method, word]) =>
      propertyRow(type, property, ordered) ? [{ method, word, count: 1 }] : [],
    ),
  ];
}

/**
 * How a sample of cement stands by all that its type asks for: one row that fails decides, what is not tested is named.
 * Optional rows count only where they were ordered.
 */
export function cementSays({ verdicts }: SampleOfLot, { asked }: LotAbout): LotSays {
  const wanted = wantedOf(asked);
  const of = (method: string) => verdicts.filter((each) => each.method === method);
  const failed = wanted.filter(({ method }) => of(method).some(({ state }) => state === 'does not meet'));
  const missing = wanted.filter(
    ({ method, count }) =>
      of(method).filter(({ state }) => state === 'meets' || state === 'does not meet').length < count,
  );
  const words = (some: readonly Wanted[]): string => some.map(({ word }) => word).join('; ');
  const open = missing.length > 0 ? `Not told yet: ${words(missing)}.` : '';
  return {
    ...{ results: [], lines: [] },
    remarks: failed.length > 0 && open ? [open] : [],
    verdict:
      failed.length > 0
        ? {
            state: 'does not meet',
            sentence: `Does not meet its type: ${words(failed)}. Look at the own test, test the reserve, tell the client. The purchaser’s representative decides.`,
          }
        : missing.length > 0
          ? { state: 'not yet determinable', sentence: open }
          : { state: 'meets', sentence: `Meets all that its type asks for: ${words(wanted)}.` },
  };
}
