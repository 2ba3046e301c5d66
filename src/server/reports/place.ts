import { eq } from 'drizzle-orm';
import { DateTime } from 'luxon';
import { groupBy } from '@/core/group-by';
import { findMethod } from '@/core/methods/registry';
import { type System, unitLabel } from '@/core/quantity';
import type { ReportContent, ReportCourse, ReportedVisit } from '@/core/report';
import type { Queryable } from '@/db/client';
import { lotPictures } from '@/db/schema';
import { newestPlan } from '../plans';
import { heldBy, readAt, type ToldRun, toldBy } from '../points';
import type { sampleDossiers } from '../queries/sample';

type Dossier = Awaited<ReturnType<typeof sampleDossiers>>[number];

/** The plan of a place with what was read at the points of some of its samples; nothing where none was drawn. */
export async function planOf(
  db: Queryable,
  lotId: string,
  dossiers: readonly Dossier[],
  system: System,
): Promise<Pick<ReportContent, 'plan'>> {
  const drawn = await newestPlan(db, lotId);
  if (!drawn) return {};
  const { plan, pictureId } = drawn;
  const names = new Map(dossiers.map(({ sample }) => [sample.id, String(sample.about.name ?? '')]));
  const points = dossiers.flatMap(({ specimens, sets }) =>
    specimens
      .filter(({ discarded }) => discarded === null)
      .map((view) => ({ ...readAt(view, sets), place: view.place })),
  );
  return {
    plan: {
      system,
      width: plan.width,
      height: plan.height,
      zones: plan.zones.map(({ sampleId, outline, walls }) => ({
        name: names.get(sampleId) ?? '',
        outline,
        walls,
      })),
      corridors: plan.corridors,
      flags: plan.flags ?? [],
      points: points.flatMap(({ place, ...point }) =>
        place ? [{ ...point, at: { x: place.x * plan.width, y: place.y * plan.height } }] : [],
      ),
      unplaced: points.flatMap(({ place, label }) => (place ? [] : [label])),
      picture: pictureId ? await pictureOf(db, pictureId) : null,
    },
  };
}

async function pictureOf(db: Queryable, id: string) {
  const { name, mime, sha256 } = lotPictures;
  const [found] = await db
    .select({ id: lotPictures.id, name, mime, sha256 })
    .from(lotPictures)
    .where(eq(lotPictures.id, id));
  return found ?? null;
}

/** What was read at the same specimens more than once, by method: its days, values and what it is held against. */
export function coursesOf(dossiers: readonly Dossier[], zone: string): ReportCourse[] {
  const told = dossiers.flatMap(({ specimens, sets }) =>
    specimens.flatMap((view) => toldBy(view).map((run) => ({ view, sets, run }))),
  );
  const again = told.filter(({ run }) => findMethod(run.method)?.again === 'freely');
  return [...groupBy(again, ({ run }) => run.method)].flatMap(([id, own]): ReportCourse[] => {
    const [first] = own;
    const rows = [...groupBy(own, ({ view }) => view.label)].map(([label, visits]) => ({
      label,
      visits: visits
        .flatMap(({ run }) => visitOf(run, zone))
        .toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at)),
    }));
    if (!first || !rows.some(({ visits }) => visits.length > 1)) return [];
    const { quantity, unit } = first.run.main;
    const held = heldBy(
      id,
      dossiers.flatMap(({ sets }) => sets),
      quantity,
    );
    return [
      {
        title: findMethod(id)?.title ?? id,
        quantity,
        unit: unitLabel(unit),
        limit: held ? { value: held.limit, holds: held.holds } : null,
        rows,
      },
    ];
  });
}

function visitOf({ method, input, main }: ToldRun, zone: string): ReportedVisit[] {
  const at = input?.[findMethod(method)?.performedAt ?? ''];
  if (typeof at !== 'string') return [];
  return [
    {
      at,
      day: DateTime.fromISO(at, { zone }).toFormat('d LLL yy'),
      value: Number(main.reported),
      // A bound in words: the sign is in none of the fonts a report is printed in.
      text: main.bound ? `${main.reported} or ${main.bound === 'at least' ? 'more' : 'less'}` : main.text,
      open: main.provisional !== undefined,
    },
  ];
}
