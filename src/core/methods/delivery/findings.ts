import { cite, isWithin, type LimitId, type Limits } from '../../limits';
import { type Exact, exact, plainOf, unitLabel } from '../../quantity';
import { type Finding, finding } from '../../working';
import { factText } from '../facts';
import { readMeasure } from '../fields';
import type { RunSetup } from '../setup';
import { clockFindings, sampleStamps } from '../stamps';
import type { DeliveryInput } from './input';
import { againstDesign, type LoadWater } from './water';

/** Everything a delivery is held against. */
export function deliveryFindings(
  input: DeliveryInput,
  water: LoadWater,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  return [
    ...clockFindings(input, setup, limits, ['discharge', 'producer-slump']).filter(
      // Whether the producer still answers is of no use when the site was ready in time.
      ({ id }) => id !== 'delivery.slump-window' || input.siteReady !== true,
    ),
    ...ticketFindings(input, limits),
    ...moistureFindings(input, limits),
    ...designFindings(input, water, setup, limits),
    ...waterFindings(input, water, limits),
    ...drumFindings(input, limits),
    ...turnFindings(input, limits),
    ...orderFindings(input, setup),
  ];
}

function ticketFindings(input: DeliveryInput, limits: Limits): Finding[] {
  const found: Finding[] = [];
  if (!input.batchedAt && input.arrivedAt) {
    found.push(
      finding({
        id: 'delivery.batched-unknown',
        severity: 'departure',
        fields: ['batchedAt'],
        message: 'The ticket gives no time of loading: the discharge clock cannot run.',
        action: 'Ask the driver or the plant, and mark the time as got by telephone.',
        remark: 'Time of batching not known.',
      }),
    );
  }
  if (input.batchedFrom === 'phone' && input.batchedAt) {
    found.push(
      finding({
        id: 'delivery.batched-phone',
        severity: 'departure',
        fields: ['batchedFrom'],
        message: 'The time of batching was got by telephone.',
        action: 'Ask for the ticket to be completed.',
        remark: 'Time of batching by telephone.',
      }),
    );
  }
  if (input.batchedAt && input.arrivedAt) {
    const minutes = exact(Math.round((Date.parse(input.arrivedAt) - Date.parse(input.batchedAt)) / 60_000));
    const limit = limits.of('delivery.travel', input.system);
    if (!isWithin(minutes, limit)) {
      found.push(
        finding({
          id: limit.id,
          severity: 'advice',
          fields: ['batchedAt', 'arrivedAt'],
          limit: cite(limit),
          message: `The truck was ${minutes} min on the way.`,
          action: 'Look at the ticket again: another truck’s, a 12-hour clock, or past midnight?',
        }),
      );
    }
  }
  return found;
}

function moistureFindings(input: DeliveryInput, limits: Limits): Finding[] {
  const limit = limits.of('delivery.free-moisture', input.system);
  return (['fineMoisture', 'coarseMoisture'] as const).flatMap((field) => {
    const moisture = readMeasure(input, field)?.value;
    if (!moisture || isWithin(moisture, limit)) return [];
    return [
      finding({
        id: limit.id,
        severity: 'invalid',
        fields: [field],
        limit: cite(limit),
        message: `A moisture of ${moisture} % cannot be right.`,
        action: 'Check the decimal point.',
      }),
    ];
  });
}

function designFindings(input: DeliveryInput, water: LoadWater, setup: RunSetup, limits: Limits): Finding[] {
  const volume = readMeasure(input, 'loadVolume')?.value;
  const rows: [Exact | undefined, string | undefined, LimitId, string, string][] = [
    [
      readMeasure(input, 'cementitious')?.value,
      factText(setup, 'cementitious'),
      'delivery.cement-mass',
      'cementitious',
      'Cementitious material',
    ],
    [water.batched, factText(setup, 'water'), 'delivery.water-mass', 'water', 'Water'],
  ];
  return rows.flatMap(([batched, design, id, field, what]) => {
    const off = againstDesign(batched, design, volume, input.system);
    const limit = limits.of(id, input.system);
    if (!off || isWithin(off.abs(), limit)) return [];
    const said = `${what} ${off.toFixed(1)} % off the mix design`;
    return [
      finding({
        id,
        severity: 'departure',
        fields: [field],
        limit: cite(limit),
        message: `${said}.`,
        action: 'Tell the purchaser’s representative; sampling may go on.',
        remark: `${said}; ${limit.text}.`,
      }),
    ];
  });
}

