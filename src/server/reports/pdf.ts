import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import {
  breakWords,
  curvePaths,
  type ReportContent,
  type ReportSpecimen,
  remarksOf,
  resultText,
  setName,
} from '@/core/report';
import type { WorkingLine } from '@/core/working';
import { pdfmake } from './pdfmake';

export interface PdfHead {
  readonly number: string;
  readonly revision: number;
  readonly laboratory: string;
  readonly signature: { readonly name: string; readonly title: string; readonly at: string } | null;
  readonly replaces: { readonly number: string; readonly revision: number; readonly reason: string } | null;
}

const INK = '#1D2B33';
const TEAL = '#0F6670';
const RULE = '#B9B4A6';
const STOP = '#A33B20';

/** The report as a PDF file, with its data inside as an attachment. */
export async function reportPdf(head: PdfHead, content: ReportContent): Promise<Buffer> {
  return pdfmake().createPdf(definition(head, content)).getBuffer();
}

/** The embedded fonts carry Latin only: the few signs beyond it are written in words. */
function latin(text: string): string {
  return text
    .replaceAll('≤', 'not more than ')
    .replaceAll('≥', 'not less than ')
    .replaceAll('′', "'")
    .replaceAll('π', 'pi');
}

function cell(text: string, options: Record<string, unknown> = {}): TableCell {
  return { text: latin(text), ...options };
}

