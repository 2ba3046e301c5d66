import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import {
  curvePaths,
  plotMarks,
  type ReportContent,
  rulesText,
  type Section,
  sectionsOf,
  WHOLE,
} from '@/core/report';
import type { WorkingLine } from '@/core/working';
import { drawingSvg } from './drawing-svg';
import { INK, latin, RULE, STOP, TEAL } from './ink';
import { pdfmake } from './pdfmake';

export interface PdfHead {
  readonly number: string;
  readonly revision: number;
  readonly signature: { readonly name: string; readonly title: string; readonly at: string } | null;
  /** Another reviewer who has read it before it was signed. */
  readonly reader?: { readonly name: string; readonly at: string } | null;
  readonly replaces: { readonly number: string; readonly revision: number; readonly reason: string } | null;
}

/** The pictures of a report by their ids, as data URLs; one that cannot be printed is absent. */
export type PdfPictures = ReadonlyMap<string, string>;

/** The report as a PDF file, with its data inside as an attachment. */
export async function reportPdf(
  head: PdfHead,
  content: ReportContent,
  pictures: PdfPictures = new Map(),
): Promise<Buffer> {
  return pdfmake()
    .createPdf(definition(head, content, pictures))
    .getBuffer();
}

function cell(text: string, options: Record<string, unknown> = {}): TableCell {
  return { text: latin(text), ...options };
}

/** What stands on every page of a document of the laboratory, and in what it is set. */
function frame(about: {
  readonly laboratory: string;
  readonly number: string;
  readonly title: string;
  readonly subject: string;
  readonly foot: string;
  readonly draft: boolean;
}): Omit<TDocumentDefinitions, 'content'> {
  return {
    pageSize: 'LETTER',
    pageMargins: [48, 54, 48, 58],
    info: { title: about.title, subject: about.subject },
    defaultStyle: { font: 'Text', fontSize: 9, color: INK, lineHeight: 1.15 },
    styles: {
      section: { fontSize: 11, bold: true, color: TEAL, margin: [0, 12, 0, 4] },
      label: { fontSize: 8, color: '#55636B' },
      small: { fontSize: 8, color: '#3C4A52' },
      mono: { font: 'Mono', fontSize: 8.5 },
    },
    ...(about.draft
      ? { watermark: { text: 'DRAFT, NOT SIGNED', color: STOP, opacity: 0.12, bold: true } }
      : {}),
    // A heading does not end a page.
    pageBreakBefore: ({ headlineLevel }, nodes) =>
      headlineLevel === 1 && nodes.getFollowingNodesOnPage().length === 0,
    header: {
      margin: [48, 24, 48, 0],
      columns: [
        { text: latin(about.laboratory), bold: true },
        { text: about.number, alignment: 'right', font: 'Mono' },
      ],
    },
    footer: (page: number, pages: number) => ({
      margin: [48, 16, 48, 0],
      columns: [
        { text: latin(about.foot), style: 'label' },
        { text: `page ${page} of ${pages}`, alignment: 'right', style: 'label' },
      ],
    }),
  };
}

/** Sections under a title, as a file to hand out that nobody signs: what a source did over a period. */
export async function sectionsPdf(
  about: {
    readonly laboratory: string;
    readonly number: string;
    readonly title: string;
    readonly foot: string;
  },
  facts: ReportContent['facts'],
  sections: readonly Section[],
  notes: readonly string[],
): Promise<Buffer> {
  return pdfmake()
    .createPdf({
      ...frame({ ...about, subject: about.foot, draft: false }),
      content: [
        { text: latin(about.title), fontSize: 18, bold: true, margin: [0, 4, 0, 2] },
        pairs(facts),
        ...sections.flatMap((section) => sectionPart(section, new Map())),
        { ul: notes.map(latin), margin: [0, 12, 0, 0], fontSize: 8 },
      ],
    })
    .getBuffer();
}

