import type { Material, Stored } from '../../material/contract';
import { measureWords } from '../../material/measure-words';
import { Drawn, drawProblems } from '../drawn';
import { declaredProblem } from '../schools';
import { across } from './across';
import { CRITERIA } from './criteria';
import { Asked, Lot } from './fields';
import { ABSORPTION, COMPRESSION, FORMS, SPARE, UNIT_FORMS } from './forms';
import { PRODUCTS, productOf, productOfEdition } from './products';
import { proposesRoles, ROLE_FACTS, ROLES, roleOf } from './roles';
import { countsOf, setsWanted } from './sets-wanted';

/** Manufactured masonry units, from the pallet to the verdict on the lot. */
export const masonry: Material = {
  id: 'masonry',
  title: 'Masonry units',
  words: {
    specification: ['kind of unit', 'kinds of unit'],
    lot: ['delivery', 'deliveries'],
    sample: ['set', 'sets'],
    specimen: ['unit', 'units'],
    report: 'Report of tests on masonry units',
    onSample: 'Tests of the set',
    onSpecimens: 'Units',
  },
  Asked,
  Lot,
  Sample: Drawn,
  lotFields: {
    title: 'Delivery',
    titleHelp: 'As it is called on site: block for the plant room wall.',
    startsAt: 'Delivered at',
  },
  madeBy: 'producer',
  product: 'product',
  forms: FORMS,
  roles: ROLES,
  roleFacts: ROLE_FACTS,
  proposesRoles,
  together: [
    { method: 'unit-receiving' },
    { method: 'unit-conditioning', roles: [COMPRESSION, SPARE] },
    { method: 'capping', roles: [COMPRESSION] },
    { method: 'unit-soak', roles: [ABSORPTION] },
    { method: 'oven-drying', roles: [ABSORPTION] },
  ],
  registers: [
    {
      id: 'units',
      begin: 'Register units',
      title: 'Register the units that were drawn',
      intro:
        'Mark each unit itself with paint stick or crayon on its end, at most 5 % of its surface: paper does not live through tank and oven. Clean it with stone or brush before it is weighed.',
      done: 'They are registered. The first are for strength, the next three for absorption until their masses say otherwise.',
      countHelp: 'Six make a set, of EN nine and of IS eleven; one or two spares may come with it.',
      usual: 6,
      most: 24,
      place: 'Where they are',
      forms: () => UNIT_FORMS,
      event: 'received',
      role: roleOf,
      register: (_, { sampledAt }) => ({ ok: true, value: { since: sampledAt, about: {} } }),
    },
  ],
  plan: (_, { limits, asked }) => {
    const [broken, dried] = countsOf(asked.product, limits);
    return {
      count: broken + dried,
      take: broken + dried,
      why: `${broken} are broken, ${dried} are soaked and dried; a spare is weighed and conditioned with them.`,
    };
  },
  summary: (asked) => [
    [
      'Specification',
      `${PRODUCTS[productOf(String(asked.product)) ?? 'c90']}, ${String(asked.edition ?? '')}`,
    ],
    ['Width × height × length', [asked.width, asked.height, asked.length].map(measureWords).join(' × ')],
    ['Expected', measureWords(asked.expectedStrength)],
    ['Class or declared', measureWords(asked.declared)],
    ['Project', projectWords(asked)],
  ],
  problems: (asked): Record<string, string> => {
    const own = ['leastMean', 'leastEach', 'mostAbsorption', 'mostAbsorptionEach'].some(
      (name) => asked[name],
    );
    if (own && !asked.projectSays)
      return { projectSays: 'Say where the project asks for this: it is printed beside the limit.' };
    const product = productOf(String(asked.product));
    const right = product && productOfEdition(product, String(asked.edition ?? ''));
    return right && right !== product
      ? { edition: `Of this year is “${PRODUCTS[right]}”: choose it above, its rows are other ones.` }
      : declaredProblem(asked);
  },
  lotWants: ({ units }, limits, { product }) => {
    const sets = setsWanted(Number(units ?? 0), limits);
    const [broken, dried] = countsOf(product, limits);
    const each = broken + dried;
    return `${sets} ${sets === 1 ? 'set' : 'sets'} of ${each} units for a lot of ${Number(units ?? 0).toLocaleString('en-US')}.`;
  },
  sampleProblems: drawProblems,
  opens: () => [],
  onLot: ['unit-report'],
  across,
  criteria: CRITERIA.map(({ id }) => id),
};

function projectWords({
  leastMean,
  leastEach,
  mostAbsorption,
  mostAbsorptionEach,
  projectSays,
}: Stored): string {
  const own = [
    leastMean ? `mean at least ${measureWords(leastMean)}` : '',
    leastEach ? `each at least ${measureWords(leastEach)}` : '',
    mostAbsorption ? `absorption at most ${measureWords(mostAbsorption)}` : '',
    mostAbsorptionEach ? `each at most ${measureWords(mostAbsorptionEach)}` : '',
  ].filter(Boolean);
  return own.length > 0 ? `${own.join(', ')}: ${String(projectSays ?? '')}` : '';
}
