import { findCriterion } from '../acceptance/criteria';
import type { VerdictState } from '../acceptance/criterion';
import type { SetPlot } from '../acceptance/set-rule';
import { groupBy } from '../group-by';
import { withUnit } from '../quantity';
import type { WorkingLine } from '../working';
import type { ReportContent, ReportPhoto, ReportSet, ReportTest } from './content';
import { courseDrawing, courseTable } from './course';
import type { CurveAxis } from './curve-path';
import type { Drawing } from './drawing';
import { planDrawing, type ReportedPlan } from './plan-drawing';

/** A column of a table: what stands in it decides how wide it is and how it is set. */
export interface Column {
  readonly heading: string;
  readonly as: 'mono' | 'small' | 'plain' | 'strong';
  /** In points of a page 516 wide, or as wide as what stands in it; absent: what is left. */
  readonly width?: number | 'auto';
}

/** A part of a report, the same on the screen and on paper. */
export type Section =
  | {
      readonly kind: 'table';
      readonly title: string;
      readonly columns: readonly Column[];
      readonly rows: readonly (readonly string[])[];
      /** What the table comes to. */
      readonly sentences: readonly string[];
      readonly notes: readonly string[];
    }
  | {
      readonly kind: 'verdicts';
      readonly title: string;
      readonly rows: readonly {
        readonly title: string;
        readonly state: VerdictState;
        readonly sentence: string;
      }[];
    }
  | {
      readonly kind: 'list';
      readonly title: string;
      readonly items: readonly string[];
      readonly none: string;
    }
  | {
      readonly kind: 'curves';
      readonly title: string;
      readonly axis: CurveAxis;
      readonly curves: readonly { readonly label: string; readonly log: NonNullable<ReportTest['log']> }[];
    }
  | {
      readonly kind: 'plots';
      readonly title: string;
      readonly plots: readonly { readonly of: string; readonly plot: SetPlot }[];
    }
  | {
      readonly kind: 'drawing';
      readonly title: string;
      readonly drawing: Drawing;
      /** What lies under it, over its upper part: as wide as the drawing, so high. */
      readonly picture?: {
        readonly of: NonNullable<ReportedPlan['picture']>;
        readonly height: number;
      };
      readonly notes: readonly string[];
    }
  | {
      readonly kind: 'photographs';
      readonly title: string;
      /** What they are kept as. */
      readonly from: 'attachments' | 'certificates';
      readonly photographs: readonly { readonly of: string; readonly photo: ReportPhoto }[];
    }
  | {
      readonly kind: 'release';
      readonly title: string;
      readonly sheets: readonly NonNullable<ReportTest['release']>[];
    }
  | {
      readonly kind: 'working';
      readonly title: string;
      readonly sheets: readonly { readonly title: string; readonly lines: readonly WorkingLine[] }[];
    };

/** What stays on one line: a word, or two of which the second is short, a number with its unit among them. */
export const WHOLE = /^\S+(?: \S{1,6})?$/u;

/** What a test came to, as it is printed; one that has no number of its own is done. */
export function resultText({
  results,
  valid,
  apart,
  named = [],
}: Pick<ReportTest, 'results' | 'valid' | 'apart' | 'named'>): string {
  if (!valid) return 'no valid result';
  const [result] = results;
  const several = results.filter(({ quantity }) => named.includes(quantity));
  if (several.length > 1)
    return several
      .map(
        ({ text, unit, quantity, provisional }) =>
          `${withUnit(text, unit)} ${quantity}${provisional ? ' (provisional)' : ''}`,
      )
      .join('; ');
  return result
    ? `${withUnit(result.text, result.unit)}${result.provisional ? ' (provisional)' : ''}${apart ? `, ${apart}` : ''}`
    : 'done';
}

/** The parts of a report in their order; one that has nothing to say is left out. */
export function sectionsOf(content: ReportContent): Section[] {
  const onSample = content.tests.filter(({ specimen }) => !specimen);
  const onSpecimens = content.tests.filter(({ specimen }) => specimen);
  const equipment = [...new Set(content.tests.flatMap((test) => test.equipment))];
  return [
    ...sampleTable(content, onSample),
    ...specimenTables(content, onSpecimens),
    ...courseSections(content),
    ...planSection(content),
    ...derived(content),
    ...verdicts(content),
    ...listed('Still to be done', content.owed),
    ...listed('What this report does not say', content.notClaimed),
    { kind: 'list', title: 'Departures and remarks', items: remarksOf(content), none: 'None.' },
    { kind: 'list', title: 'Equipment', items: equipment, none: 'Not recorded.' },
    ...releases(content.tests),
    ...plots(content),
    ...drawn(content.tests),
    ...curves(content.tests),
    ...photographs(content.tests),
    ...certificates(content),
    ...working(
      content,
      content.tests.filter(({ specimen, recorded }) => specimen || recorded),
    ),
  ];
}

