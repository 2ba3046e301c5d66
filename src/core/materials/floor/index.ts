import type { Material, PlanAbout, Stored } from '../../material/contract';
import { measureWords } from '../../material/measure-words';
import { noSlab } from '../../methods/slab/drying';
import { FLOORS } from '../../methods/slab/floors';
import { pullsWanted } from '../coating/count';
import { pointsWanted, sheetsOnWall } from './count';
import { DECIDES } from './decides';
import { Asked, Lot, Zone } from './fields';
import { FORMS } from './forms';
import { levelSays, zoneSays } from './says';
import { testsWanted } from './wants';

/** What happens to a zone before it is tested, in its order. */
const LIFE = [
  ['pouredAt', 'Poured'],
  ['enclosedAt', 'Closed in'],
  ['dryingFrom', 'Dries since'],
] as const;

/** A floor before it is covered: levels, zones and the points that are tested in them over weeks. */
export const floor: Material = {
  id: 'floor',
  title: 'Floor',
  words: {
    specification: ['floor', 'floors'],
    lot: ['level', 'levels'],
    sample: ['zone', 'zones'],
    specimen: ['point', 'points'],
    report: 'Report of moisture tests on a floor',
    onSample: 'Tests of the zone',
    onSpecimens: 'Points of the zone',
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
  hasPlan: true,
  forms: FORMS,
  registers: [
    {
      id: 'points',
      begin: 'Mark points',
      title: 'Mark points',
      intro: 'Holes, dishes, sheets or dollies: each gets a label of its own, for the floor beside it.',
      done: 'They are marked.',
      countHelp:
        'Away from cracks, joints, columns, sun and heaters; one within 3 ft [1 m] of each exterior wall on grade.',
      usual: 3,
      most: 60,
      place: 'Where it lies, from two walls',
      forms: () => FORMS.map(({ id }) => id),
      event: 'marked',
      register: (_, { sampledAt }) => ({ ok: true, value: { since: sampledAt, about: {} } }),
    },
  ],
  together: [{ method: 'gluing' }],
  plannedForms: formsOf,
  plan: (zone, about) => {
    const wanted = wantedOf(zone, about);
    return wanted
      ? { count: wanted.count, take: wanted.count, why: wanted.why }
      : { count: 0, take: 0, why: 'its area is not known.' };
  },
  summary: (asked) => [
    ['Goes on it', floorWords(asked)],
    [
      'Humidity at most',
      [measureWords(asked.humidityMost), asked.uncertainty && `less ${measureWords(asked.uncertainty)}`]
        .filter(Boolean)
        .join(', '),
    ],
    ['Decided by', decidedWords(asked)],
    ['Emission at most', measureWords(asked.emissionMost)],
    ['pH of the surface', phWords(asked)],
    ['Pull-off at least', measureWords(asked.pullOffLeast)],
    ['Counted for', asked.counted === 'zone' ? 'each zone' : 'the whole level'],
    ['Whose limit', String(asked.limitFrom ?? '')],
  ],
  sampleProblems: (zone) =>
    Object.fromEntries(
      LIFE.slice(1).flatMap(([name, words], place) => {
        const before = LIFE.slice(0, place + 1).findLast(([each]) => zone[each]);
        const early = before && Date.parse(String(zone[name])) < Date.parse(String(zone[before[0]]));
        return early ? [[name, `${words} lies before ${before[1].toLowerCase()}.`]] : [];
      }),
    ),
  problems: (asked): Record<string, string> => {
    const { floor: on, humidityMost, phLow, phHigh, profileLow, profileHigh, limitFrom } = asked;
    if (phLow && phHigh && Number(phLow) >= Number(phHigh))
      return { phHigh: 'pH at most lies above pH at least.' };
    if (profileLow && profileHigh && Number(profileLow) > Number(profileHigh))
      return { profileHigh: 'The rougher chip has the greater number.' };
    if (OF_A_MAKER.some((name) => asked[name]) && !limitFrom)
      return { limitFrom: 'Say whose limit it is, with its date: it is printed beside every verdict.' };
    if (asked.decidedBy === 'carbide' && !asked.screed && !asked.carbideMost)
      return {
        screed: 'Say what the screed is, or what its maker allows: else nothing is held against a limit.',
      };
    const byHumidity = !asked.decidedBy || asked.decidedBy === 'humidity';
    return on === 'other' && byHumidity && !humidityMost
      ? { humidityMost: 'Of something else no usual limit is known: ask its maker.' }
      : {};
  },
  opens: ({ floor: on }) => ['surface-ph', 'impedance', ...(on === 'resin' ? ['surface-profile'] : [])],
  onLot: ['service-record'],
  sampleSays: zoneSays,
  across: levelSays,
  criteria: ['slab-humidity', 'surface-hood', 'carbide', 'slab-emission', 'slab-sheet', 'pull-off-each'],
};

/** The points that a zone is decided by, of each form that has some. */
function formsOf(asked: Stored, zone: Stored): readonly string[] {
  const methods = testsWanted(asked, zone).required.map(([method]) => method);
  return FORM_OF.flatMap(([method, form]) => (methods.includes(method) ? [form] : []));
}

const FORM_OF = [
  ['slab-humidity', 'slab-hole'],
  ['surface-hood', 'surface-hood'],
  ['carbide', 'screed-sample'],
  ['slab-emission', 'slab-dish'],
  ['slab-sheet', 'slab-sheet'],
  ['pull-off', 'dolly'],
] as const;

function wantedOf(zone: Stored, about: PlanAbout) {
  const { limits, system, asked, form = 'slab-hole', among } = about;
  if (form === 'dolly') return pullsWanted(zone, limits, system, asked);
  if (noSlab(zone.slab)) return sheetsOnWall(zone, limits, system);
  // Counted for the level, its area is that of the zones that want such points at all.
  const alike = (each: Stored): boolean =>
    !noSlab(each.slab) && (form === 'slab-sheet' || formsOf(asked, each).includes(form));
  const { samples, place } = (asked.counted !== 'zone' && among) || { samples: [zone], place: 0 };
  const zones = samples.filter((each, at) => at === place || alike(each));
  const before = samples.slice(0, place).filter(alike).length;
  return pointsWanted(form === 'slab-sheet' ? 'sheets' : 'holes', zones, before, limits, system);
}

/** What is said by a maker, with whose words it is. */
const OF_A_MAKER = [
  'humidityMost',
  'hoodMost',
  'carbideMost',
  'emissionMost',
  'phLow',
  'phHigh',
  'profileLow',
  'profileHigh',
  'pullOffLeast',
] as const;

function phWords({ phLow, phHigh }: Stored): string {
  if (phLow && phHigh) return `${phLow} to ${phHigh}`;
  if (phHigh) return `at most ${phHigh}`;
  return phLow ? `at least ${phLow}` : '';
}

/** What decides in place of humidity, with its own limit. */
function decidedWords({ decidedBy, hoodMost, carbideMost }: Stored): string {
  const by = DECIDES.find(({ value }) => value === decidedBy);
  const most = measureWords({ hood: hoodMost, carbide: carbideMost }[String(by?.value)]);
  return [by?.label, most && `at most ${most}`].filter(Boolean).join(', ');
}

function floorWords({ floor: on }: Stored): string {
  return FLOORS.find(({ value }) => value === on)?.label ?? '';
}
