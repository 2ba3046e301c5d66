import { loadIn, type PlacedSpecimen, PRESS_MAKEUP, SimulatedPress, speedForRate } from '@/core/press';

const AREA_MM2 = (Math.PI * 101.6 ** 2) / 4;
const TARGET = 0.25;
/** The knob stands further open until so much of the load is on: the first half may go faster. */
const OPEN_UNTIL = 0.35;
const OPEN_BY = 2.2;
const LONGEST_S = 900;

/**
 * The load of a test over its time, as the press writes it down: a 4×8 on pads in the simulated press.
 * @param maximum what the test came to, lbf: the curve is brought to it
 * @returns rows of time and load under a header, comma-separated
 */
export function loadCurve(maximum: number, seed: number): string {
  const capacity = loadIn(maximum, 'lbf', 'kN');
  const specimen: PlacedSpecimen = {
    strength: (capacity * 1000) / AREA_MM2,
    area: AREA_MM2,
    length: 203.2,
    ends: 'pads',
    gap: 15,
  };
  const press = new SimulatedPress(seed);
  press.place(specimen);
  press.levers = { pump: true, approach: true, fine: 0, door: true };
  const readings = press.run((specimen.gap - 1) / PRESS_MAKEUP.approachSpeed);
  const knob = speedForRate(specimen, TARGET, 0.7) / PRESS_MAKEUP.fineSpeed;
  let peak = 0;
  for (let second = 0; second < LONGEST_S; second += 1) {
    const open = peak < OPEN_UNTIL * capacity ? OPEN_BY : 1;
    press.levers = { pump: true, approach: false, fine: Math.min(1, knob * open), door: true };
    const some = press.run(1);
    readings.push(...some);
    peak = Math.max(peak, ...some.map(({ load }) => load));
    if (peak > 0.5 * capacity && (some.at(-1)?.load ?? 0) < 0.4 * peak) break;
  }
  const scale = maximum / peak;
  const rows = readings.map(({ t, load }) => `${t.toFixed(2)},${Math.round((load * scale) / 10) * 10}`);
  return `time_s,load_lbf\n${rows.join('\n')}\n`;
}