function waterFindings(input: DeliveryInput, water: LoadWater, limits: Limits): Finding[] {
  const added = readMeasure(input, 'added')?.value;
  const out = readMeasure(input, 'outBefore')?.value;
  const found: Finding[] = [];
  if (added?.greaterThan(0) && out?.greaterThan(0)) {
    found.push(
      finding({
        id: 'delivery.water-late',
        severity: 'invalid',
        fields: ['outBefore'],
        message: 'Water went in after discharge had begun.',
        action: 'Tell the purchaser’s representative: samples taken before it are void for this load.',
      }),
    );
  }
  const load = readMeasure(input, 'loadVolume');
  if (load && out?.greaterThan(load.value)) {
    found.push(
      finding({
        id: 'delivery.out-over-load',
        severity: 'departure',
        needsReason: true,
        fields: ['outBefore', 'loadVolume'],
        message: `${plainOf(out, load.unit)} are out of a load of ${plainOf(load.value, load.unit)}.`,
        action: 'More cannot leave the truck than was in it: check both volumes against the ticket.',
        remark: 'Volumes of the load and of what was out of it not consistent.',
      }),
    );
  }
  const usual = limits.of('delivery.ratio-usual', input.system);
  if (water.ratio && !isWithin(water.ratio, usual))
    found.push(
      finding({
        id: usual.id,
        severity: 'departure',
        needsReason: true,
        fields: ['cementitious', 'water', 'fine', 'coarse'],
        limit: cite(usual),
        message: `A water-cementitious ratio of ${water.ratio.toFixed(2)} is that of no concrete.`,
        action:
          'Check the masses of the ticket: digits, pounds against kilograms, whole load against one yard or metre.',
        remark: `Water-cementitious ratio ${water.ratio.toFixed(2)} by the ticket, not plausible.`,
      }),
    );
  const [left, batched] = [readMeasure(input, 'ticketAllows'), readMeasure(input, 'water')];
  const share = limits.of('delivery.ticket-usual', input.system);
  if (left && batched?.value.greaterThan(0)) {
    const mass = left.value.times(limits.number('delivery.gallon', input.system));
    const percent = mass.div(batched.value).times(100);
    if (!isWithin(percent, share))
      found.push(
        finding({
          id: share.id,
          severity: 'departure',
          needsReason: true,
          fields: ['ticketAllows', 'water'],
          limit: cite(share),
          message: `The ticket would leave ${percent.toFixed(0)} % of the batched water for the site.`,
          action: 'Check the number and its unit on the ticket: whole load, not each yard or metre.',
          remark: 'Water the ticket allows on site not plausible.',
        }),
      );
  }
  const turns = readMeasure(input, 'totalTurns')?.value;
  for (const field of ['remixTurns', 'mixingTurns'] as const) {
    const part = readMeasure(input, field)?.value;
    if (turns && part?.greaterThan(turns))
      found.push(
        finding({
          id: `delivery.turns-${field === 'remixTurns' ? 'remix' : 'mixing'}-over`,
          severity: 'departure',
          needsReason: true,
          fields: [field, 'totalTurns'],
          message: `${part} turns are more than the ${turns} turns in all.`,
          action: 'The whole holds every part: read the counter again.',
          remark: 'Turns of the drum not consistent.',
        }),
      );
  }
  const unit = input.system === 'US' ? 'gal' : 'L';
  if (added && water.permitted && added.greaterThan(water.permitted)) {
    const permitted = water.permitted.isNegative() ? exact(0) : water.permitted;
    found.push(
      finding({
        id: 'delivery.water-over',
        severity: 'departure',
        fields: ['added'],
        message: `${plainOf(added, unit)} were added; ${plainOf(permitted, unit)} were permitted.`,
        action: 'Tell the purchaser’s representative now. Sample anyway.',
        remark: `Water added on site ${plainOf(added, unit)}, permitted ${plainOf(permitted, unit)}.`,
      }),
    );
  } else if (water.permitted?.isNegative()) {
    found.push(
      finding({
        id: 'delivery.water-none',
        severity: 'advice',
        fields: ['water'],
        message: `The batched water is already over the ratio by ${plainOf(water.permitted.abs(), unit)}.`,
        action: 'No water on site. Tell the purchaser’s representative before the discharge.',
      }),
    );
  }
  if (added === undefined && input.addedAt) {
    found.push(
      finding({
        id: 'delivery.water-unknown',
        severity: 'departure',
        fields: ['added'],
        message: 'Something was added and the amount is not recorded.',
        action: `Read the meter or gauge and enter it in ${unitLabel(unit)}.`,
        remark: 'Amount added on site not recorded; water-cementitious ratio unknown.',
      }),
    );
  }
  return found;
}