function sampleTable({ words }: ReportContent, tests: readonly ReportTest[]): Section[] {
  if (tests.length === 0) return [];
  const several = tests.some(({ sample }) => sample !== undefined);
  return [
    {
      kind: 'table',
      title: words.onSample,
      columns: [
        ...(several ? [{ heading: 'Sample', as: 'mono', width: 'auto' } as const] : []),
        { heading: 'Test', as: 'plain', width: 95 },
        { heading: 'Method', as: 'plain', width: several ? 66 : 85 },
        { heading: 'Result', as: 'mono', width: 65 },
        { heading: 'When', as: 'small', width: several ? 70 : 95 },
        { heading: 'Against the specification', as: 'small' },
      ],
      rows: tests.map((test) => [
        ...(several ? [test.sample ?? ''] : []),
        `${test.title}${test.attempt > 1 ? `, attempt ${test.attempt}` : ''}`,
        test.method,
        resultText(test),
        test.at,
        test.verdicts.map(({ sentence }) => sentence).join(' ') || 'no requirement',
      ]),
      sentences: [],
      notes: [],
    },
  ];
}

const headingsOf = ({ columns }: ReportTest): string[] => columns.map(([heading]) => heading);

/** Tests with the same columns stand in one table: the columns of all together are wider than the page. */
function specimenTables(content: ReportContent, tests: readonly ReportTest[]): Section[] {
  const { sets, waiting, discarded, words } = content;
  const tables = [...groupBy(tests, (test) => headingsOf(test).join()).values()];
  const closing = {
    sentences: sets.filter(({ each }) => !each).map(setSentence),
    notes: [
      ...sets.flatMap(({ trimmed }) =>
        trimmed.length > 0 ? [`Left out of the mean by its rule: ${trimmed.join(', ')}.`] : [],
      ),
      ...(waiting.length > 0 ? [`Not tested yet: ${waiting.join(', ')}.`] : []),
      ...discarded.map(({ label, why }) => `${label} was discarded: ${why}`),
    ],
  };
  return tables.map((own, place) => {
    const titles = [...new Set(own.map(({ title }) => title.toLowerCase()))];
    return {
      kind: 'table',
      title: tables.length > 1 ? `${words.onSpecimens}: ${titles.join('; ')}` : words.onSpecimens,
      ...specimenRows(own),
      ...(place === tables.length - 1 ? closing : { sentences: [], notes: [] }),
    };
  });
}

function specimenRows(
  tests: readonly ReportTest[],
): Pick<Extract<Section, { kind: 'table' }>, 'columns' | 'rows'> {
  // What none of them has is no column.
  const shown =
    tests[0]?.columns.flatMap((_, place) =>
      tests.some(({ columns }) => columns[place]?.[1]) ? [place] : [],
    ) ?? [];
  const headings = shown.map((place) => tests[0]?.columns[place]?.[0] ?? '');
  const aged = tests.some(({ specimen }) => specimen?.designatedAge);
  const titled = aged || new Set(tests.map(({ title }) => title)).size > 1;
  return {
    columns: [
      { heading: 'Specimen', as: 'mono', width: 'auto' },
      ...(titled ? [{ heading: 'Test', as: 'small', width: 62 } as const] : []),
      ...(aged
        ? ([
            { heading: 'Age', as: 'plain', width: 'auto' },
            { heading: 'At test', as: 'small', width: 46 },
          ] as const)
        : []),
      ...headings.map((heading, place): Column => {
        const last = place === headings.length - 1;
        return { heading, as: 'small', ...(last ? {} : { width: 'auto' }) };
      }),
      { heading: 'Result', as: 'strong', width: 'auto' },
      { heading: 'Tested', as: 'small', width: headings.length < 7 ? 96 : 62 },
    ],
    rows: tests.map((test) => {
      const { specimen } = test;
      return [
        specimen?.label ?? '',
        ...(titled ? [test.title] : []),
        ...(aged ? [specimen?.designatedAge ?? '', specimen?.age ?? ''] : []),
        ...shown.map((place) => test.columns[place]?.[1] ?? ''),
        resultText(test),
        // The offset stands with the working, and with when the sample was taken.
        `${test.at.split(' UTC')[0]}, ${test.by}`,
      ];
    }),
  };
}

