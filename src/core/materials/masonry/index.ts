import type { Material, Stored } from '../../material/contract';
import { measureWords } from '../../material/measure-words';
import { Drawn, drawProblems } from '../drawn';
import { across } from './across';
import { CRITERIA } from './criteria';
import { Asked, Lot } from './fields';
import { ABSORPTION, COMPRESSION, FORMS, SPARE, UNIT_FORMS } from './forms';
import { PRODUCTS, productOf } from './products';
import { proposesRoles, ROLE_FACTS, ROLES, roleOf } from './roles';
import { setsWanted } from './sets-wanted';

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
      done: 'They are registered. The first three are for strength, the next three for absorption until their masses say otherwise.',
      countHelp: 'Six make a set; one or two spares may come with it.',
      usual: 6,
      most: 24,
      place: 'Where they are',
      forms: () => UNIT_FORMS,
      event: 'received',
      role: roleOf,
      register: (_, { sampledAt }) => ({ ok: true, value: { since: sampledAt, about: {} } }),
    },
  ],
  plan: (_, limits, system) => {
    const count = limits.number('unit.set', system).toNumber();
    return {
      count,
      take: count,
      why: 'three are broken, three are soaked and dried; a spare is weighed and conditioned with them.',
    };
  },
  summary: (asked) => [
    [
      'Specification',
      `${PRODUCTS[productOf(String(asked.product)) ?? 'c90']}, ${String(asked.edition ?? '')}`,
    ],
    ['Width × height × length', [asked.width, asked.height, asked.length].map(measureWords).join(' × ')],
    ['Expected', measureWords(asked.expectedStrength)],
    ['Project', projectWords(asked)],
  ],
  problems: (asked): Record<string, string> => {
    const own = ['leastMean', 'leastEach', 'mostAbsorption', 'mostAbsorptionEach'].some(
      (name) => asked[name],
    );
    if (own && !asked.projectSays)
      return { projectSays: 'Say where the project asks for this: it is printed beside the limit.' };
    // ASTM C90 before 2014 (from memory): 1,900 psi the mean, 1,700 each, other webs.
    const year = /\b(?:19|20)\d\d\b/u.exec(String(asked.edition ?? ''))?.[0];
    return asked.product === 'c90' && year && Number(year) < 2014 && !asked.leastMean
      ? {
          edition:
            'Editions before 2014 ask for less strength, and for other webs: type their strengths below as the project’s own, with the edition as their source.',
        }
      : {};
  },
  lotWants: ({ units }, limits) => {
    const sets = setsWanted(Number(units ?? 0), limits);
    const each = limits.number('unit.set', 'US').toNumber();
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
