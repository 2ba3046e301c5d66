import type { Material, Stored } from '../../material/contract';
import { measureWords } from '../../material/measure-words';
import { FLOORS } from '../../methods/slab/floors';
import { holesWanted } from './count';
import { Asked, Lot, Zone } from './fields';
import { FORMS } from './forms';

/** A floor before it is covered: levels, zones and the points that are tested in them over weeks. */
export const floor: Material = {
  id: 'floor',
  title: 'Floor',
  words: {
    specification: ['floor', 'floors'],
    lot: ['level', 'levels'],
    sample: ['zone', 'zones'],
    specimen: ['hole', 'holes'],
    report: 'Report of moisture tests on a floor',
    onSample: 'Tests of the zone',
    onSpecimens: 'Holes for humidity',
  },
  Asked,
  Lot,
  Sample: Zone,
  lotFields: {
    title: 'Level',
    titleHelp: 'As it is called on the drawings.',
    startsAt: 'Begun at',
  },
  usual: { floor: 'resilient' },
  forms: FORMS,
  registers: [
    {
      id: 'holes',
      begin: 'Mark holes',
      title: 'Mark holes',
      intro: 'Each gets a label of its own, for its cap and for the floor beside it.',
      done: 'They are marked.',
      countHelp:
        'Away from cracks, joints, columns, sun and heaters; one within 3 ft [1 m] of each exterior wall on grade.',
      usual: 3,
      most: 60,
      place: 'Where it lies, from two walls',
      forms: () => ['slab-hole'],
      event: 'marked',
      register: (_, { sampledAt }) => ({ ok: true, value: { since: sampledAt, about: {} } }),
    },
  ],
  plan: (zone, limits, system) => {
    const wanted = holesWanted(zone, limits, system);
    return wanted
      ? { count: wanted.count, take: wanted.count, why: wanted.why }
      : { count: 0, take: 0, why: 'its area is not known.' };
  },
  summary: (asked) => [
    ['Goes on it', floorWords(asked)],
    ['Humidity at most', measureWords(asked.humidityMost)],
    ['pH of the surface', phWords(asked)],
    ['Whose limit', String(asked.limitFrom ?? '')],
  ],
  problems: ({ floor: on, humidityMost, phLow, phHigh, limitFrom }): Record<string, string> => {
    if (phLow && phHigh && Number(phLow) >= Number(phHigh))
      return { phHigh: 'pH at most lies above pH at least.' };
    if ((humidityMost || phLow || phHigh) && !limitFrom)
      return { limitFrom: 'Say whose limit it is, with its date: it is printed beside every verdict.' };
    return on === 'other' && !humidityMost
      ? { humidityMost: 'Of something else no usual limit is known: ask its maker.' }
      : {};
  },
  opens: () => ['surface-ph'],
  onLot: [],
  criteria: ['slab-humidity'],
};

function phWords({ phLow, phHigh }: Stored): string {
  if (phLow && phHigh) return `${phLow} to ${phHigh}`;
  if (phHigh) return `at most ${phHigh}`;
  return phLow ? `at least ${phLow}` : '';
}

function floorWords({ floor: on }: Stored): string {
  return FLOORS.find(({ value }) => value === on)?.label ?? '';
}
