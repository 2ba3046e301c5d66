import { DateTime } from 'luxon';
import { cite, isWithin, type Limits } from '../../limits';
import { type Exact, exact, plainOf, type System } from '../../quantity';
import { type Finding, finding } from '../../working';
import type { PressTest, PressUse } from '../contract';
import { dayOf } from '../equipment-checks';
import { readMeasure } from '../fields';
import { type EquipmentFacts, type RunSetup, setupMeasure } from '../setup';
import { readableChange } from './rates';
import { spaceOf, spokenStack, stackInUse } from './space';
import { FORCE_UNIT, LENGTH_UNIT } from './units';

interface About {
  readonly input: object & { readonly system: System };
  readonly use: Pick<PressUse, 'fields'>;
  readonly test: PressTest | undefined;
  readonly setup: RunSetup;
  readonly limits: Limits;
}

/** What the press itself says of a test: before the load its fit, after it the verified range. */
export function pressFindings(about: About): Finding[] {
  const { input, use, setup } = about;
  const read = input as unknown as Record<string, unknown>;
  const number = read[use.fields.machine];
  const machine = setup.equipment?.find((each) => each.number === number);
  if (!machine) return [];
  const loaded = readMeasure(input, use.fields.load) !== undefined;
  return [
    ...(loaded
      ? rangeFindings(about, machine)
      : [...fitFindings(about, machine), ...largeFace(about, machine), ...faceFindings(about, machine)]),
    ...indicatorFindings(about, machine),
    ...spacerFindings(about, machine),
    ...placeFindings(about),
    ...careFindings(about, loaded),
  ];
}

/** Whether the load that the specimen will probably take lies where the verification covers it. */
function fitFindings({ input, use, test, limits }: About, machine: EquipmentFacts): Finding[] {
  const { system } = input;
  const unit = FORCE_UNIT[system];
  const expected = test?.expected;
  if (!expected) return [];
  const found: Finding[] = [];
  const top = setupMeasure(machine.verifiedTo, 'force', unit);
  const bottom = setupMeasure(machine.verifiedFrom, 'force', unit);
  const room = limits.of('machine.headroom', system);
  const low = limits.of('machine.lowest-share', system);
  if (top && expected.greaterThan(top.times(room.high ?? 1))) {
    const beyond = expected.greaterThan(top);
    found.push(
      finding({
        id: 'machine.headroom',
        severity: beyond ? 'departure' : 'advice',
        ...(beyond ? { needsReason: true } : {}),
        beforeLoad: true,
        fields: [use.fields.machine],
        limit: cite(room),
        message: `About ${plainOf(expected, unit)} is expected; ${machine.number} is verified to ${plainOf(top, unit)}.`,
        action: 'Use a larger machine, a range that is verified higher, or a smaller specimen.',
        ...(beyond ? { remark: `Expected load above the range ${machine.number} is verified for.` } : {}),
      }),
    );
  }
  if (bottom?.greaterThan(expected.times(low.high ?? 1))) {
    const below = bottom.greaterThan(expected);
    found.push(
      finding({
        id: 'machine.lowest-share',
        severity: below ? 'departure' : 'advice',
        ...(below ? { needsReason: true } : {}),
        beforeLoad: true,
        fields: [use.fields.machine],
        limit: cite(low),
        message: `About ${plainOf(expected, unit)} is expected; ${machine.number} is verified only from ${plainOf(bottom, unit)}.`,
        action: 'Use a machine or a range that is verified that low.',
        ...(below ? { remark: `Expected load below the range ${machine.number} is verified for.` } : {}),
      }),
    );
  }
  return found;
}