/** A set in a sentence. */
export function setSentence(set: ReportSet): string {
  const of = set.sample ? `${set.sample}: ` : '';
  if (!set.value) return `${of}${set.title}: ${set.strength ? 'no valid result' : 'no mean'}.`;
  const count =
    set.used.length === 1 ? `one ${set.strength ? 'cylinder' : 'specimen'}` : `mean of ${set.used.length}`;
  const open = set.state === 'pending' ? ' so far, not complete' : '';
  const cure = set.cure ? `, ${set.cure} cured` : '';
  return `${of}${set.title}${cure}: ${set.value} ${set.unit}, ${count}${open}.`;
}

function derived({ sets, together }: ReportContent): Section[] {
  const rows = [
    ...sets.flatMap(({ sample, said }) =>
      said.map(([label, text]): string[] => [sample ? `${sample}: ${label}` : label, text]),
    ),
    ...(together?.results ?? []).map(({ quantity, text, unit }): string[] => [
      quantity.charAt(0).toUpperCase() + quantity.slice(1),
      withUnit(text, unit),
    ]),
  ];
  if (rows.length === 0) return [];
  return [
    {
      kind: 'table',
      title: 'What follows from it',
      columns: [
        { heading: 'What', as: 'plain', width: 170 },
        { heading: 'Comes to', as: 'plain' },
      ],
      rows,
      sentences: [],
      notes: [],
    },
  ];
}

function verdicts({ verdicts: all }: ReportContent): Section[] {
  if (all.length === 0) return [];
  return [
    {
      kind: 'verdicts',
      title: 'Against the project’s criteria',
      rows: all.map(({ criterion, state, sentence, of }) => ({
        title: [of, findCriterion(criterion)?.title ?? criterion].filter(Boolean).join(': '),
        state,
        sentence,
      })),
    },
  ];
}

/** What a remark is about: its specimen, or the test, of several samples with which. */
function aboutOf({ specimen, sample, title }: ReportTest): string {
  return specimen?.label ?? [sample, title].filter(Boolean).join(', ');
}

/** Every departure and remark of a report, each with what it is about, in the order of the report. */
export function remarksOf({
  tests,
  sets,
  together,
}: Pick<ReportContent, 'tests' | 'sets' | 'together'>): string[] {
  const ordered = [...tests.filter(({ specimen }) => !specimen), ...tests.filter(({ specimen }) => specimen)];
  return [
    ...ordered.flatMap((test) => test.remarks.map((text) => `${aboutOf(test)}: ${text}`)),
    ...sets.flatMap((set) =>
      set.remarks.map((text) => `${set.sample ? `${set.sample}, ` : ''}${set.title}: ${text}`),
    ),
    ...(together?.remarks ?? []),
  ];
}

/** What was read at the same points again: by day, then drawn over time. */
function courseSections({ courses = [] }: ReportContent): Section[] {
  return courses.flatMap((course): Section[] => {
    const { days, rows, notes } = courseTable(course);
    return [
      {
        kind: 'table',
        title: `${course.title}: by point and day`,
        columns: [
          { heading: 'Point', as: 'mono', width: 'auto' },
          ...days.map((heading, place): Column => {
            const last = place === days.length - 1;
            return { heading, as: 'mono', ...(last ? {} : { width: 'auto' }) };
          }),
        ],
        rows,
        sentences: [],
        notes,
      },
      {
        kind: 'drawing',
        title: `${course.title} over time`,
        drawing: courseDrawing(course),
        notes: [`Up: ${course.quantity}, ${course.unit}. A line joins the readings of one point.`],
      },
    ];
  });
}