/** Turns of the drum since water went in, counted or, when only the times are known, by the speed. */
export function remixTurns(input: DeliveryInput): Exact | undefined {
  const counted = readMeasure(input, 'remixTurns')?.value;
  if (counted) return counted;
  const speed = readMeasure(input, 'mixingSpeed')?.value;
  if (!speed || !input.addedAt || !input.remixedAt) return undefined;
  const minutes = exact(Date.parse(input.remixedAt) - Date.parse(input.addedAt)).div(60_000);
  return minutes.isNegative() ? exact(0) : minutes.times(speed).floor();
}

function turnFindings(input: DeliveryInput, limits: Limits): Finding[] {
  const found: Finding[] = [];
  const remix = remixTurns(input);
  const least = limits.of('delivery.remix-turns', input.system);
  if (input.addedAt && remix && !isWithin(remix, least)) {
    const speed = readMeasure(input, 'mixingSpeed')?.value;
    const wait = speed?.greaterThan(0)
      ? `, ${least.low?.minus(remix).div(speed).toFixed(1)} min more at this speed`
      : '';
    found.push(
      finding({
        id: least.id,
        severity: 'invalid',
        fields: ['remixTurns'],
        limit: cite(least),
        message: `Only ${remix} turns since the addition.`,
        action: `Go on mixing${wait}; no sample before that.`,
      }),
    );
  }
  const rows: [string, LimitId, string][] = [
    ['mixingTurns', 'delivery.mixing-turns', 'of the first mixing'],
    ['totalTurns', 'delivery.total-turns', 'in all'],
  ];
  for (const [field, id, what] of rows) {
    const turns = readMeasure(input, field)?.value;
    const limit = limits.of(id, input.system);
    if (!turns || isWithin(turns, limit)) continue;
    const total = id === 'delivery.total-turns';
    found.push(
      finding({
        id,
        severity: total ? 'advice' : 'departure',
        fields: [field],
        limit: cite(limit),
        message: `${turns} turns ${what}.`,
        action: total
          ? 'Recent texts no longer limit it; look whether the project does.'
          : 'Uniformity is in doubt: say so and watch the stream.',
        ...(total ? {} : { remark: `${turns} turns ${what}; ${limit.text}.` }),
      }),
    );
  }
  return found;
}

/** A sample taken before the last addition stands for nothing that was placed. */
function orderFindings(input: DeliveryInput, setup: RunSetup): Finding[] {
  const stamps = sampleStamps(input, setup);
  const added = stamps['water-added'];
  const sampled = stamps['first-portion'] ?? stamps['final-portion'];
  if (
    added === undefined ||
    sampled === undefined ||
    sampled >= added ||
    setup.sample?.kind === 'preliminary'
  )
    return [];
  return [
    finding({
      id: 'delivery.sample-void',
      severity: 'invalid',
      fields: ['addedAt'],
      message: 'The sample was taken before the last addition: it is void.',
      action: 'Sample again after remixing.',
    }),
  ];
}

/** A drum that holds more than it can mix or agitate. */
function drumFindings(input: DeliveryInput, limits: Limits): Finding[] {
  const load = readMeasure(input, 'loadVolume')?.value;
  const drum = readMeasure(input, 'drumVolume')?.value;
  if (!load || !drum?.greaterThan(0)) return [];
  const share = load.div(drum).times(100);
  const limit = limits.of(
    input.mixed === 'plant' ? 'delivery.drum-agitated' : 'delivery.drum-mixed',
    input.system,
  );
  if (isWithin(share, limit)) return [];
  return [
    finding({
      id: limit.id,
      severity: 'advice',
      fields: ['drumVolume'],
      limit: cite(limit),
      message: `The drum is filled to ${plainOf(share.toDecimalPlaces(0), 'percent')} of its gross volume.`,
      action:
        'Check the volume on the ticket; too full a drum does not mix. Tell the purchaser’s representative.',
    }),
  ];
}
