import { toSVG } from 'bwip-js/node';
import { and, asc, eq, sql } from 'drizzle-orm';
import { DateTime } from 'luxon';
import type { Content, TableCell } from 'pdfmake/interfaces';
import { type SpecimenLabel, sheetRows } from '@/core/identity/label-sheet';
import { formText } from '@/core/materials/forms';
import { isHeld, isMould } from '@/core/moulds';
import { ageText } from '@/core/windows';
import type { Queryable } from '@/db/client';
import { jobs, lots, samples, specifications, specimens } from '@/db/schema';
import { NotFound } from './errors';
import { pdfmake } from './reports/pdfmake';
import { staffOnly } from './scope';
import type { Actor } from './use-case';

const MILLIMETRE = 72 / 25.4;
const ACROSS = 3;
const SHEET_ROW = 27;
const SINGLE = { width: 70, height: 36 } as const;

/** The labels of a sample's specimens, or of one of them. */
export async function labelsOf(
  db: Queryable,
  actor: Actor,
  wanted: { sampleId?: string; specimenId?: string },
): Promise<SpecimenLabel[]> {
  staffOnly(actor);
  const rows = await db
    .select({ specimen: specimens, placement: lots, mix: specifications, job: jobs })
    .from(specimens)
    .innerJoin(samples, eq(samples.id, specimens.sampleId))
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .innerJoin(specifications, eq(specifications.id, lots.specificationId))
    .innerJoin(jobs, eq(jobs.id, samples.jobId))
    .where(
      and(
        wanted.sampleId ? eq(specimens.sampleId, wanted.sampleId) : undefined,
        wanted.specimenId ? eq(specimens.id, wanted.specimenId) : undefined,
      ),
    )
    .orderBy(sql`length(${specimens.label})`, asc(specimens.label));
  if (rows.length === 0) throw new NotFound('A specimen to label');
  return rows.map(({ specimen, placement, mix, job }) => {
    const local = (at: Date) => DateTime.fromJSDate(at, { zone: job.zone });
    const due = specimen.ageHours
      ? `${ageText(specimen.ageHours)}, ${local(new Date(specimen.since.getTime() + specimen.ageHours * 3_600_000)).toFormat('d LLL')}`
      : isHeld(specimen)
        ? 'hold'
        : '';
    return {
      code: specimen.label,
      job: `${job.number} ${job.name}`,
      mix: mix.code,
      element: placement.title,
      since: `${isMould(specimen.form) ? 'Cast' : 'Taken'} ${local(specimen.since).toFormat('d LLL yyyy HH:mm')}`,
      due,
      size: formText(specimen.form),
      cure: specimen.about.cure === undefined ? '' : specimen.about.cure === 'field' ? 'F' : 'S',
    };
  });
}

/** The bars of a label: Code 128, which a hand scanner reads and types. */
export function barcodeSvg(code: string): string {
  return toSVG({ bcid: 'code128', text: code, height: 8, includetext: false, paddingwidth: 4 });
}

function labelCell(label: SpecimenLabel): Content {
  return {
    margin: [4, 3, 4, 2],
    stack: [
      {
        columns: [
          { text: label.code, font: 'Mono', bold: true, fontSize: 13 },
          {
            text: `${label.due}  ${label.cure}`,
            alignment: 'right',
            bold: true,
            fontSize: 9,
            margin: [0, 3, 0, 0],
          },
        ],
      },
      { svg: barcodeSvg(label.code), width: 160, height: 24, margin: [0, 2, 0, 2] },
      { text: `${label.mix}, ${label.element}. ${label.size}`, fontSize: 7 },
      { text: `${label.job}. ${label.since}`, fontSize: 7 },
    ],
  };
}

/**
 * Labels as a PDF: on a sheet of A4 or Letter three across, or one a page for a label printer.
 * @returns the bytes of the file
 */
export async function labelPdf(
  labels: readonly SpecimenLabel[],
  options: { single: boolean; paper: 'A4' | 'LETTER' },
): Promise<Buffer> {
  const common = {
    info: { title: 'Specimen labels' },
    defaultStyle: { font: 'Text', fontSize: 8, lineHeight: 1.05 },
  };
  if (options.single) {
    return pdfmake()
      .createPdf({
        ...common,
        pageSize: { width: SINGLE.width * MILLIMETRE, height: SINGLE.height * MILLIMETRE },
        pageMargins: [6, 6, 6, 4],
        content: labels.map((label, index) => ({
          stack: [labelCell(label)],
          ...(index > 0 ? { pageBreak: 'before' as const } : {}),
        })),
      })
      .getBuffer();
  }
  const body: TableCell[][] = sheetRows(labels, ACROSS).map((row) => [
    ...row.map((label) => labelCell(label) as TableCell),
    ...Array.from(
      { length: ACROSS - row.length },
      () => ({ text: '', border: [false, false, false, false] }) as TableCell,
    ),
  ]);
  return pdfmake()
    .createPdf({
      ...common,
      pageSize: options.paper,
      pageMargins: [18, 24, 18, 24],
      content: [
        {
          table: {
            widths: Array.from({ length: ACROSS }, () => '*'),
            heights: SHEET_ROW * MILLIMETRE,
            body,
            dontBreakRows: true,
          },
          layout: {
            hLineColor: () => '#B9B4A6',
            vLineColor: () => '#B9B4A6',
            hLineWidth: () => 0.5,
            vLineWidth: () => 0.5,
          },
        },
      ],
    })
    .getBuffer();
}