/** A load outside the verified range is no measured load. */
function rangeFindings({ input, use }: About, machine: EquipmentFacts): Finding[] {
  const load = readMeasure(input, use.fields.load)?.value;
  const unit = FORCE_UNIT[input.system];
  const from = setupMeasure(machine.verifiedFrom, 'force', unit);
  const to = setupMeasure(machine.verifiedTo, 'force', unit);
  if (!load || load.isZero()) return [];
  const under = from !== undefined && load.lessThan(from);
  const over = to !== undefined && load.greaterThan(to);
  if (!under && !over) return [];
  return [
    finding({
      id: 'machine.range',
      severity: 'invalid',
      fields: [use.fields.load, use.fields.machine],
      limit: {
        id: 'machine.range',
        text: `${from ? plainOf(from, unit) : '0'} to ${to ? plainOf(to, unit) : 'capacity'}`,
        source: `verification of ${machine.number}`,
        status: 'on record',
      },
      message: `${plainOf(load, unit)} is ${under ? 'below' : 'above'} the range ${machine.number} is verified for.`,
      action: 'Check the digits. If it stands, the load may not be reported as a measured strength.',
    }),
  ];
}

/** Bearing faces against the specimen, and the care of the spherical seat. */
function faceFindings({ input, use, test, setup, limits }: About, machine: EquipmentFacts): Finding[] {
  const found: Finding[] = [];
  const { system } = input;
  const unit = LENGTH_UNIT[system];
  const facts = machine.machine;
  const limit = limits.of('machine.face', system);
  for (const [which, text] of [
    ['upper', facts?.upperFace],
    ['lower', facts?.lowerFace],
  ] as const) {
    const face = setupMeasure(text, 'length', unit);
    if (!face || !test?.width || isWithin(face.div(test.width), limit)) continue;
    found.push(
      finding({
        id: `machine.face-${which}`,
        severity: 'departure',
        beforeLoad: true,
        fields: [use.fields.machine],
        limit: { ...cite(limit), text: `at least 3 % larger than the specimen` },
        message: `The ${which} bearing face is ${plainOf(face, unit)}; the specimen is ${plainOf(test.width, unit)}.`,
        action: 'Use a larger bearing block, or another machine.',
        remark: `The ${which} bearing face was smaller than the specimen asks for.`,
      }),
    );
  }
  const day = dayOf(undefined, setup);
  const months = limits.of('machine.seat', system);
  const due = facts?.seatOiledOn
    ? DateTime.fromISO(facts.seatOiledOn.slice(0, 10))
        .plus({ months: months.high?.toNumber() ?? 0 })
        .toISODate()
    : undefined;
  if (due && day && day > due) {
    found.push(
      finding({
        id: 'machine.seat',
        severity: 'advice',
        beforeLoad: true,
        fields: [use.fields.machine],
        limit: { ...cite(months), text: `${months.high} months` },
        message: `The spherical seat of ${machine.number} was last oiled on ${facts?.seatOiledOn?.slice(0, 10)}.`,
        action: 'Clean and oil it with ordinary motor oil, no pressure grease, and record it under Gear.',
      }),
    );
  }
  return found;
}

/** Sizes of cylinders that have a largest upper face, nominal in and mm. */
const FACE_SIZES = [
  ['machine.face-most-2', { US: '2', SI: '50' }],
  ['machine.face-most-3', { US: '3', SI: '75' }],
  ['machine.face-most-4', { US: '4', SI: '100' }],
  ['machine.face-most-6', { US: '6', SI: '150' }],
  ['machine.face-most-8', { US: '8', SI: '200' }],
] as const;
/** A cylinder is of a size up to this much more of it. */
const OF_SIZE = '1.03';

/** An upper face so large that its seat hardly tilts on the specimen. */
function largeFace({ input, use, test, limits }: About, machine: EquipmentFacts): Finding[] {
  const { system } = input;
  const face = setupMeasure(machine.machine?.upperFace, 'length', LENGTH_UNIT[system]);
  const { width } = test ?? {};
  if (!face || !width || !test?.round) return [];
  const size = FACE_SIZES.find(([, nominal]) =>
    width.lessThanOrEqualTo(exact(nominal[system]).times(OF_SIZE)),
  );
  const most = size && limits.of(size[0], system);
  if (!most || isWithin(face, most)) return [];
  return [
    finding({
      id: 'machine.face-large',
      severity: 'advice',
      beforeLoad: true,
      fields: [use.fields.machine],
      limit: cite(most),
      message: `The upper bearing face is ${plainOf(face, LENGTH_UNIT[system])}: large for a specimen of ${plainOf(width, LENGTH_UNIT[system])}.`,
      action: 'Fit the smaller upper block: a large one does not follow the end of a small specimen.',
    }),
  ];
}