function definition(head: PdfHead, content: ReportContent, pictures: PdfPictures): TDocumentDefinitions {
  const { job, subject } = content;
  return {
    ...frame({
      ...{ laboratory: content.laboratory?.name ?? '', number: `${head.number} rev ${head.revision}` },
      ...{ title: `Report ${head.number} rev ${head.revision}`, subject: `${job.number} ${subject}` },
      ...{ foot: `${job.name}, ${subject}`, draft: head.signature === null },
    }),
    content: [
      ...letterhead(content),
      { text: latin(content.title), fontSize: 18, bold: true, margin: [0, 4, 0, 2] },
      ...replaced(head),
      pairs(content.facts),
      ...sectionsOf(content).flatMap((section) => sectionPart(section, pictures)),
      ...closing(head, content),
    ],
    files: {
      data: {
        src: `data:application/json;base64,${Buffer.from(JSON.stringify(content)).toString('base64')}`,
        name: `${head.number}-rev${head.revision}.json`,
        type: 'application/json',
        description: 'The content of this report as data',
      } as never,
    },
  };
}

/** What stands under the laboratory’s name on the first page. */
function letterhead({ laboratory }: ReportContent): Content[] {
  if (!laboratory || laboratory.lines.length === 0) return [];
  return [{ text: latin(laboratory.lines.join(' · ')), style: 'label', margin: [0, -10, 0, 12] }];
}

function replaced(head: PdfHead): Content[] {
  if (!head.replaces) return [];
  const { number, revision, reason } = head.replaces;
  return [
    {
      text: latin(`This report replaces ${number} rev ${revision}. Changed: ${reason}`),
      bold: true,
      color: STOP,
      margin: [0, 0, 0, 6],
    },
  ];
}

const LINES = {
  hLineWidth: (row: number, node: { table: { body: unknown[] } }) =>
    row === 0 || row === node.table.body.length ? 0.8 : 0.4,
  vLineWidth: () => 0,
  hLineColor: () => RULE,
  paddingTop: () => 3,
  paddingBottom: () => 3,
};

/** The same under a title that stands in the head of its table. */
const TITLED = {
  ...LINES,
  hLineWidth: (row: number, node: { table: { body: unknown[] } }) =>
    row === 0 ? 0 : LINES.hLineWidth(row - 1, { table: { body: node.table.body.slice(1) } }),
};

function pairs(rows: ReportContent['facts']): Content {
  return {
    table: {
      widths: [110, '*'],
      body: rows.map(([label, text]) => [cell(label, { style: 'label' }), cell(text)]),
    },
    layout: LINES,
    margin: [0, 6, 0, 0],
  };
}

/** A sheet to be filled in by hand: what it rests on, then room to write. */
function releasePart({
  said,
  blanks,
  words,
}: Extract<Section, { kind: 'release' }>['sheets'][number]): Content[] {
  return [
    pairs(said),
    { text: latin(words), style: 'small', margin: [0, 4, 0, 4] },
    {
      table: {
        widths: [150, '*'],
        heights: 26,
        body: blanks.map((blank) => [cell(blank, { style: 'label' }), cell('')]),
      },
      layout: LINES,
      margin: [0, 0, 0, 8],
    },
  ];
}

/** How what stands in a column is set. */
const STYLES = {
  mono: { style: 'mono' },
  small: { style: 'small' },
  plain: {},
  strong: { style: 'mono', bold: true },
} as const;

/** What stays on one page: a heading with what stands first under it. */
function together(...stack: readonly Content[]): Content {
  return { unbreakable: true, stack: [...stack] };
}

/** A section as it is printed. */
function sectionPart(section: Section, pictures: PdfPictures): Content[] {
  const title: Content = { text: latin(section.title), style: 'section', headlineLevel: 1 };
  switch (section.kind) {
    case 'table':
      return [tablePart(section, section.title), ...wordsPart(section)];
    case 'verdicts':
      return [
        title,
        {
          table: {
            widths: [140, '*'],
            body: section.rows.map((row) => [
              cell(row.title),
              cell(row.sentence, row.state === 'does not meet' ? { color: STOP, bold: true } : {}),
            ]),
          },
          layout: LINES,
        },
      ];
    case 'list': {
      const [first, ...others] = section.items.map(latin);
      return [
        together(title, first === undefined ? { text: latin(section.none) } : { ul: [first] }),
        ...(others.length > 0 ? [{ ul: others }] : []),
      ];
    }
    case 'release':
      return section.sheets.map(
        (sheet): Content => ({ unbreakable: true, stack: [title, ...releasePart(sheet)] }),
      );
    case 'plots':
      // The heading keeps to the first of them.
      return section.plots.map((each, place): Content => {
        const part = plotPart(each);
        return place === 0 ? { unbreakable: true, stack: [title, part] } : part;
      });
    case 'curves':
      return [title, ...curvePart(section)];
    case 'drawing':
      return [
        together(title, {
          svg: drawingSvg(section.drawing, pictureUnder(section, pictures)),
        }),
        ...section.notes.map(
          (text): Content => ({ text: latin(text), style: 'small', margin: [0, 3, 0, 0] }),
        ),
      ];
    case 'photographs':
      return section.photographs.map((each, place): Content => {
        const part = photographPart(each, pictures);
        return place === 0 ? together(title, part) : part;
      });
    default:
      return section.sheets.map((sheet, place) =>
        workingTable(sheet.title, sheet.lines, place === 0 ? [title] : []),
      );
  }
}

