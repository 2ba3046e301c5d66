import { Chance } from '@/core/statistics';
import type { Database } from '@/db/client';
import { startRun } from '@/server/actions/runs';
import { makeSpecimens } from '@/server/actions/samples';
import { specimenViews } from '@/server/queries/dossier';
import type { Hands } from './hands';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;
const SPAN = 18;

interface Group {
  readonly cure: 'standard' | 'field';
  readonly ageDays: number;
  /** What they come to about, psi; made up. */
  readonly strength: number;
  /** They are left for whoever opens the demo to break. */
  readonly waits?: true;
}

/**
 * Beams of a sample of the apron by its age: pairs for the series, some younger ones beside them, and of the newest bay those
 * that let traffic on.
 * @param cylinders what its cylinders come to at 28 days, psi
 */
function groupsOf(days: number, order: number, cylinders: number): readonly Group[] {
  if (days > 29) {
    const old: Group = { cure: 'standard', ageDays: 28, strength: 9.6 * Math.sqrt(cylinders) - 6 * order };
    const young: Group = { cure: 'standard', ageDays: 7, strength: 9.4 * Math.sqrt(0.73 * cylinders) };
    return order % 4 === 0 ? [young, old] : [old];
  }
  if (days < 6.5 || days > 9) return [];
  return [
    { cure: 'field', ageDays: 3, strength: 431 },
    { cure: 'field', ageDays: 7, strength: 512, waits: true },
    { cure: 'standard', ageDays: 28, strength: 660 },
  ];
}

/**
 * The beams of one bay of the apron: made beside its cylinders, broken when they were old enough.
 * @param order of the bay among those of its mix, from nought; its strength at 28 days by cylinders, psi
 */
export async function addBeams(
  db: Database,
  { act, read }: Hands,
  sampleId: string,
  castAt: number,
  now: Date,
  { order, strength }: { readonly order: number; readonly strength: number },
): Promise<void> {
  const chance = Chance.settled(300 + order);
  const groups = groupsOf((now.getTime() - castAt) / DAY, order, strength);
  for (const { cure, ageDays } of groups)
    await act(
      'field',
      makeSpecimens,
      {
        sampleId,
        castAt: new Date(castAt).toISOString(),
        size: 'beam-6x6x21',
        cure,
        groups: [{ ageDays, count: 2 }],
      },
      castAt,
    );
  const beams = (await specimenViews(db, [sampleId])).filter(({ form }) => form.startsWith('beam'));
  for (const [place, beam] of beams.entries()) {
    const group = groups.find(
      ({ cure, ageDays }) => cure === beam.about.cure && ageDays * 24 === beam.ageHours,
    );
    const at = castAt + (beam.ageHours ?? 0) * HOUR + (18 + 14 * (place % 2)) * MINUTE;
    if (!group || group.waits || at + HOUR > now.getTime()) continue;
    const { runId } = await act(
      'laboratory',
      startRun,
      { method: 'beam-third-point', specimenId: beam.id },
      at - 9 * MINUTE,
    );
    await read('laboratory', runId, broken(group, at, chance), at, true);
  }
}

/** What is read of one beam; made up about the strength of its group. */
function broken({ cure, strength }: Group, at: number, chance: Chance): Record<string, string> {
  const iso = (ms: number): string => new Date(Math.round(ms / MINUTE) * MINUTE).toISOString();
  const size = (): string => (6 + 0.05 * Math.round(chance.between(-0.6, 1.4))).toFixed(2);
  const sizes = Object.fromEntries(
    ['width1', 'width2', 'width3', 'depth1', 'depth2', 'depth3'].map((name) => [name, size()]),
  );
  const mean = (names: readonly string[]): number =>
    names.reduce((sum, name) => sum + Number(sizes[name]), 0) / names.length;
  const [b, d] = [mean(['width1', 'width2', 'width3']), mean(['depth1', 'depth2', 'depth3'])];
  const rupture = strength + chance.normal(0, 16);
  const a = chance.between(6.4, 8.9);
  const near = (off: number): string => (Math.round((a + off) / 0.05) * 0.05).toFixed(2);
  return {
    machine: 'PR-04',
    calliper: 'CA-01',
    made: 'moulded',
    waterFrom: iso(at - (cure === 'field' ? 24 : 46) * HOUR),
    waterTemperature: '73',
    outOfMoistAt: iso(at - 8 * MINUTE),
    surface: 'moist',
    condition: 'sound',
    mass: (62.6 + chance.between(0, 1.6)).toFixed(1),
    side: 'side',
    rollers: 'true',
    span: SPAN.toFixed(2),
    overhangLeft: '1.5',
    overhangRight: '1.5',
    fixture: '4',
    spacers: 'none',
    flush: 'yes',
    zeroed: 'true',
    guarded: 'true',
    preload: '300',
    gapSupportLeft: 'none',
    gapLoadLeft: chance.between(0, 1) < 0.3 ? 'leather' : 'none',
    gapLoadRight: 'none',
    gapSupportRight: 'none',
    loadingRate: String(Math.round(chance.between(138, 164))),
    going: 'steady',
    maximumLoad: String(Math.round((rupture * b * d * d) / SPAN / 5) * 5),
    testedAt: iso(at),
    zeroAfter: 'same',
    a1: near(0.1),
    a2: near(0),
    a3: near(-0.1),
    crack: 'clean',
    stones: String(5 * Math.round(chance.between(11, 16))),
    ...sizes,
  };
}
