import type { VerdictState } from '../../acceptance/criterion';
import { summarise } from '../../acceptance/evaluate';
import type { LotAbout, LotSays, SampleOfLot } from '../../material/contract';
import { testsWanted } from './wants';

interface Stands {
  readonly state: VerdictState;
  readonly sentence: string;
}

/** How a zone stands by all of its tests: one that does not hold decides, one that is missing leaves it open. */
function stands({ about, verdicts, tested }: SampleOfLot, asked: LotAbout['asked']): Stands {
  const { required } = testsWanted(asked, about);
  const names = new Map<string, string>([...required, ['slab-sheet', 'plastic sheet']]);
  const of = (state: VerdictState): string[] => [
    ...new Set(
      verdicts.flatMap((each) => (each.state === state ? (names.get(each.method) ?? each.title) : [])),
    ),
  ];
  // On a slab a sheet is a sign beside the tests that decide; where nothing else can be tested it decides.
  const decides = (method: string): boolean =>
    method !== 'slab-sheet' || required.some(([wanted]) => wanted === method);
  const bad = verdicts.filter(({ state, method }) => state === 'does not meet' && decides(method));
  if (bad.length > 0)
    return {
      state: 'does not meet',
      sentence: `Does not meet what is asked for: ${[...new Set(bad.map(({ method, title }) => names.get(method) ?? title))].join(', ')}. What passes beside it does not outweigh it.`,
    };
  const missing = required.flatMap(([method, name]) => {
    const own = verdicts.filter((each) => each.method === method);
    if (own.some(({ state }) => state === 'not yet determinable')) return [name];
    // A profile of which nothing is asked is only told.
    return own.length === 0 && !(method === 'surface-profile' && tested.includes(method)) ? [name] : [];
  });
  if (missing.length > 0)
    return { state: 'not yet determinable', sentence: `Not yet determinable: ${missing.join(', ')}.` };
  if (of('does not meet').length > 0)
    return {
      state: 'needs decision',
      sentence:
        'Moisture was seen under a plastic sheet though the rest meets what is asked for: the engineer decides.',
    };
  const open = of('needs decision');
  return open.length > 0
    ? { state: 'needs decision', sentence: `Needs a decision: ${open.join(', ')}.` }
    : {
        state: 'meets',
        sentence: `Meets what is asked for by all that is wanted: ${required.map(([, name]) => name).join(', ')}.`,
      };
}

/** What all tests of a zone say together, which were wanted, and which say nothing on this slab. */
export function zoneSays(zone: SampleOfLot, { asked }: LotAbout): LotSays {
  const { required, helps, refused, remarks } = testsWanted(asked, zone.about);
  return {
    results: [],
    lines: [],
    verdict: stands(zone, asked),
    remarks: [
      `Wanted: ${required.map(([, name]) => name).join(', ')}; every one has to hold.`,
      ...(helps.length > 0 ? [`It helps: ${helps.join('; ')}.`] : []),
      ...refused,
      ...remarks,
    ],
  };
}

/** What the zones of a level say together: its worst zone, never a mean over pours. */
export function levelSays(zones: readonly SampleOfLot[], { asked }: LotAbout): LotSays | null {
  if (zones.length === 0) return null;
  const each = zones.map((zone) => ({ name: String(zone.about.name ?? zone.label), ...stands(zone, asked) }));
  const names = (one: VerdictState): string =>
    each.flatMap((zone) => (zone.state === one ? zone.name : [])).join(', ');
  const parts = [
    ['does not meet', 'does not meet'],
    ['needs decision', 'needs a decision'],
    ['not yet determinable', 'still open'],
    ['meets', 'meets'],
  ] as const;
  return {
    results: [],
    lines: [],
    verdict: {
      state: summarise(each),
      sentence: parts
        .flatMap(([one, words]) => (names(one) ? `${names(one)}: ${words}` : []))
        .join('; ')
        .concat('.'),
    },
    remarks: each.map(({ name, sentence }) => `${name}: ${sentence}`),
  };
}