const PLOT = { width: 300, height: 170 };

/** Points with their line, on axes divided by powers of ten. */
function plotPart({ of, plot }: Extract<Section, { kind: 'plots' }>['plots'][number]): Content {
  const { points, line, xs, ys } = plotMarks(plot, PLOT.width, PLOT.height);
  const mark = ({ x, y }: { x: number; y: number }): string =>
    `<circle cx="${x}" cy="${y}" r="2.2" fill="${INK}"/>`;
  const grid = [
    ...xs.map(({ at }) => `<path d="M${at} 0V${PLOT.height}" stroke="${RULE}" stroke-width="0.4"/>`),
    ...ys.map(({ at }) => `<path d="M0 ${at}H${PLOT.width}" stroke="${RULE}" stroke-width="0.4"/>`),
  ];
  return {
    unbreakable: true,
    stack: [
      { text: latin(of), bold: true, margin: [0, 4, 0, 2] },
      {
        svg: `<svg width="${PLOT.width}" height="${PLOT.height}" viewBox="0 0 ${PLOT.width} ${PLOT.height}"><rect width="${PLOT.width}" height="${PLOT.height}" fill="none" stroke="${RULE}" stroke-width="0.6"/>${grid.join('')}${line ? `<path d="${line}" fill="none" stroke="${TEAL}" stroke-width="1"/>` : ''}${points.map(mark).join('')}</svg>`,
      },
      {
        text: latin(
          `Across: ${plot.x}, lines at ${xs.map(({ value }) => value).join(', ')}. Up: ${plot.y}, lines at ${ys.map(({ value }) => value).join(', ')}. Both by powers of ten.`,
        ),
        style: 'small',
      },
    ],
  };
}

function pictureUnder(
  { drawing, picture }: Extract<Section, { kind: 'drawing' }>,
  pictures: PdfPictures,
): string {
  const href = picture && pictures.get(picture.of.id);
  return href
    ? `<image xlink:href="${href}" x="0" y="0" width="${drawing.width}" height="${picture.height}" preserveAspectRatio="none" opacity="0.6"/>`
    : '';
}

/** A photograph with what it is of, and the digest of its file. */
function photographPart(
  { of, photo }: Extract<Section, { kind: 'photographs' }>['photographs'][number],
  pictures: PdfPictures,
): Content {
  const image = pictures.get(photo.id);
  return {
    unbreakable: true,
    margin: [0, 0, 0, 8],
    stack: [
      ...(image ? [{ image, fit: [330, 220] as [number, number] }] : []),
      {
        text: latin(
          `${of}: ${photo.name}, ${photo.at}, SHA-256 ${photo.sha256}${image ? '' : '; not printed here'}.`,
        ),
        style: 'small',
      },
    ],
  };
}

/** A table with its title in its head: so neither ends a page without rows, and a page it goes on to says what it is. */
function tablePart({ columns, rows }: Extract<Section, { kind: 'table' }>, title: string): Content {
  const [, ...others] = columns;
  return {
    table: {
      headerRows: 2,
      keepWithHeaderRows: 1,
      dontBreakRows: true,
      widths: columns.map(({ width }) => width ?? '*'),
      body: [
        [
          { text: latin(title), style: 'section', margin: [-4, 12, 0, 2], colSpan: columns.length },
          ...others.map(() => ''),
        ],
        columns.map(({ heading }) => cell(heading, { style: 'label' })),
        ...rows.map((row) =>
          columns.map(({ as }, place) => {
            const text = row[place] ?? '';
            // A label, or a number with its unit, is not torn apart.
            return cell(text, { ...STYLES[as], noWrap: WHOLE.test(text) });
          }),
        ),
      ],
    },
    layout: TITLED,
  };
}

