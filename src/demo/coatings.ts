import { randomUUID } from 'node:crypto';
import type { Database } from '@/db/client';
import { createLot, createSpecification } from '@/server/actions/jobs';
import { registerSpecimens } from '@/server/actions/register';
import { startRun } from '@/server/actions/runs';
import { takeSample } from '@/server/actions/samples';
import type { SpecimenView } from '@/server/queries/dossier';
import { batchWith } from './batch';
import { pointsOf } from './floors';
import type { Readings } from './fresh';
import type { Hands } from './hands';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;
const iso = (at: number): string => new Date(Math.round(at / MINUTE) * MINUTE).toISOString();

/** What one pull came to; made up. */
export interface Pulled {
  readonly shown: string;
  readonly seconds: string;
  readonly face: readonly (readonly [plane: string, share: string])[];
  readonly broken?: string;
  /** Cores: two diameters. */
  readonly core?: readonly [string, string];
}

/** Dollies glued together, and as many of them pulled as there are pulls for; the others wait. */
export async function glueAndPull(
  hands: Hands,
  dollies: readonly SpecimenView[],
  pulls: readonly Pulled[],
  at: number,
  alike: Readings,
): Promise<void> {
  const { act, read } = hands;
  const set = dollies.map(({ label }, place) => ({
    specimen: label,
    set: 'straight',
    at: iso(at + (4 + 3 * place) * MINUTE),
  }));
  await batchWith(hands)(
    'gluing',
    dollies,
    {
      kind: 'slow',
      product: 'two-part epoxy, batch 31-07',
      tried: 'sound',
      cure: '18',
      cureAt: '70',
      least: '50',
      life: '55',
      prepared: 'both',
      surfaceTemperature: '66',
      airTemperature: '67',
      airHumidity: '48',
      mixedAt: iso(at),
      dollies: set,
      setAt: iso(at + (6 + 3 * dollies.length) * MINUTE),
      control: '2,150 psi',
    },
    at + HOUR,
    true,
  );
  for (const [place, pull] of pulls.entries()) {
    const dolly = dollies[place];
    if (!dolly) continue;
    const pulledAt = at + 26 * HOUR + place * 12 * MINUTE;
    const asked = { method: 'pull-off', specimenId: dolly.id };
    const { runId } = await act('laboratory', startRun, asked, pulledAt - 6 * MINUTE);
    const { shown, seconds, face, broken, core } = pull;
    await read(
      'laboratory',
      runId,
      {
        tester: 'PT-01',
        seat: 'self',
        zeroed: 'true',
        shows: 'stress',
        shown,
        seconds,
        ended: 'broke',
        face: face.map(([plane, share]) => ({ plane, share })),
        cameOff: 'even',
        pulledAt: iso(pulledAt),
        kept: `bag ${place + 1}`,
        ...(broken ? { broken } : {}),
        ...(core ? { core1: core[0], core2: core[1] } : {}),
        ...alike,
      },
      pulledAt,
      true,
    );
  }
}

interface AreaStory {
  readonly name: string;
  readonly size: string;
  readonly lies: 'floor' | 'wall' | 'over';
  readonly dollies: number;
  readonly gluedHoursAgo: number;
  readonly pulls: readonly Pulled[];
}

interface CoatingStory {
  readonly code: string;
  readonly title: string;
  readonly structure: string;
  readonly location: string;
  readonly asked: Readonly<Record<string, string>>;
  readonly alike: Readings;
  readonly areas: readonly AreaStory[];
}

