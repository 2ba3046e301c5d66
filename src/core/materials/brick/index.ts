import type { Limits } from '../../limits';
import type { Material, Stored } from '../../material/contract';
import { measureWords } from '../../material/measure-words';
import { roleByCount } from '../../material/roles';
import { Drawn, drawProblems } from '../drawn';
import { declaredProblem, schoolOf } from '../schools';
import { across } from './across';
import { CRITERIA } from './criteria';
import { Asked, Lot } from './fields';
import { ABSORPTION, BRICK, COMPRESSION, FORMS, HALF, PAIR, TO_HALVE } from './forms';
import { classProblem } from './is-class';
import { brickOf, GRADES, GRADES_OF, gradeNamed, PRODUCTS } from './products';
import { ROLES, rolesOf } from './roles';

/**
 * Bricks that a lot asks for.
 * @param bricks of the lot
 * @returns ten up to a million, five more for each half million beyond or part of it
 * Source: ASTM C67/C67M 4 (from memory).
 */
export function bricksWanted(bricks: number, limits: Limits): number {
  const of = (id: 'brick.lot' | 'brick.lot-more' | 'brick.set' | 'brick.more'): number =>
    limits.number(id, 'US').toNumber();
  const beyond = Math.max(0, Math.ceil((bricks - of('brick.lot')) / of('brick.lot-more')));
  return of('brick.set') + of('brick.more') * beyond;
}

/** Clay brick, from the pallet to the grade of the delivery. */
export const brick: Material = {
  id: 'brick',
  title: 'Clay brick',
  words: {
    specification: ['kind of brick', 'kinds of brick'],
    lot: ['delivery of brick', 'deliveries of brick'],
    sample: ['sample', 'samples'],
    specimen: ['brick', 'bricks'],
    report: 'Report of tests on clay brick',
    onSample: 'Tests of the sample',
    onSpecimens: 'Bricks',
  },
  Asked,
  Lot,
  Sample: Drawn,
  lotFields: {
    title: 'Delivery',
    titleHelp: 'As it is called on site: facing brick for the ticket hall.',
    startsAt: 'Delivered at',
  },
  madeBy: 'producer',
  product: 'product',
  forms: FORMS,
  roles: ROLES,
  together: [
    { method: 'brick-drying' },
    { method: 'capping', roles: [COMPRESSION] },
    { method: 'brick-soak', roles: [ABSORPTION] },
    { method: 'brick-boil', roles: [ABSORPTION] },
  ],
  registers: [
    {
      id: 'bricks',
      begin: 'Register bricks',
      title: 'Register the bricks that were drawn',
      intro:
        'Mark each brick itself with crayon, at most 5 % of its surface: paper does not live through oven and boil. The mark is on both halves when it is cut.',
      done: 'They are registered. The first five are for halving, the next five stay whole; of EN ten and of IS five are broken whole. More are pairs for efflorescence.',
      countHelp: 'Ten make a sample; twenty with the pairs for efflorescence.',
      usual: 10,
      most: 60,
      place: 'Where they are',
      forms: () => [BRICK],
      event: 'received',
      role: (before, { product }) => roleByCount(rolesOf(product), PAIR, before),
      register: (_, { sampledAt }) => ({ ok: true, value: { since: sampledAt, about: {} } }),
    },
    {
      id: 'halves',
      begin: 'Halve bricks',
      title: 'Halve bricks',
      intro:
        'Each brick that is to be halved becomes two: one for strength (C), one for absorption (A), of the same brick. Measure its sizes before. Cutting dust carries silica: wet saw or extraction, mask, eyes shielded.',
      done: 'They are halved. Mark both pieces of each with its number and letter.',
      countHelp: 'Bricks that are cut, not pieces.',
      usual: 5,
      most: 12,
      place: 'Where the halves are',
      forms: () => [HALF],
      event: 'received',
      bench: true,
      cut: {
        from: TO_HALVE,
        into: [
          { role: COMPRESSION, letter: 'C' },
          { role: ABSORPTION, letter: 'A' },
        ],
      },
      register: (_, { sampledAt }) => ({ ok: true, value: { since: sampledAt, about: {} } }),
    },
  ],
  summary: (asked) => [
    ['Specification', `${PRODUCTS[brickOf(asked.product) ?? 'c216']}, ${String(asked.edition ?? '')}`],
    ['Grade', gradeWords(asked)],
    ['Class or declared', measureWords(asked.declared)],
    ['Thickness × height × length', [asked.width, asked.height, asked.length].map(measureWords).join(' × ')],
    ['Expected', measureWords(asked.expectedStrength)],
    ['Project', String(asked.projectSays ?? '')],
  ],
  problems: (asked): Record<string, string> => {
    const product = brickOf(asked.product);
    const grade = gradeNamed(asked.grade);
    if (product && schoolOf(product)) return { ...declaredProblem(asked), ...classProblem(asked) };
    if (product && !grade) return { grade: 'Which grade is asked for?' };
    if (product && grade && !GRADES_OF[product].includes(grade))
      return {
        grade: `${PRODUCTS[product].split(',')[0]} has no such grade: ${GRADES_OF[product].map((each) => GRADES[each]).join(', ')}.`,
      };
    if ((asked.coldAlternate === 'yes' || asked.weatheringIndex) && !asked.projectSays)
      return { projectSays: 'Say where the alternate is allowed: it is printed beside the grade.' };
    return {};
  },
  lotWants: ({ units }, limits) =>
    `${bricksWanted(Number(units ?? 0), limits)} bricks for a lot of ${Number(units ?? 0).toLocaleString('en-US')}; ten more where efflorescence is asked for.`,
  sampleProblems: drawProblems,
  opens: ({ efflorescence, product }) =>
    efflorescence === 'none' || product === 'is1077' ? ['brick-efflorescence'] : [],
  onLot: ['unit-report'],
  across,
  criteria: CRITERIA.map(({ id }) => id),
};

function gradeWords({ grade, type, wear }: Stored): string {
  const named = gradeNamed(grade);
  return [
    named ? GRADES[named] : '',
    typeof type === 'string' ? type.toUpperCase() : '',
    typeof wear === 'string' ? `type ${'I'.repeat(Number(wear))}` : '',
  ]
    .filter(Boolean)
    .join(', ');
}
