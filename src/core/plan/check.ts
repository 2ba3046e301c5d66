import { apart, contains, sidesOf } from './geometry';
import type { FloorPlan, PlanPoint, PlanRules } from './plan';
import { nearWall } from './propose';

/** What is wrong with where points lie, and which. */
export interface PlanProblem {
  readonly text: string;
  readonly labels: readonly string[];
}

/** What a zone wants, and what it is called. */
export interface ZoneWants {
  readonly sampleId: string;
  readonly name: string;
  /** How many points of a form. */
  readonly forms: readonly { readonly form: string; readonly text: string; readonly count: number }[];
}

/**
 * Where points lie against what is asked of them: in their zone, in no corridor, apart, one by each exterior wall, enough of
 * each kind, one at each place that is flagged.
 * @param rules distances, m, and how they are written
 * @returns in the order of what matters most; none where all is well
 * Source: count and walls by ASTM F2170 (from memory); the other distances are our choice.
 */
export function planProblems(
  { zones, corridors, flags = [] }: FloorPlan,
  points: readonly PlanPoint[],
  wants: readonly ZoneWants[],
  rules: PlanRules & { readonly wallText: string; readonly flagText: string; readonly pointText: string },
): readonly PlanProblem[] {
  const problems: PlanProblem[] = [];
  const say = (text: string, labels: readonly string[] = []): void => {
    problems.push({ text, labels });
  };
  for (const { label, at } of points)
    for (const { what, outline } of corridors)
      if (contains(outline, at)) say(`${label} lies in a corridor: ${what}. Do not drill there.`, [label]);
  for (const { label, at, sampleId } of points) {
    const zone = zones.find((each) => contains(each.outline, at));
    const name = wants.find((each) => each.sampleId === zone?.sampleId)?.name;
    if (!zone) {
      if (zones.length > 0) say(`${label} lies outside of every zone.`, [label]);
    } else if (zone.sampleId !== sampleId)
      say(`${label} lies in ${name ?? 'another zone'} and belongs to another one.`, [label]);
  }
  for (const [place, one] of points.entries())
    for (const other of points.slice(place + 1))
      if (one.form === other.form && apart(one.at, other.at) < rules.point - 1e-9)
        say(`${one.label} and ${other.label} are nearer than ${rules.pointText}.`, [one.label, other.label]);
  for (const { what, at } of flags)
    if (!points.some((point) => apart(point.at, at) <= rules.flag + 1e-9))
      say(`${what}: no point within ${rules.flagText}.`);
  for (const { sampleId, name, forms } of wants) {
    const zone = zones.find((each) => each.sampleId === sampleId);
    const inside = points.filter(
      (each) => each.sampleId === sampleId && zone && contains(zone.outline, each.at),
    );
    if (!zone) {
      say(`${name} has no outline yet.`);
      continue;
    }
    for (const { form, text, count } of forms) {
      const there = inside.filter((each) => each.form === form).length;
      if (there < count) say(`${name}: ${there} of ${count} placed. ${text}`);
    }
    const bare = zone.walls.filter((wall) => {
      const side = sidesOf(zone.outline)[wall];
      return side && !inside.some(({ at }) => nearWall(side, at, rules.wall));
    });
    if (bare.length > 0)
      say(
        `${name}: ${bare.length} exterior ${bare.length === 1 ? 'wall has' : 'walls have'} no point within ${rules.wallText}.`,
      );
  }
  return problems;
}