function planSection({ plan }: ReportContent): Section[] {
  if (!plan) return [];
  const { picture, unplaced } = plan;
  const drawing = planDrawing(plan, plan.system);
  return [
    {
      kind: 'drawing',
      title: 'Plan',
      drawing,
      ...(picture ? { picture: { of: picture, height: drawing.width * (plan.height / plan.width) } } : {}),
      notes: [
        'Filled: read; hollow: not read; crossed: does not hold. Thick sides are exterior walls; a flag wanted a test near it. Nothing was measured between the points.',
        ...(unplaced.length > 0 ? [`Without a place on the plan: ${unplaced.join(', ')}.`] : []),
        ...(picture ? [`Drawn over ${picture.name}, SHA-256 ${picture.sha256}.`] : []),
      ],
    },
  ];
}

function listed(title: string, items: readonly string[] = []): Section[] {
  return items.length > 0 ? [{ kind: 'list', title, items, none: '' }] : [];
}

/** What the methods draw of their tests, each with what it is of. */
function drawn(tests: readonly ReportTest[]): Section[] {
  return tests.flatMap((test) =>
    (test.drawings ?? []).map(({ title, drawing, notes }) => ({
      ...{ kind: 'drawing' as const, drawing, notes },
      title: `${aboutOf(test)}: ${title.charAt(0).toLowerCase()}${title.slice(1)}`,
    })),
  );
}

function photographs(tests: readonly ReportTest[]): Section[] {
  const all = tests.flatMap((test) =>
    (test.photographs ?? []).map((photo) => ({
      of: [aboutOf(test), test.specimen ? test.title : ''].filter(Boolean).join(', '),
      photo,
    })),
  );
  return all.length > 0
    ? [{ kind: 'photographs', title: 'Photographs', from: 'attachments', photographs: all }]
    : [];
}

function certificates({ certificates: all = [] }: ReportContent): Section[] {
  return all.length > 0
    ? [
        {
          kind: 'photographs',
          title: 'Certificates',
          from: 'certificates',
          photographs: all.map(({ of, ...photo }) => ({ of, photo })),
        },
      ]
    : [];
}

function plots({ sets }: ReportContent): Section[] {
  const drawn = sets.flatMap(({ sample, title, plot }) =>
    plot && plot.points.length > 1 ? [{ of: sample ?? title, plot }] : [],
  );
  return drawn.length > 0 ? [{ kind: 'plots', title: drawn[0]?.plot.title ?? '', plots: drawn }] : [];
}

/** Sheets that somebody else signs by hand, one for each title. */
function releases(tests: readonly ReportTest[]): Section[] {
  const own = tests.flatMap(({ release }) => release ?? []);
  return [...groupBy(own, ({ title }) => title)].map(([title, sheets]) => ({
    kind: 'release',
    title,
    sheets,
  }));
}

function curves(tests: readonly ReportTest[]): Section[] {
  const drawn = tests.flatMap(({ specimen, log }) =>
    log && log.points.length > 1 ? [{ label: specimen?.label ?? '', log }] : [],
  );
  const recorded = tests.flatMap(({ recorded: own }) =>
    (own ?? []).flatMap((log) => (log.points.length > 1 ? [{ label: log.sensor, log }] : [])),
  );
  return (['s', 'mm', 'h'] as const).flatMap((axis) => {
    const own = [...drawn, ...recorded].filter(({ log }) => log.axis === axis);
    const title = { s: 'Load curves', mm: 'Load over displacement', h: 'Temperature over time' }[axis];
    return own.length > 0 ? [{ kind: 'curves' as const, title, axis, curves: own }] : [];
  });
}

function working({ sets, together }: ReportContent, tests: readonly ReportTest[]): Section[] {
  const sheets = [
    ...tests.map(({ specimen, title, by, at, lines }) => ({
      title: `${specimen?.label ?? title}, by ${by}, ${at}`,
      lines,
    })),
    ...sets.map(({ sample, title, lines }) => ({ title: sample ? `${sample}, ${title}` : title, lines })),
    { title: 'All together', lines: together?.lines ?? [] },
    // What is not tested yet has nothing to work out.
  ].filter(({ lines }) => lines.length > 0);
  return sheets.length > 0 ? [{ kind: 'working', title: 'Working', sheets }] : [];
}

/** The last words of a report: methods, rounding, and the register it was held against. */
export function rulesText({ methods, rounding, limitsRevision, recalledLimits }: ReportContent): string {
  return `${methods.join('; ')}. Rounding: ${rounding}. Limits register revision ${limitsRevision}.${
    recalledLimits
      ? ' Some limits are recalled from memory and not yet confirmed by the laboratory against its own copy of the standards.'
      : ''
  }`;
}