/** Whether the indicator can be read finely enough. */
function indicatorFindings({ input, use, limits }: About, machine: EquipmentFacts): Finding[] {
  const readable = readableChange(machine.machine, input.system);
  if (!readable?.scale) return [];
  const limit = limits.of('machine.dial-step', input.system);
  const share = readable.change.div(readable.scale).times(100);
  if (isWithin(share, limit)) return [];
  return [
    finding({
      id: 'machine.dial-step',
      severity: 'departure',
      beforeLoad: true,
      fields: [use.fields.machine],
      limit: cite(limit),
      message: `${machine.machine?.indicator === 'dial' ? 'Half a small mark' : 'The smallest change shown'} of ${machine.number} is ${share.toFixed(2)} % of its full scale.`,
      action: 'Use a lower range, or a machine with a finer indicator.',
      remark: `Indicator of ${machine.number} read to ${share.toFixed(2)} % of full scale.`,
    }),
  ];
}

const DAMAGE =
  'Near the end of its stroke a ram leaks oil or jams above its mark. Fit spacers or a pedestal; never run the ram up to meet the specimen.';

/** The spacers said to be in the press, and whether the stack is flush. */
function spacerFindings({ input, use, test, limits }: About, machine: EquipmentFacts): Finding[] {
  const { spacers: field } = use.fields;
  if (!field || !test) return [];
  const { system } = input;
  const space = spaceOf(test, machine, limits, system);
  if (!space) return [];
  const read = input as unknown as Record<string, unknown>;
  const text = read[field];
  const said = spokenStack(typeof text === 'string' ? text : undefined, system);
  if (typeof text === 'string' && text.trim() !== '' && !said) {
    return [
      finding({
        id: 'press.spacers-unread',
        severity: 'advice',
        fields: [field],
        message: 'The spacers cannot be read from these words.',
        action: 'Write their heights with a plus between them, as 4 + 2, or none.',
      }),
    ];
  }
  const loaded = readMeasure(input, use.fields.load) !== undefined;
  const stack = stackInUse(space, said);
  const found: Finding[] = [];
  if (stack.trouble !== 'none' && (said || !loaded)) {
    const unit = LENGTH_UNIT[system];
    const words: Readonly<Record<Exclude<typeof stack.trouble, 'none'>, string>> = {
      'does not go in': `It does not go in: ${short(stack.gap.negated(), unit)} too tall.`,
      'gap too small': `The gap is only ${short(stack.gap, unit)}: the specimen cannot be placed without touching.`,
      'gap too large': `The gap is ${short(stack.gap, unit)}: a long approach.`,
      'beyond the stroke': `The ram would travel ${short(stack.travel, unit)} of ${short(stack.usable, unit)} usable.`,
    };
    const severe = stack.trouble === 'does not go in' || stack.trouble === 'beyond the stroke';
    found.push(
      finding({
        id: 'press.spacers',
        severity: severe ? 'departure' : 'advice',
        ...(severe ? { needsReason: true } : {}),
        beforeLoad: true,
        fields: [field],
        limit: cite(limits.of('press.gap', system)),
        message: said ? words[stack.trouble] : `No stack of its spacers fits. ${words[stack.trouble]}`,
        action: severe ? DAMAGE : 'Choose other spacers: the picture shows which.',
        ...(severe ? { remark: `Spacers: ${words[stack.trouble]}` } : {}),
      }),
    );
  }
  if (read.flush === 'no') {
    const head = machine.machine?.spacersUnder === 'head';
    found.push(
      finding({
        id: 'press.flush',
        severity: 'departure',
        needsReason: true,
        beforeLoad: true,
        fields: ['flush'],
        message: 'The stack is not flush: a feeler goes in between.',
        action: head
          ? 'Stop. Draw the stack up until it is flush with the head: through a gap the whole load hangs on the centre rod, which can break.'
          : 'Stop. Clean the faces and set the stack again: a spacer that rocks loads the specimen on one side.',
        remark: 'Spacer stack not flush.',
      }),
    );
  }
  if (said && said.length > 0 && machine.machine?.spacersUnder === 'head') {
    found.push(
      finding({
        id: 'press.spacers-head',
        severity: 'departure',
        needsReason: false,
        fields: [field],
        message: `${machine.number} carries its spacers under the head; the standard asks for them under the lower block.`,
        action: 'Nothing to do now: it is reported.',
        remark: 'Spacers under the head of the machine.',
      }),
    );
  }
  return found;
}

