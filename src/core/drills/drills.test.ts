import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apparentAir, gaugeAfterRelease, meterLevel, quarters } from './instruments';
import { playDrill } from './play';
import { DRILLS, findDrill } from './registry';
import { drillOutcome, scoreDrill } from './score';
import { type Drill, type DrillAnswers, type DrillScript, FAULTS } from './types';

const START = Date.parse('2031-06-03T13:00:00Z');

/** What somebody does who does everything right. */
function perfect(script: DrillScript): DrillAnswers {
  const choices: Record<string, number> = {};
  const values: Record<string, string> = {};
  let now = START;
  for (const step of script.steps) {
    if (step.kind === 'choice') choices[step.id] = step.options.findIndex(({ right }) => right);
    if (step.kind === 'read') Object.assign(values, step.truth);
    if (step.kind === 'press') {
      now += step.after * 1000;
      values[step.field] = new Date(now).toISOString();
    }
    if (step.kind === 'seen') {
      Object.assign(values, step.sets);
      const begun = now;
      for (const [field, after] of Object.entries(step.stamps)) {
        values[field] = new Date(begun + after * 1000).toISOString();
        now = Math.max(now, begun + after * 1000);
      }
    }
  }
  return { choices, values, decision: script.decision.right, noticed: script.fault };
}

/** The drill with a given fault: the first seed that injects it. */
function withFault(drill: Drill, fault: string, system: 'US' | 'SI' = 'US'): DrillScript {
  for (let seed = 1; seed < 400; seed += 1) {
    const script = playDrill(drill, seed, system, START);
    if (script.fault === fault) return script;
  }
  throw new Error(`${drill.id} never has ${fault}`);
}

const failing = (drill: Drill, script: DrillScript, answers: DrillAnswers) =>
  scoreDrill(drill, script, 'US', answers).items.filter(({ passed, starred }) => !passed && starred);

describe.each(DRILLS.map((drill) => [drill.id, drill] as const))('the drill %s', (_, drill) => {
  it.each(['none', ...drill.faults])('is passed by doing everything right: %s', (fault) => {
    for (const system of ['US', 'SI'] as const) {
      const script = withFault(drill, fault, system);
      const score = scoreDrill(drill, script, system, perfect(script));
      expect(score.items.filter(({ passed }) => !passed)).toEqual([]);
      expect(score.passed).toBe(true);
    }
  });
  it('fails the item, and only it, that a wrong answer belongs to', () => {
    const script = withFault(drill, 'none');
    for (const step of script.steps) {
      if (step.kind !== 'choice') continue;
      const right = perfect(script);
      const wrong = (right.choices[step.id] ?? 0) === 0 ? 1 : 0;
      const failed = failing(drill, script, { ...right, choices: { ...right.choices, [step.id]: wrong } });
      expect(failed.map(({ id }) => id)).toEqual([step.id]);
      expect(failed[0]?.why).toMatch(/Right: /);
    }
  });
  it('fails whoever does not notice what was wrong, or sees what is not there', () => {
    for (const fault of ['none', ...drill.faults]) {
      const script = withFault(drill, fault);
      const noticed = script.suspects.find((each) => each !== script.fault) ?? 'none';
      const score = scoreDrill(drill, script, 'US', { ...perfect(script), noticed });
      expect(score.passed).toBe(false);
      expect(score.items.find(({ id }) => id === 'noticed')?.why).toContain(
        FAULTS[script.fault].toLowerCase(),
      );
    }
  });
  it('offers the fault that is in it among the suspects, and others with it', () => {
    for (const fault of ['none', ...drill.faults]) {
      const script = withFault(drill, fault);
      expect(script.suspects).toContain(script.fault);
      expect(script.suspects.length).toBeGreaterThan(3);
    }
  });
  it('is the same again from the same seed, and not always the same order of answers', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 2_000_000 }), (seed) => {
        expect(playDrill(drill, seed, 'US', START)).toEqual(playDrill(drill, seed, 'US', START));
      }),
      { numRuns: 20 },
    );
    const first = Array.from({ length: 30 }, (_, seed) => playDrill(drill, seed + 1, 'US', START))
      .flatMap(({ steps }) => steps)
      .filter((step) => step.kind === 'choice')
      .map((step) => step.options.findIndex(({ right }) => right));
    expect(new Set(first).size).toBeGreaterThan(1);
  });
  it('has every starred item named, and stamps and readings that the method knows', () => {
    const script = withFault(drill, 'none');
    for (const step of script.steps) if (step.starred) expect(step.item).not.toBe('');
    expect(() => drillOutcome(drill, 'US', perfect(script).values, script.setup)).not.toThrow();
  });
});

