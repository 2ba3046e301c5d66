import { isWithin, type LimitId, type Limits } from '../../limits';
import { exact } from '../../quantity';
import { type Finding, finding, type Severity } from '../../working';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import type { RunSetup } from '../setup';
import { heatTo, timesOf } from './ages';
import type { CementHeatInput } from './input';
import { type Cell, heatFrom, heatKept, markAt, movedTo, recordBegan, wattsOf } from './read-cells';

interface Held {
  readonly id: LimitId;
  readonly severity: Severity;
  readonly fields: readonly string[];
  readonly message: string;
  readonly action: string;
  readonly remark?: string;
}

const MINUTE = 60_000;

/** What is to be said of a test of heat: its conditions, its cells, its record. */
export function heatFindings(
  input: CementHeatInput,
  setup: RunSetup,
  cells: readonly Cell[],
  limits: Limits,
): Finding[] {
  const { system } = input;
  const say = ({ id, severity, fields, ...words }: Held): Finding =>
    limitFinding(limits, system, { id, severity, fields }, words);
  const holds = (id: LimitId, value: number): boolean =>
    isWithin(exact(value.toFixed(5)), limits.of(id, system));
  const found: Finding[] = [];
  const bath = readMeasure(input, 'bath')?.value;
  const asked = limits.number('heat.temperature', system);
  if (bath && !input.ofJob && !holds('heat.off', bath.minus(asked).abs().toNumber()))
    found.push(
      say({
        ...{ id: 'heat.off', severity: 'invalid', fields: ['bath'] },
        message: `The bath is at ${bath} °C, asked for are ${asked} °C.`,
        action: 'A test at the temperature of a job is said to be one: tick it. Else wait for the bath.',
      }),
    );
  const record = heatKept(input, setup);
  if (record && recordBegan(input, record) === undefined)
    found.push(
      finding({
        id: 'heat.began',
        severity: 'invalid',
        fields: ['beganAt', 'record'],
        message: 'The rows of the record count from nought: when was that?',
        action:
          'Give the time: without it nobody knows when water met cement, and no time of the curve is told.',
      }),
    );
  for (const trouble of record?.troubles ?? []) {
    const words = TROUBLES[trouble];
    if (words)
      found.push(
        finding({
          id: 'heat.record',
          severity: 'departure',
          fields: ['record'],
          message: words,
          action: 'Look at the file.',
          remark: words,
        }),
      );
  }
  for (const row of input.heater ?? []) {
    const [now, earlier] = [wattsOf(input, row.channel ?? ''), readMeasure(row, 'earlier')?.value.toNumber()];
    if (now === undefined || !earlier) continue;
    const off = (100 * Math.abs(now - earlier)) / earlier;
    if (!holds('heat.calibration', off))
      found.push({
        ...say({
          ...{ id: 'heat.calibration', severity: 'departure', fields: ['heater'] },
          message: `Cell ${row.channel}: ${now.toPrecision(4)} W/V, ${earlier} the time before: ${off.toFixed(1)} % off.`,
          action: 'Again; then look at heater, sensor and what was moved or repaired.',
          remark: `Cell ${row.channel}: its calibration moved by ${off.toFixed(1)} %.`,
        }),
        id: `heat.calibration.${row.id}`,
      });
  }
  return [...found, ...cells.flatMap((cell) => cellFindings(cell, input, setup, limits, { say, holds }))];
}

const TROUBLES: Readonly<Record<string, string | undefined>> = {
  'rows not read': 'Rows of the record could not be read.',
  'goes back': 'Rows of the record go back in time and are left out.',
  'hour missing': 'An hour of the night is missing: the clock may have been put forward.',
};

interface Tell {
  say(held: Held): Finding;
  holds(id: LimitId, value: number): boolean;
}

function cellFindings(
  cell: Cell,
  input: CementHeatInput,
  setup: RunSetup,
  limits: Limits,
  tell: Tell,
): Finding[] {
  const { row, name, channel } = cell;
  const record = heatKept(input, setup);
  const named = (words: string): string => `Cell ${name}: ${words}`;
  const found: Finding[] = [];
  if (record && name && !channel)
    found.push(
      finding({
        id: 'heat.channel',
        severity: 'invalid',
        fields: ['cells'],
        message: named('the record has none that is called so.'),
        action: `It has ${record.channels.map((each) => each.name).join(', ')}.`,
      }),
    );
  if (record?.unit === 'mV' && channel && wattsOf(input, name) === undefined)
    found.push(
      finding({
        id: 'heat.volts',
        severity: 'invalid',
        fields: ['heater', 'cells'],
        message: named('its record is in volts, and no calibration says what they stand for.'),
        action: 'Give its heater, with and without.',
      }),
    );
  return [
    ...found,
    ...weighed(cell, input, limits, named, tell),
    ...seen(cell, input, limits, named, tell),
  ].map((each) => ({ ...each, id: `${each.id}.${row.id}` }));
}

