import type { Material, Stored } from '../../material/contract';
import { measureWords } from '../../material/measure-words';
import { across } from './across';
import { CRITERIA } from './criteria';
import { Asked, Group, Lot } from './fields';
import { CYLINDER, FORMS } from './forms';

const LAWS: Readonly<Record<string, string>> = {
  general: 'general K',
  is: 'K by IS 8764',
  gb: 'power law of GB/T 50218',
};

/** Rock, from the borehole or the face to its index, and what is estimated from it. */
export const rock: Material = {
  id: 'rock',
  title: 'Rock',
  words: {
    specification: ['rock unit', 'rock units'],
    lot: ['borehole or face', 'boreholes and faces'],
    sample: ['group', 'groups'],
    specimen: ['piece', 'pieces'],
    report: 'Report of tests on rock',
    onSample: 'Tests of the group',
    onSpecimens: 'Pieces',
  },
  Asked,
  Lot,
  Sample: Group,
  lotFields: {
    title: 'Borehole or face',
    titleHelp: 'As it is called on the drawings: BH-4, north face.',
    startsAt: 'Drilled or opened at',
  },
  usual: { law: 'own' },
  forms: FORMS,
  together: [{ method: 'rock-drying' }],
  registers: [
    {
      id: 'pieces',
      begin: 'Register pieces',
      title: 'Register pieces',
      intro: 'Each piece gets a label of its own, to be written on it or stuck to it.',
      done: 'They are registered.',
      countHelp: 'At most 60 at once.',
      usual: 20,
      most: 60,
      place: 'Where they are',
      forms: ({ pieces }) => [String(pieces)],
      event: 'received',
      // What is taken is not made, and has no age.
      register: (_, { sampledAt }) => ({ ok: true, value: { since: sampledAt, about: {} } }),
    },
  ],
  plan: ({ pieces }, { limits, system }) => {
    if (pieces === CYLINDER) {
      const cores = limits.number('ucs.cores', system).toNumber();
      return { count: cores, take: cores, why: `${cores} cores in the shape of the method make a group.` };
    }
    const lumps = pieces === 'rock-lump';
    const count = limits.number(lumps ? 'point.pieces-lump' : 'point.pieces-core', system).toNumber();
    const share = limits.number(lumps ? 'point.yield-lump' : 'point.yield-core', system).toNumber();
    return {
      count,
      take: Math.ceil(count / share),
      why: `${count} valid tests make a group; about ${Math.round(share * 100)} of 100 ${lumps ? 'lumps' : 'pieces'} give one.`,
    };
  },
  summary: (asked) => [
    ['Expected', measureWords(asked.expectedStrength)],
    ['Mean index', atLeast(asked, 'leastIndex')],
    ['Lowest index', atLeast(asked, 'leastPiece')],
    ['Estimated strength', atLeast(asked, 'leastStrength')],
    ['Mean of cores', atLeast(asked, 'leastCores')],
    ['Lowest core', atLeast(asked, 'leastCore')],
    ['Estimated by', lawWords(asked)],
  ],
  problems: ({ law, factor, factorFrom }): Record<string, string> => {
    if (factor && !factorFrom)
      return { factorFrom: 'Say where this factor comes from: it is printed beside every estimate.' };
    return factor && law && law !== 'own'
      ? { factor: 'Take the factor away, or choose “as typed below, else the site’s own”.' }
      : {};
  },
  lotProblems: ({ depthFrom, depthTo }): Record<string, string> => {
    const [from, to] = [depthFrom, depthTo].map((depth) => Number.parseFloat(String(depth)));
    return from !== undefined && to !== undefined && from > to
      ? { depthTo: 'Depth to lies above depth from.' }
      : {};
  },
  opens: () => [],
  onLot: ['site-factor'],
  across,
  criteria: CRITERIA.map(({ id }) => id),
};

function atLeast(asked: Stored, name: string): string {
  const words = measureWords(asked[name]);
  return words ? `at least ${words}` : '';
}

function lawWords({ law, factor }: Stored): string {
  const named = LAWS[String(law)];
  return named ?? (factor ? `K ${String(factor)}` : 'the site’s K, else the general one');
}