function short(value: Exact, unit: 'in' | 'mm' | string): string {
  return `${exact(value).toDecimalPlaces(unit === 'in' ? 2 : 0)} ${unit}`;
}

/** Where the specimen stands: off the middle, and how far below the upper block. */
function placeFindings({ input, test, limits }: About): Finding[] {
  const { system } = input;
  const found: Finding[] = [];
  const offset = readMeasure(input, 'offset');
  const most = limits.of('press.offset', system);
  const share = offset && test?.width ? offset.value.div(test.width).times(100) : undefined;
  if (offset && share && !isWithin(share, most))
    found.push(
      finding({
        id: 'press.offset',
        severity: 'departure',
        needsReason: false,
        beforeLoad: true,
        fields: ['offset'],
        limit: cite(most),
        message: `It stands ${plainOf(offset.value, offset.unit)} off the middle, ${share.toFixed(1)} % of its width.`,
        action: 'Release, centre it by the rings, begin again: off the middle it reads low.',
        remark: `Axis ${plainOf(offset.value, offset.unit)} off the middle of the block.`,
      }),
    );
  const gap = readMeasure(input, 'gap');
  const room = limits.of('press.gap', system);
  if (gap && !isWithin(gap.value, room))
    found.push(
      finding({
        id: 'press.gap',
        severity: 'advice',
        beforeLoad: true,
        fields: ['gap', 'spacers'],
        limit: cite(room),
        message: `The gap is ${plainOf(gap.value, gap.unit)}.`,
        action:
          room.low && gap.value.lessThan(room.low)
            ? 'Take a spacer out: the specimen would bear before it stands.'
            : 'Add a spacer: a long way up is slow, and the ram comes near the end of its stroke.',
      }),
    );
  return found;
}

/** What is done besides loading: the look with pads, the zero afterwards. */
function careFindings({ input, test }: About, loaded: boolean): Finding[] {
  const read = input as unknown as Record<string, unknown>;
  const found: Finding[] = [];
  if (loaded && 'aligned' in read && test?.ends === 'pads' && read.aligned !== true) {
    found.push(
      finding({
        id: 'press.aligned',
        severity: 'departure',
        needsReason: false,
        fields: ['aligned'],
        message: 'Not recorded that the axis stood upright below a tenth of the load.',
        action: 'With pads pause there, look, and centre again if it leans. Tick it if it was done.',
        remark: 'Alignment below 10 % of the load not recorded.',
      }),
    );
  }
  if (read.zeroAfter === 'off') {
    found.push(
      finding({
        id: 'press.zero-after',
        severity: 'departure',
        needsReason: true,
        fields: ['zeroAfter'],
        message: 'The indicator did not come back to zero.',
        action:
          'Say by how much and why. The reading is never corrected by it; beyond 1 % of the load there is no result until it is explained.',
        remark: 'Indicator not back at zero after the test.',
      }),
    );
  }
  return found;
}