/** What its weighing and its handling say. */
function weighed(
  cell: Cell,
  input: CementHeatInput,
  limits: Limits,
  named: (words: string) => string,
  { say, holds }: Tell,
): Finding[] {
  const { row, recipe, capacity, weighed: reference, grams } = cell;
  const found: Finding[] = [];
  const asked = limits.number('heat.water', input.system);
  if (recipe && cell.plain && !input.ofJob) {
    const ratio = recipe.water.div(recipe.cement);
    if (!holds('heat.water-off', ratio.minus(asked).abs().toNumber()))
      found.push(
        say({
          ...{ id: 'heat.water-off', severity: 'departure', fields: ['cells'] },
          message: named(`water to cement ${ratio.toFixed(3)}, asked for is ${asked.toFixed(2)}.`),
          action: 'Weigh another one: more water, more heat.',
          remark: named(`water to cement ${ratio.toFixed(3)}.`),
        }),
      );
  }
  if (recipe?.paste.greaterThan(recipe.cement.plus(recipe.water).plus(recipe.solids)))
    found.push(
      finding({
        id: 'heat.paste',
        severity: 'invalid',
        fields: ['cells'],
        message: named('more paste is in the vial than was mixed.'),
        action: 'Grams of cement, water and paste: read them again.',
      }),
    );
  const [contact, inserted] = [Date.parse(row.contactAt ?? ''), Date.parse(row.insertedAt ?? '')];
  const minutes = (inserted - contact) / MINUTE;
  if (!Number.isNaN(minutes) && minutes < 0)
    found.push(
      finding({
        id: 'heat.order',
        severity: 'invalid',
        fields: ['cells'],
        message: named('it was put in before water met cement.'),
        action: 'Read both times again.',
      }),
    );
  else if (input.mixed === 'outside' && !Number.isNaN(minutes) && !holds('heat.insert', minutes))
    found.push(
      say({
        ...{ id: 'heat.insert', severity: 'departure', fields: ['cells'] },
        message: named(`put in ${minutes.toFixed(0)} min after the water.`),
        action: 'More of its first heat was never seen.',
        remark: named(`put in ${minutes.toFixed(0)} min after the water.`),
      }),
    );
  if (capacity !== undefined && reference !== undefined) {
    const off = (100 * Math.abs(reference - capacity)) / capacity;
    if (!holds('heat.reference', off))
      found.push(
        say({
          ...{ id: 'heat.reference', severity: 'departure', fields: ['cells'] },
          message: named(
            `its reference has ${reference.toFixed(1)} J/K, the sample ${capacity.toFixed(1)} J/K: ${off.toFixed(0)} % off.`,
          ),
          action: `Not the masses but the heat capacities match: ${cell.reference?.water.toFixed(2)} g of water, or ${cell.reference?.sand.toFixed(1)} g of dry sand.`,
          remark: named(`reference ${off.toFixed(0)} % off its heat capacity.`),
        }),
      );
  }
  const lost = readMeasure(row, 'lost')?.value.toNumber();
  if (lost !== undefined && grams) {
    const heat = (lost * limits.number('heat.evaporates', input.system).toNumber()) / grams;
    if (!holds('heat.evaporated', heat))
      found.push(
        say({
          ...{ id: 'heat.evaporated', severity: 'invalid', fields: ['cells'] },
          message: named(`its vial lost ${lost} g: ${heat.toFixed(1)} J/g went with the water.`),
          action: 'Discard it and run another one in a vial that is tight.',
        }),
      );
  }
  return found;
}

