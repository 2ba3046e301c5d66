import type { Material } from '../../material/contract';
import { measureWords } from '../../material/measure-words';
import { PULL_STANDARDS } from '../../methods/pull/standards';
import { pullsWanted } from './count';
import { Area, Asked, Lot } from './fields';
import { DOLLIES } from './forms';

/** Coatings on metal, overlays and repairs on concrete: areas, and the dollies that are pulled off them. */
export const coating: Material = {
  id: 'coating',
  title: 'Coating or overlay',
  words: {
    specification: ['coating', 'coatings'],
    lot: ['structure', 'structures'],
    sample: ['area', 'areas'],
    specimen: ['dolly', 'dollies'],
    report: 'Report of pull-off tests',
    onSample: 'Tests of the area',
    onSpecimens: 'Pulls',
  },
  Asked,
  Lot,
  Sample: Area,
  lotFields: {
    title: 'Structure',
    titleHelp: 'As it is called on the drawings.',
    startsAt: 'Coated on',
  },
  usual: { pullBy: 'd4541' },
  forms: DOLLIES,
  registers: [
    {
      id: 'dollies',
      begin: 'Mark dollies',
      title: 'Mark dollies',
      intro: 'Each gets a label of its own, for its back and for the place beside it.',
      done: 'They are marked.',
      countHelp:
        'Three dolly diameters apart, and as far from welds, edges and bolts. A fifth more than wanted: one may slide.',
      usual: 3,
      most: 60,
      place: 'Where it is, from two edges',
      forms: () => ['dolly'],
      event: 'marked',
      register: (_, { sampledAt }) => ({ ok: true, value: { since: sampledAt, about: {} } }),
    },
  ],
  together: [{ method: 'gluing' }],
  plan: (area, { limits, system, asked }) => {
    const { count, why } = pullsWanted(area, limits, system, asked);
    return {
      count,
      take: count + Math.ceil(count / 5),
      why: `${why} One in five more, for one that slides.`,
    };
  },
  summary: (asked) => [
    ['Pulled by', PULL_STANDARDS.find(({ value }) => value === asked.pullBy)?.label ?? ''],
    ['Coats', String(asked.coats ?? '')],
    ['Every pull at least', measureWords(asked.pullOffLeast)],
    ['Their mean at least', measureWords(asked.pullOffMean)],
    ['A/B only from', measureWords(asked.noFirstBelow)],
    ['Whose limit', String(asked.limitFrom ?? '')],
  ],
  problems: ({ pullOffLeast, pullOffMean, noFirstBelow, limitFrom }): Record<string, string> =>
    (pullOffLeast || pullOffMean || noFirstBelow) && !limitFrom
      ? { limitFrom: 'Say whose limit it is, with its date: it is printed beside every verdict.' }
      : {},
  opens: () => [],
  onLot: [],
  criteria: ['pull-off-each', 'pull-off-mean'],
};
