import { type Hole, holeProblem, type RingRule } from '../../cement/ring';
import { type Fall, finalOf, initialOf, type Look } from '../../cement/setting';
import { isWithin, type Limits } from '../../limits';
import { readMeasure } from '../fields';
import { wholeRows } from '../rows-field';
import type { CementSettingInput, FallRow } from './input';

/** A fall as it was read, and why it does not count. */
export interface FallRead extends Fall {
  readonly hole: Hole | undefined;
  readonly circle: Look['circle'] | undefined;
  readonly why: string | undefined;
}

/** Below this a fall tells something of the set, and may not have been slowed. */
const SOFT_MM = 38;
/** So deep and the needle stood on the plate. */
const PLATE_MM = 0.5;

const WRONG: Readonly<Record<string, string>> = {
  dirty: 'there was paste on the needle',
  bent: 'the needle was bent',
  jolt: 'it was moved or jolted',
};

/** Where holes may be. */
export function ringRule(limits: Limits, system: CementSettingInput['system']): RingRule {
  const of = (id: 'setting.space' | 'setting.wall' | 'setting.ring'): number =>
    limits.number(id, system).toNumber();
  return { space: of('setting.space'), wall: of('setting.wall'), radius: of('setting.ring') };
}

/** The falls in the order of time, minutes since the water met the cement. */
export function fallsOf(input: CementSettingInput, limits: Limits): FallRead[] {
  const contact = Date.parse(input.contactAt ?? '');
  if (Number.isNaN(contact)) return [];
  const sorted = wholeRows(input.falls)
    .map((row) => ({ row, minutes: (Date.parse(row.at ?? '') - contact) / 60_000 }))
    .filter(({ minutes }) => Number.isFinite(minutes))
    .toSorted((a, b) => a.minutes - b.minutes);
  const before: Hole[] = [];
  return sorted.flatMap(({ row, minutes }): FallRead[] => {
    const depth = readMeasure(row, 'depth')?.value.toNumber();
    if (depth === undefined) return [];
    const hole = holeOf(row);
    const why = whyNot(row, { minutes, depth }, hole, before, limits, input.system);
    if (hole) before.push(hole);
    return [{ minutes, depth, hole, circle: row.circle, why }];
  });
}

function holeOf(row: FallRow): Hole | undefined {
  const [x, y] = [readMeasure(row, 'x')?.value, readMeasure(row, 'y')?.value];
  return x && y ? { x: x.toNumber(), y: y.toNumber() } : undefined;
}

/** Why a fall does not count; undefined where it does. */
function whyNot(
  row: FallRow,
  { minutes, depth }: Fall,
  hole: Hole | undefined,
  before: readonly Hole[],
  limits: Limits,
  system: CementSettingInput['system'],
): string | undefined {
  const settled = readMeasure(row, 'settled')?.value;
  if (minutes < 0) return 'it is before the water met the cement';
  if (row.wrong && WRONG[row.wrong]) return WRONG[row.wrong];
  if (row.wrong === 'slowed' && depth < SOFT_MM) return 'it was slowed by the fingers';
  if (settled && !isWithin(settled, limits.of('setting.settle', system)))
    return `it was read after ${settled} s`;
  if (hole) {
    const rule = ringRule(limits, system);
    // Places are proposed to a hundredth of a mm.
    const eased = { ...rule, space: rule.space - 0.02, wall: rule.wall - 0.02 };
    const problem = holeProblem(hole, before, eased);
    if (problem) return `it is ${problem}`;
  }
  return undefined;
}

/** True where the needle stood on the plate: it went in at least so far. */
export function isOnPlate({ depth }: Fall, ring: number): boolean {
  return depth >= ring - PLATE_MM;
}

/** What the falls that count say of both sets. */
export function setsOf(falls: readonly FallRead[], limits: Limits, system: CementSettingInput['system']) {
  const good = falls.filter(({ why }) => why === undefined);
  const depth = limits.number('setting.initial', system).toNumber();
  const rise = limits.of('setting.rise', system).high?.toNumber() ?? 0;
  const within = limits.of('setting.confirm', system).high?.toNumber() ?? 0;
  const looks = good.flatMap(({ minutes, circle }): Look[] => (circle ? [{ minutes, circle }] : []));
  return { good, depth, initial: initialOf(good, depth, rise), final: finalOf(looks, within), within };
}