/** What its record shows. */
function seen(
  cell: Cell,
  input: CementHeatInput,
  limits: Limits,
  named: (words: string) => string,
  { say, holds }: Tell,
): Finding[] {
  const { curve, grams, channel } = cell;
  if (!curve || !grams || !channel) return [];
  const found: Finding[] = [];
  const tell = (id: LimitId, severity: Severity, message: string, action: string): void => {
    found.push(
      say({
        ...{ id, severity, fields: ['record', 'cells'], message: named(message), action },
        ...(severity === 'departure' ? { remark: named(message) } : {}),
      }),
    );
  };
  const { before, after, features, gaps, clipped, noise } = curve;
  if (!before || (before.long > 0 && !holds('heat.baseline', before.long)))
    tell(
      'heat.baseline',
      'departure',
      before
        ? `its baseline before is ${(before.long * 60).toFixed(0)} min long.`
        : 'nothing was recorded before the water.',
      'Record an hour with something inert in both: an offset of 0.02 mW/g is 12 J/g in a week.',
    );
  if (before && after) {
    const micro = 1000 * Math.abs(after.level - before.level) * curve.per;
    if (!holds('heat.drift', micro))
      tell(
        'heat.drift',
        'departure',
        `its baseline moved by ${micro.toFixed(0)} µW/g.`,
        'Look at room and bath; run it again for a conformity.',
      );
  }
  if (!holds('heat.noise', 1000 * noise))
    tell(
      'heat.noise',
      'advice',
      `noise of ${(1000 * noise).toFixed(0)} µW/g.`,
      'More cement in the vial, or a quieter place.',
    );
  // Where a person put a mark is where it counts.
  const [mainAt, secondAt] = [markAt(cell, 'main'), markAt(cell, 'second')];
  const main = mainAt === undefined ? undefined : { at: mainAt, power: timesOf(cell).peak ?? 0 };
  const behind = mainAt === undefined || secondAt === undefined ? undefined : secondAt - mainAt;
  if (main) {
    if (!holds('heat.usual-peak', main.power))
      tell(
        'heat.usual-peak',
        'invalid',
        `a main maximum of ${main.power.toPrecision(3)} mW/g is none of a cement.`,
        'Is the file in mW, or to a gram already? Seconds, minutes, hours?',
      );
    const range = readMeasure(input, 'range')?.value.toNumber();
    const share = limits.number('heat.range-share', input.system).toNumber();
    if (range && main.power * grams > share * range)
      tell(
        'heat.range-share',
        'advice',
        `its maximum takes ${((100 * main.power * grams) / range).toFixed(0)} % of the range.`,
        `At most ${((share * range) / main.power).toFixed(1)} g of this cement.`,
      );
    if (clipped.some(([from, to]) => to > heatFrom(input, limits) && from < main.at + 1))
      found.push(
        finding({
          id: 'heat.clipped',
          severity: 'invalid',
          fields: ['record'],
          message: named('it stood at the end of its range in the rise.'),
          action: 'Less cement in the vial, and again.',
        }),
      );
    if (features?.unclear && !movedTo(cell, 'second'))
      found.push(
        finding({
          id: 'heat.unclear',
          severity: 'advice',
          fields: ['record'],
          message: named(
            `something rises at ${features.unclear.at.toFixed(1)} h before the main maximum: which of the two is the aluminate, one curve does not say.`,
          ),
          action: 'A series of sulfate shows it: what comes later by more sulfate is the aluminate.',
        }),
      );
    else if (
      behind !== undefined &&
      behind < (limits.of('heat.aluminate', input.system).low?.toNumber() ?? 0)
    )
      tell(
        'heat.aluminate',
        'advice',
        `the second follows ${behind.toFixed(1)} h behind the main maximum.`,
        'Hardly in balance: try it with more sulfate, at the temperature and with the admixture of the job.',
      );
  } else if (curve.until > 24)
    found.push(
      finding({
        id: 'heat.none',
        severity: 'departure',
        fields: ['record'],
        message: named('no maximum was found in it.'),
        action:
          'A gap of an hour in the rise, a wrong cell, or a paste that does not set: look at the curve.',
        remark: named('no maximum was found.'),
      }),
    );
  for (const [from, to] of gaps)
    tell(
      'heat.gap',
      holds('heat.gap', (to - from) * 60) ? 'advice' : 'departure',
      `nothing recorded for ${((to - from) * 60).toFixed(0)} min from ${from.toFixed(1)} h.`,
      'Bridged by a straight line.',
    );
  const three = heatTo(curve, heatFrom(input, limits), 72);
  if (three !== undefined && cell.plain && !input.ofJob && !holds('heat.usual', three))
    tell(
      'heat.usual',
      'departure',
      `${three.toFixed(0)} J/g in three days is none of a cement.`,
      'Baseline, masses, unit of the file?',
    );
  const tail = curve.power.at(-1) ?? 0;
  if (curve.until > 48 && tail < 0)
    found.push(
      finding({
        id: 'heat.negative',
        severity: 'departure',
        fields: ['record'],
        message: named(`it ends at ${(1000 * tail).toFixed(0)} µW/g: heat is never taken back.`),
        action: 'The baseline is too high: look at it.',
        remark: named('negative power at its end.'),
      }),
    );
  return found;
}