function definition(head: PdfHead, content: ReportContent): TDocumentDefinitions {
  const { job, sample } = content;
  const draft = head.signature === null;
  return {
    pageSize: 'LETTER',
    pageMargins: [48, 54, 48, 58],
    info: { title: `Report ${head.number} rev ${head.revision}`, subject: `${job.number} ${sample.label}` },
    defaultStyle: { font: 'Text', fontSize: 9, color: INK, lineHeight: 1.15 },
    styles: {
      section: { fontSize: 11, bold: true, color: TEAL, margin: [0, 12, 0, 4] },
      label: { fontSize: 8, color: '#55636B' },
      small: { fontSize: 8, color: '#3C4A52' },
      mono: { font: 'Mono', fontSize: 8.5 },
    },
    ...(draft ? { watermark: { text: 'DRAFT, NOT SIGNED', color: STOP, opacity: 0.12, bold: true } } : {}),
    header: {
      margin: [48, 24, 48, 0],
      columns: [
        { text: latin(head.laboratory), bold: true },
        { text: `${head.number} rev ${head.revision}`, alignment: 'right', font: 'Mono' },
      ],
    },
    footer: (page: number, pages: number) => ({
      margin: [48, 16, 48, 0],
      columns: [
        { text: latin(`${job.name}, sample ${sample.label}`), style: 'label' },
        { text: `page ${page} of ${pages}`, alignment: 'right', style: 'label' },
      ],
    }),
    content: [
      { text: 'Report of concrete tests', fontSize: 18, bold: true, margin: [0, 4, 0, 2] },
      ...replaced(head),
      facts(content),
      ...freshPart(content),
      ...strengthPart(content),
      ...verdictPart(content),
      ...remarksPart(content),
      ...curvePart(content),
      ...workingPart(content),
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

function facts({ job, mix, placement, sample }: ReportContent): Content {
  const pairs: [string, string][] = [
    ['Client', job.owner],
    ['Project', `${job.number} ${job.name}, ${job.location}`],
    [
      'Placement',
      `${placement.number}: ${placement.element}${placement.location ? `, ${placement.location}` : ''}${placement.volume ? `, ${placement.volume}` : ''}`,
    ],
    ['Mix', `${mix.code}, ${mix.title}`],
    ['Specified strength', `${mix.specified} at ${mix.age}`],
    [
      'Sample',
      `${sample.label}, ticket ${sample.ticket || 'not recorded'}, truck ${sample.truck || 'not recorded'}`,
    ],
    ['Sampled', `${sample.sampledAt} by ${sample.sampledBy}`],
    ...(sample.remarks ? [['Remarks', sample.remarks] as [string, string]] : []),
  ];
  return {
    table: {
      widths: [100, '*'],
      body: pairs.map(([label, text]) => [cell(label, { style: 'label' }), cell(text)]),
    },
    layout: LINES,
    margin: [0, 6, 0, 0],
  };
}

function freshPart({ fresh }: ReportContent): Content[] {
  if (fresh.length === 0) return [];
  return [
    { text: 'Fresh concrete', style: 'section' },
    {
      table: {
        headerRows: 1,
        widths: [95, 85, 65, 95, '*'],
        body: [
          ['Test', 'Method', 'Result', 'When', 'Against the specification'].map((text) =>
            cell(text, { style: 'label' }),
          ),
          ...fresh.map((test) => [
            cell(`${test.title}${test.attempt > 1 ? `, attempt ${test.attempt}` : ''}`),
            cell(test.method),
            cell(resultText(test), { style: 'mono' }),
            cell(test.at, { style: 'small' }),
            cell(test.conformity.map(({ sentence }) => sentence).join(' ') || 'no requirement', {
              style: 'small',
            }),
          ]),
        ],
      },
      layout: LINES,
    },
  ];
}

function reading(specimen: ReportSpecimen, label: string): string {
  return specimen.test.readings.find((each) => each.label === label)?.text ?? '';
}

function lineOf(specimen: ReportSpecimen, symbol: string): string {
  const line = specimen.test.lines.find((each) => each.symbol === symbol);
  return line ? `${line.rounded} ${line.unit}` : '';
}

/** What a specimen measures across: its diameter, else its area. */
function sizeOf(specimen: ReportSpecimen): string {
  return lineOf(specimen, 'D') || lineOf(specimen, 'd') || lineOf(specimen, 'A');
}

function setSentence(set: ReportContent['sets'][number]): string {
  const what = setName(set);
  // Cores have no mean of their own: their rule stands in the remarks.
  if (!set.value) return `${what} at ${set.age}: ${set.what ? 'no mean' : 'no valid result'}.`;
  const count =
    set.used.length === 1 ? `one ${set.what ? 'specimen' : 'cylinder'}` : `mean of ${set.used.length}`;
  const open = set.state === 'pending' ? ' so far, not complete' : '';
  return `${what} at ${set.age}, ${set.cure} cured: ${set.value} ${set.unit}, ${count}${open}.`;
}

function strengthPart({ specimens, sets, waiting, discarded }: ReportContent): Content[] {
  if (specimens.length === 0) return [];
  return [
    { text: 'Hardened specimens', style: 'section' },
    {
      table: {
        headerRows: 1,
        widths: [62, 76, 26, 48, 46, 56, 58, '*'],
        body: [
          ['Specimen', 'Test', 'Age', 'At test', 'Size', 'Load', 'Result', 'Ends and fracture'].map((text) =>
            cell(text, { style: 'label' }),
          ),
          ...specimens.map((specimen) => [
            cell(specimen.label, { style: 'mono' }),
            cell(specimen.test.title, { style: 'small' }),
            cell(specimen.designatedAge),
            cell(specimen.age, { style: 'small' }),
            cell(sizeOf(specimen), { style: 'small' }),
            cell(reading(specimen, 'Maximum load'), { style: 'small' }),
            cell(resultText(specimen.test), { style: 'mono', bold: true }),
            cell(breakWords(specimen.test), { style: 'small' }),
          ]),
        ],
      },
      layout: LINES,
    },
    ...sets.map(
      (set): Content => ({
        text: latin(setSentence(set)),
        bold: true,
        margin: [0, 6, 0, 0],
      }),
    ),
    ...(waiting.length > 0
      ? [
          {
            text: latin(`Not tested yet: ${waiting.join(', ')}.`),
            style: 'small',
            margin: [0, 4, 0, 0],
          } as Content,
        ]
      : []),
    ...discarded.map(
      (each): Content => ({ text: latin(`${each.label} was discarded: ${each.why}`), style: 'small' }),
    ),
  ];
}

function verdictPart({ verdicts }: ReportContent): Content[] {
  if (verdicts.length === 0) return [];
  const names = { 'running-average': 'Mean of three consecutive tests', individual: 'Single test' } as const;
  return [
    { text: 'Against the project’s criteria', style: 'section' },
    {
      table: {
        widths: [140, '*'],
        body: verdicts.map((verdict) => [
          cell(names[verdict.criterion]),
          cell(verdict.sentence, verdict.state === 'does not meet' ? { color: STOP, bold: true } : {}),
        ]),
      },
      layout: LINES,
    },
  ];
}

function remarksPart(content: ReportContent): Content[] {
  const { fresh, specimens } = content;
  const all = remarksOf(content);
  const equipment = [
    ...new Set([...fresh, ...specimens.map(({ test }) => test)].flatMap((test) => test.equipment)),
  ];
  return [
    { text: 'Departures and remarks', style: 'section' },
    all.length > 0 ? { ul: all.map(latin) } : { text: 'None.' },
    { text: 'Equipment', style: 'section' },
    equipment.length > 0 ? { ul: equipment.map(latin) } : { text: 'Not recorded.' },
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

function workingPart({ specimens, sets }: ReportContent): Content[] {
  const tables: Content[] = [
    ...specimens
      .filter(({ test }) => test.lines.length > 0)
      .map(({ label, test }) => workingTable(`${label}, by ${test.by}, ${test.at}`, test.lines)),
    // A set that is not tested yet has nothing to work out.
    ...sets
      .filter(({ lines }) => lines.length > 0)
      .map((set) => workingTable(`${setName(set)} at ${set.age}`, set.lines)),
  ];
  return tables.length === 0 ? [] : [{ text: 'Working', style: 'section' }, ...tables];
}

const CURVE = { width: 330, height: 120 };
const CURVE_INK = [TEAL, '#8A5C00', STOP, '#3F6B3A', INK];

/** The load curves, each from its contact on, with the file each was drawn from. */
function curvePart({ specimens }: ReportContent): Content[] {
  const drawn = specimens.flatMap(({ label, test }) =>
    test.log && test.log.points.length > 1 ? [{ label, log: test.log }] : [],
  );
  if (drawn.length === 0) return [];
  const { paths, seconds, load } = curvePaths(
    drawn.map(({ log }) => log),
    CURVE.width,
    CURVE.height,
  );
  const lines = paths.map(
    (path, index) =>
      `<path d="${path}" fill="none" stroke="${CURVE_INK[index % CURVE_INK.length]}" stroke-width="1"/>`,
  );
  return [
    { text: 'Load curves', style: 'section' },
    {
      svg: `<svg width="${CURVE.width}" height="${CURVE.height}" viewBox="0 0 ${CURVE.width} ${CURVE.height}"><rect width="${CURVE.width}" height="${CURVE.height}" fill="none" stroke="${RULE}" stroke-width="0.6"/>${lines.join('')}</svg>`,
    },
    { text: latin(`Full height ${Math.round(load)}, full width ${seconds.toFixed(0)} s.`), style: 'small' },
    ...drawn.map(
      ({ label, log }, index): Content => ({
        text: latin(`${label}: ${log.words}; file ${log.name}, SHA-256 ${log.sha256}.`),
        style: 'small',
        color: CURVE_INK[index % CURVE_INK.length] as string,
      }),
    ),
  ];
}

function workingTable(title: string, lines: readonly WorkingLine[]): Content {
  return {
    unbreakable: true,
    stack: [
      { text: latin(title), bold: true, margin: [0, 4, 0, 2] },
      {
        table: { widths: [95, 105, 115, 70, '*'], body: workingRows(lines) },
        layout: LINES,
      },
    ],
  };
}

function closing(head: PdfHead, content: ReportContent): Content[] {
  const { signature } = head;
  return [
    { text: 'Methods and rules', style: 'section' },
    {
      text: latin(
        `${content.methods.join('; ')}. Rounding: ${content.rounding}. Limits register revision ${content.limitsRevision}.${content.recalledLimits ? ' Some limits are recalled from memory and not yet confirmed by the laboratory against its own copy of the standards.' : ''}`,
      ),
    },
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
          ]
        : [{ text: 'Not signed.', bold: true, color: STOP }],
    },
    { text: 'End of report', alignment: 'center', style: 'label', margin: [0, 14, 0, 0] },
  ];
}