describe('what the clocks say of a drill', () => {
  const slump = findDrill('slump') as Drill;
  const late = (field: string, seconds: number, of: Drill, fault = 'none') => {
    const script = withFault(of, fault);
    const right = perfect(script);
    const at = Date.parse(right.values[field] ?? '');
    return failing(of, script, {
      ...right,
      values: { ...right.values, [field]: new Date(at + seconds * 1000).toISOString() },
    });
  };
  it('fails a lift of more than seven seconds or less than three, by the live computation', () => {
    expect(late('liftEndedAt', 2, slump)).toEqual([]);
    expect(late('liftEndedAt', 2.1, slump).map(({ id }) => id)).toEqual(['liftEndedAt']);
    expect(late('liftEndedAt', -2, slump)).toEqual([]);
    expect(late('liftEndedAt', -2.1, slump)[0]?.why).toMatch(/too short/);
  });
  it('fails moulds that stand open longer than two minutes', () => {
    const cylinders = findDrill('cylinders') as Drill;
    expect(late('coveredAt', 60, cylinders)).toEqual([]);
    expect(late('coveredAt', 81, cylinders).map(({ id }) => id)).toContain('coveredAt');
  });
  it('finds the injected lift of 2.2 s, whoever made it', () => {
    const script = withFault(slump, 'fast-lift');
    const outcome = drillOutcome(slump, 'US', { ...script.given, ...perfect(script).values }, script.setup);
    expect(outcome.findings.find(({ id }) => id === 'slump.lift')?.message).toMatch(/2\.2 s, too short/);
  });
  it('asks for the reading that is to be seen, within half its division', () => {
    const pressure = findDrill('air-pressure') as Drill;
    const script = withFault(pressure, 'none');
    const right = perfect(script);
    const off = (by: number) =>
      failing(pressure, script, {
        ...right,
        values: { ...right.values, apparent: (Number(right.values.apparent) + by).toFixed(2) },
      }).map(({ id }) => id);
    expect(off(0.05)).toEqual([]);
    expect(off(0.1)).toEqual(['apparent']);
  });
  it('says what was left out', () => {
    const script = withFault(slump, 'none');
    const score = scoreDrill(slump, script, 'US', {
      choices: {},
      values: {},
      decision: 'report',
      noticed: 'none',
    });
    expect(score.passed).toBe(false);
    expect(score.items.find(({ id }) => id === 'feet')?.why).toMatch(/^Left out/);
    expect(score.items.find(({ id }) => id === 'fillStartedAt')?.why).toBe('Not stamped.');
    expect(score.items.find(({ id }) => id === 'strokes')?.why).toMatch(/left empty, it was 25 25 25/);
  });
});

describe('the practice instruments', () => {
  // Boyle's law, worked by hand: initial 15.0, chamber 0.0125 ft³, bowl 0.25 ft³.
  it.each([
    [0, '15.00'],
    [0.02, '10.71'],
    [0.05, '7.50'],
    [0.057, '7.01'],
    [0.08, '5.77'],
    [0.1, '5.00'],
  ])('a pressure meter with %f of air falls to %s', (air, gauge) => {
    expect(gaugeAfterRelease(air, 15, 0.0125 / 0.25).toFixed(2)).toBe(gauge);
  });
  it('reads back on the dial the air that is in the bowl', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        fc.double({ min: 1, max: 60, noNaN: true }),
        fc.double({ min: 0.01, max: 0.2, noNaN: true }),
        (air, initial, chamber) => {
          const gauge = gaugeAfterRelease(air, initial, chamber);
          expect(gauge).toBeLessThanOrEqual(initial + 1e-9);
          expect(apparentAir(gauge, initial, chamber)).toBeCloseTo(100 * air, 8);
        },
      ),
    );
    expect(apparentAir(0, 15, 0.05)).toBe(Number.POSITIVE_INFINITY);
  });
  it('the level of a volumetric meter rises and steadies; stuck concrete lowers, a leak raises it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 9, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        (air, at) => {
          const level = meterLevel({ air }, at);
          expect(meterLevel({ air }, at + 0.1)).toBeGreaterThanOrEqual(level);
          expect(meterLevel({ air, stuck: 0.2 }, at)).toBeLessThan(level);
          expect(meterLevel({ air, leaked: 0.5 }, at)).toBeGreaterThan(level);
          expect(meterLevel({ air }, 6)).toBeCloseTo(air, 1);
        },
      ),
    );
  });
  it('quarters of an inch as they are said', () => {
    expect([0, 0.25, 3, 3.62, 4.5].map(quarters)).toEqual(['0', '1/4', '3', '3 1/2', '4 1/2']);
  });
});