function wordsPart({ sentences, notes }: Extract<Section, { kind: 'table' }>): Content[] {
  return [
    ...sentences.map((text): Content => ({ text: latin(text), bold: true, margin: [0, 6, 0, 0] })),
    ...notes.map((text): Content => ({ text: latin(text), style: 'small', margin: [0, 4, 0, 0] })),
  ];
}

function workingRows(lines: readonly WorkingLine[]): TableCell[][] {
  return lines.map((line) => [
    cell(line.name, { style: 'small' }),
    cell(`${line.symbol} = ${line.formula}`, { style: 'mono' }),
    cell(line.substituted, { style: 'mono' }),
    cell(`${line.rounded} ${line.unit}`, { style: 'mono', bold: true }),
    cell(line.rounding ? `${line.rounding.rule}; ${line.source}` : line.source, { style: 'small' }),
  ]);
}

const CURVE = { width: 330, height: 120 };
const CURVE_INK = [TEAL, '#8A5C00', STOP, '#3F6B3A', INK];

/** The load curves, each from its contact on, with the file each was drawn from. */
function curvePart({ curves: drawn, axis }: Extract<Section, { kind: 'curves' }>): Content[] {
  const { paths, seconds, load } = curvePaths(
    drawn.map(({ log }) => log),
    CURVE.width,
    CURVE.height,
    axis,
  );
  const lines = paths.map(
    (path, index) =>
      `<path d="${path}" fill="none" stroke="${CURVE_INK[index % CURVE_INK.length]}" stroke-width="1"/>`,
  );
  return [
    {
      svg: `<svg width="${CURVE.width}" height="${CURVE.height}" viewBox="0 0 ${CURVE.width} ${CURVE.height}"><rect width="${CURVE.width}" height="${CURVE.height}" fill="none" stroke="${RULE}" stroke-width="0.6"/>${lines.join('')}</svg>`,
    },
    {
      text: latin(
        `Full height ${Math.round(load)}, full width ${seconds.toFixed(axis === 's' ? 0 : 1)} ${axis}.`,
      ),
      style: 'small',
    },
    ...drawn.map(
      ({ label, log }, index): Content => ({
        text: latin(`${label}: ${log.words}; file ${log.name}, SHA-256 ${log.sha256}.`),
        style: 'small',
        color: CURVE_INK[index % CURVE_INK.length] as string,
      }),
    ),
  ];
}

/** @param before what stays on its page: the heading of the section */
function workingTable(title: string, lines: readonly WorkingLine[], before: readonly Content[]): Content {
  return {
    unbreakable: true,
    stack: [
      ...before,
      { text: latin(title), bold: true, margin: [0, 4, 0, 2] },
      {
        table: { widths: [95, 105, 115, 70, '*'], body: workingRows(lines) },
        layout: LINES,
      },
    ],
  };
}

function closing(head: PdfHead, content: ReportContent): Content[] {
  const { signature, reader } = head;
  return [
    together({ text: 'Methods and rules', style: 'section' }, { text: latin(rulesText(content)) }),
    { ul: content.statements.map(latin), margin: [0, 6, 0, 0], fontSize: 8 },
    {
      margin: [0, 18, 0, 0],
      unbreakable: true,
      stack: signature
        ? [
            {
              text: latin(`Signed by ${signature.name}${signature.title ? `, ${signature.title}` : ''}`),
              bold: true,
              fontSize: 11,
            },
            { text: signature.at },
            ...(reader ? [{ text: latin(`Read before by ${reader.name}, ${reader.at}`) }] : []),
          ]
        : [{ text: 'Not signed.', bold: true, color: STOP }],
    },
    { text: 'End of report', alignment: 'center', style: 'label', margin: [0, 14, 0, 0] },
  ];
}