const STORIES: readonly CoatingStory[] = [
  {
    code: 'PM-CT1',
    title: 'Ramp steel, three coats',
    structure: 'Link span ramp 2',
    location: 'Berth 2, underside',
    asked: {
      pullBy: 'd4541',
      coats: 'A steel, B zinc primer 3 mil, C epoxy 7 mil, D polyurethane 2 mil',
      pullOffLeast: '850 psi',
      limitFrom: 'coating specification of the ramp, section 4',
    },
    alike: { dolly: '0.787', cut: 'no', film: '12.4', repaired: 'coats B to D by the painter' },
    areas: [
      {
        name: 'Panel 4',
        size: '410 ft2',
        lies: 'over',
        dollies: 4,
        gluedHoursAgo: 8 * 24,
        pulls: [
          {
            shown: '1,120',
            seconds: '24',
            face: [
              ['B', '70'],
              ['C', '30'],
            ],
          },
          {
            shown: '1,310',
            seconds: '27',
            face: [
              ['C', '35'],
              ['Y', '65'],
            ],
          },
          {
            shown: '1,180',
            seconds: '25',
            face: [
              ['B', '80'],
              ['B/C', '20'],
            ],
          },
        ],
      },
      {
        name: 'Panel 7',
        size: '390 ft2',
        lies: 'over',
        dollies: 3,
        gluedHoursAgo: 7 * 24,
        pulls: [
          {
            shown: '1,090',
            seconds: '23',
            face: [
              ['B', '90'],
              ['C', '10'],
            ],
          },
          {
            shown: '610',
            seconds: '14',
            face: [
              ['A/B', '85'],
              ['B', '15'],
            ],
          },
          {
            shown: '740',
            seconds: '17',
            face: [
              ['A/B', '70'],
              ['B', '30'],
            ],
          },
        ],
      },
    ],
  },
  {
    code: 'PM-OV1',
    title: 'Bonded overlay, berth apron',
    structure: 'Berth apron, bay 2',
    location: 'Berth 2',
    asked: {
      pullBy: 'c1583',
      coats: 'A old apron, B overlay 2.5 in',
      pullOffLeast: '160 psi',
      pullOffMean: '190 psi',
      limitFrom: 'repair specification, section 6',
    },
    alike: { dolly: '2', cut: 'through', depth: '0.55', repaired: 'repair mortar' },
    areas: [
      {
        name: 'Bay 2 north',
        size: '1,250 ft2',
        lies: 'floor',
        dollies: 5,
        gluedHoursAgo: 34,
        pulls: [
          { shown: '236', seconds: '48', face: [['A', '100']], broken: '0.7', core: ['1.99', '1.98'] },
          {
            shown: '204',
            seconds: '43',
            face: [
              ['A/B', '60'],
              ['A', '40'],
            ],
            core: ['1.98', '1.98'],
          },
          { shown: '171', seconds: '36', face: [['Y', '100']], core: ['1.99', '1.99'] },
        ],
      },
    ],
  },
];

/** A coated ramp with one panel that holds and one that does not, and an overlay with two cores still to be pulled. */
export async function addCoatings(db: Database, hands: Hands, jobId: string, now: Date): Promise<void> {
  const { act } = hands;
  const from = now.getTime() - 21 * DAY;
  for (const { code, title, structure, location, asked, alike, areas } of STORIES) {
    const { specificationId } = await act(
      'reviewer',
      createSpecification,
      { jobId, code, title, material: 'coating', asked },
      from,
    );
    const { lotId } = await act(
      'laboratory',
      createLot,
      { jobId, specificationId, startsAt: iso(from), title: structure, about: { location } },
      from,
    );
    for (const { name, size, lies, dollies, gluedHoursAgo, pulls } of areas) {
      const glued = now.getTime() - gluedHoursAgo * HOUR;
      const begun = glued - 2 * HOUR;
      const { sampleId } = await act(
        'laboratory',
        takeSample,
        { clientId: randomUUID(), lotId, sampledAt: iso(begun), about: { name, area: size, lies } },
        begun,
      );
      await act(
        'laboratory',
        registerSpecimens,
        { sampleId, how: 'dollies', form: 'dolly', count: dollies, place: `${name}, as marked` },
        begun,
      );
      await glueAndPull(hands, await pointsOf(db, sampleId, 'dolly'), pulls, glued, alike);
    }
  }
}
