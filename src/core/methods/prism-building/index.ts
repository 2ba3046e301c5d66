import { type Exact, exact, plainOf, type System } from '../../quantity';
import { bySeverity, Sheet, standard } from '../../working';
import type { Method, Outcome, PlanItem } from '../contract';
import { exampleInput } from '../example';
import { asked, factMeasure, factText } from '../facts';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { resultOf } from '../outcome';
import { LENGTH_UNIT } from '../press/units';
import { limitsOf, type RunSetup } from '../setup';
import { PrismBuildingInput } from './input';

/** The height of a prism as it will be, over its thickness; in or mm. Source: arithmetic, n units and n - 1 joints. */
function shape(setup: RunSetup, system: System): { height: Exact; ratio: Exact } | undefined {
  const of = (name: string): Exact | undefined => factMeasure(setup, name, 'length', LENGTH_UNIT[system]);
  const courses = factText(setup, 'courses');
  const [high, thick] = [of('unitHeight'), of('unitThickness')];
  if (!courses || !high || !thick) return undefined;
  const joint = system === 'US' ? exact('0.375') : exact('10');
  const height = high.times(courses).plus(joint.times(exact(courses).minus(1)));
  return { height, ratio: height.div(thick) };
}

/** What is to be known before the first course is laid. */
function plan(system: System, setup: RunSetup): PlanItem[] {
  const limits = limitsOf(setup);
  const own = shape(setup, system);
  const fits =
    own?.ratio.greaterThanOrEqualTo(limits.number('prism.least', system)) &&
    own.ratio.lessThanOrEqualTo(limits.number('prism.most', system));
  return [
    ...(own
      ? [
          {
            label: 'Height as it will be',
            text: plainOf(own.height.toDecimalPlaces(system === 'US' ? 2 : 0), LENGTH_UNIT[system]),
            note: `${own.ratio.toFixed(2)} times its thickness: ${fits ? 'fits' : 'no prism of this test, 1.3 to 5.0 is'}`,
          },
        ]
      : []),
    ...limitRows(['prism.stand', 'prism.grout', 'prism.joint', 'prism.room'], system, setup),
  ];
}

/** How prisms were built, and how long they stood in their bags before they were moved. */
function compute(input: PrismBuildingInput, setup: RunSetup): Outcome {
  const { system } = input;
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const stood = (Date.parse(input.movedAt ?? '') - Date.parse(input.closedAt ?? '')) / 3_600_000;
  const time =
    Number.isNaN(stood) || stood < 0
      ? undefined
      : sheet.line({
          symbol: 't',
          name: 'Time in the bag before it was moved',
          formula: 't',
          uses: { t: exact(stood) },
          unit: 'h',
          source: standard('ASTM C1314'),
        });
  return {
    results: time
      ? [resultOf({ quantity: 'time in the bag', symbol: 't', value: time, unit: 'h', step: '0.1', mode })]
      : [],
    lines: sheet.lines,
    findings: bySeverity([]),
    verdicts: [],
    picture: {
      kind: 'wall',
      values: {
        courses: Number(factText(setup, 'courses') ?? 2),
        ratio: shape(setup, system)?.ratio.toNumber() ?? null,
        grouted: Boolean(input.groutedAt),
        bagged: Boolean(input.closedAt),
        moved: Boolean(input.movedAt),
      },
    },
  };
}

/** Prisms of masonry as they are built, kept and moved. */
export const prismBuilding: Method<PrismBuildingInput> = {
  id: 'prism-building',
  title: 'Prisms built',
  designations: [standard('ASTM C1314')],
  runOn: 'sample',
  facts: {
    courses: asked('courses', 'text'),
    unitHeight: asked('unitHeight', { dimension: 'length' }),
    unitThickness: asked('unitThickness', { dimension: 'length' }),
    built: asked('built', 'text'),
  },
  yields: [{ quantity: 'time in the bag', symbol: 't' }],
  Input: PrismBuildingInput,
  steps: [
    {
      id: 'base',
      title: 'Base and bag',
      phase: 'before',
      instruction:
        'A level place where they can stay for two days. The bag lies open on it before the first unit.',
      fields: ['units', 'bag', 'bagged'],
    },
    {
      id: 'lay',
      title: 'Lay them',
      phase: 'test',
      instruction:
        'Stack bond, units turned as in the wall, full bed of mortar on shells and webs, tooled flush.',
      fields: ['mortar', 'laidAt', 'joint'],
      caution: 'Mortar burns skin: gloves, goggles, wash at once. Lift heavy units by two.',
    },
    {
      id: 'grout',
      title: 'Grout them',
      phase: 'test',
      instruction:
        'Where the wall is grouted: consolidate, and again when water has gone. Then the bag is closed again.',
      fields: ['groutedAt', 'grout', 'closedAt'],
      clock: {
        title: 'Since they were laid',
        from: 'laidAt',
        to: 'groutedAt',
        limit: 'prism.grout',
        means: {
          severity: 'departure',
          early: 'Joints are still soft: grout pushes them out.',
          late: 'The units have dried out: say it.',
        },
        when: ({ facts }) => facts?.built === 'grouted' || facts?.built === 'part',
        waits: { what: 'Grout the prisms', lane: 'field' },
      },
    },
    {
      id: 'move',
      title: 'Two days, then move them',
      phase: 'after',
      instruction: 'Nobody touches them for 48 h. Then upright, strapped or clamped, in their bags.',
      fields: ['coldest', 'hottest', 'movedAt', 'whole', 'remarks'],
      caution:
        'A grouted prism of two units weighs about 140 lb and topples: strap, lifting aid, two people.',
      clock: {
        title: 'In the bag, not moved',
        from: 'closedAt',
        to: 'movedAt',
        limit: 'prism.stand',
        means: {
          severity: 'departure',
          needsReason: true,
          early: 'Moved early a joint may have cracked where nobody sees it: say it, look at each.',
        },
        waits: { what: 'Bring the prisms in', lane: 'field' },
      },
    },
  ],
  performedAt: 'movedAt',
  sequence: [['laidAt', 'groutedAt', 'closedAt', 'movedAt']],
  plan,
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(PrismBuildingInput), system), system },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE' },
      facts: {
        courses: '2',
        built: 'hollow',
        unitHeight: system === 'US' ? '7.625 in' : '194 mm',
        unitThickness: system === 'US' ? '7.625 in' : '194 mm',
      },
    },
  }),
};
