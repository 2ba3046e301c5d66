import { describe, expect, it } from 'vitest';
import { chooseSpacers, countedBothWays, type Levers, loadAtTurn, speedForRate } from '../../press';
import { compareSensors } from '../../temperature';
import {
  DrivenPress,
  EXERCISES,
  findExercise,
  type Move,
  type PaperTask,
  type PressTask,
  type RecordFault,
  type RecordTask,
  scoreExercise,
  TICKS,
} from '.';

const of = (id: string) => {
  const found = findExercise(id);
  if (!found) throw new Error(id);
  return found;
};
const SEEDS = Array.from({ length: 40 }, (_, index) => 1 + index * 7919);

describe.each(EXERCISES.map((exercise) => [exercise.id, exercise] as const))('%s', (_, exercise) => {
  it('is the same for the same seed and another for another', () => {
    expect(exercise.tasks(11)).toEqual(exercise.tasks(11));
    expect(exercise.tasks(11)).not.toEqual(exercise.tasks(12));
  });
  it('is not passed by leaving everything out, nor by nonsense, and never throws', () => {
    for (const answers of [[], Array.from({ length: 10 }, () => '{"moves":[{}],"ticks":1e9}')]) {
      const score = scoreExercise(exercise, 11, answers);
      expect([score.passed, score.starredPassed]).toEqual([false, 0]);
      expect(score.items.every(({ why }) => why.length > 5)).toBe(true);
    }
  });
});

it('a needle is right as counted either way, and wrong when it is read the other way round', () => {
  const dial = of('read-dial');
  for (const seed of SEEDS) {
    const ways = dial.tasks(seed).flatMap((task) => {
      if (task.kind !== 'dial') return [];
      return [countedBothWays(loadAtTurn(task.share, task.dial), task.dial)];
    });
    expect(
      scoreExercise(
        dial,
        seed,
        ways.map(({ up }) => up),
      ).passed,
    ).toBe(true);
    expect(
      scoreExercise(
        dial,
        seed,
        ways.map(({ down }) => down),
      ).passed,
    ).toBe(true);
    const turned = ways.map(({ up }) => up.replace(' past ', ' short of '));
    expect(scoreExercise(dial, seed, turned).passed).toBe(false);
  }
});

it('spacers are right when the gap is, and cannot is right only where nothing fits', () => {
  const exercise = of('choose-spacers');
  let impossible = 0;
  for (const seed of SEEDS) {
    const best = exercise.tasks(seed).map((task) => {
      const stack = task.kind === 'spacers' ? chooseSpacers(task.space) : undefined;
      if (stack?.trouble !== 'none') {
        impossible += 1;
        return 'cannot';
      }
      return stack.spacers.length === 0 ? 'none' : stack.spacers.map((each) => each.toFixed()).join(' + ');
    });
    expect(scoreExercise(exercise, seed, best).starredPassed).toBe(5);
    const turned = best.map((each) => (each === 'cannot' ? 'none' : 'cannot'));
    expect(scoreExercise(exercise, seed, turned).starredPassed).toBe(0);
  }
  expect(impossible).toBeGreaterThan(0);
  expect(impossible).toBeLessThan(SEEDS.length * 5);
});

/** What a careful reader finds in a record, from its lines alone. */
function foundIn({ lines }: RecordTask): RecordFault {
  const text = (label: string): string => lines.find(([name]) => name === label)?.[1] ?? '';
  const number = (words: string): number => Number(words.replaceAll(',', '').match(/[\d.]+/u)?.[0]);
  const [marks = 0, base = 0] = (text('Peak hand after the test').match(/[\d,]+/gu) ?? []).map((each) =>
    Number(each.replaceAll(',', '')),
  );
  const hand = base + marks * 500;
  const load = number(text('Maximum load'));
  const strength = number(text('Strength'));
  const ends = text('Ends');
  if (Math.abs(number(text('Age at the break')) - 672) > 20) return 'age';
  if (number(text('Peak hand before the test')) >= hand) return 'peak';
  if (load !== hand) return 'dial';
  if (Math.abs(strength - load / (4 * Math.PI)) > 10) return 'area';
  if (ends.startsWith('pads') && strength > 6000 && ends.includes('50')) return 'pads';
  const old = ends.match(/(\d+) h(?: (\d+) min)?/u);
  if (old && Number(old[1]) + Number(old[2] ?? 0) / 60 < (strength < 5000 ? 2 : 16)) return 'caps';
  return 'none';
}

it('a record holds the one fault that it is said to hold, and every fault comes up', () => {
  const exercise = of('find-fault');
  const seen = new Set<string>();
  for (const seed of SEEDS) {
    const answers = exercise.tasks(seed).map((task) => (task.kind === 'record' ? foundIn(task) : ''));
    for (const answer of answers) seen.add(answer);
    expect(scoreExercise(exercise, seed, answers).starredPassed).toBe(6);
  }
  expect([...seen].toSorted()).toEqual(['age', 'area', 'caps', 'dial', 'none', 'pads', 'peak']);
});

/** Drives a task as an operator would: what is done is all that is handed in. */
function driven(
  task: PressTask,
  how: { share?: number; approachTo?: number; stopWhen?: (press: DrivenPress) => boolean },
): string {
  const press = new DrivenPress(task);
  const moves: Move[] = [];
  let levers: Levers = { pump: false, approach: false, fine: 0, door: false };
  const set = (change: Partial<Levers>): void => {
    levers = { ...levers, ...change };
    moves.push({ tick: press.tick, levers });
  };
  const { specimen } = task;
  set({ door: true });
  set({ pump: true, approach: true });
  while ((press.readings.at(-1)?.position ?? 0) < (how.approachTo ?? specimen.gap - 1)) press.step(levers);
  set({ approach: false, fine: (speedForRate(specimen, 0.25, 0.7) / 0.1) * (how.share ?? 1) });
  const stop = how.stopWhen ?? ((own) => own.view().phase === 'broken');
  while (press.tick < 880 * TICKS && !stop(press)) press.step(levers);
  set({ pump: false });
  for (let tick = 0; tick < TICKS * 3; tick += 1) press.step(levers);
  return JSON.stringify({ moves, ticks: press.tick });
}

describe('driving the press', () => {
  const band = of('hold-band');
  const stop = of('stop-right');
  const taskOf = (exercise: typeof band, seed: number): PressTask => {
    const [task] = exercise.tasks(seed);
    if (task?.kind !== 'press') throw new Error('no press');
    return task;
  };
  const missed = (exercise: typeof band, seed: number, answer: string): string[] =>
    scoreExercise(exercise, seed, [answer]).items.flatMap(({ id, passed }) => (passed ? [] : [id]));

  it('a knob set once for the rate passes everything', () => {
    const answer = driven(taskOf(band, 3), {});
    expect(missed(band, 3, answer)).toEqual([]);
    expect(scoreExercise(band, 3, [answer]).passed).toBe(true);
  });
  it('twice the rate is out of the band, and nothing else', () => {
    expect(missed(band, 3, driven(taskOf(band, 3), { share: 2 }))).toEqual(['band']);
  });
  it('an approach that is open at contact is a shock', () => {
    const answer = driven(taskOf(band, 3), { approachTo: taskOf(band, 3).specimen.gap + 0.3 });
    expect(missed(band, 3, answer)).toContain('contact');
  });
  it('with a corner that breaks, stopping at the first drop is too early, going on is right', () => {
    const task = taskOf(stop, 5);
    expect(missed(stop, 5, driven(task, {}))).toEqual([]);
    const atDrop = driven(task, {
      stopWhen: (press) => {
        const { load, peak } = press.view();
        return peak > 50 && load < 0.97 * peak;
      },
    });
    expect(missed(stop, 5, atDrop)).toContain('carried-on');
    expect(scoreExercise(stop, 5, [atDrop]).passed).toBe(false);
  });
});

describe('block on paper', () => {
  const papers = (id: string) =>
    SEEDS.flatMap((seed) => of(id).tasks(seed)).filter((task): task is PaperTask => task.kind === 'paper');
  const numbers = ({ lines }: PaperTask, at: number): number[] =>
    (lines[at]?.[1].match(/[\d.,]+\d/gu) ?? []).map((each) => Number(each.replaceAll(',', '')));
  const right = (id: string, seed: number, answerOf: (task: PaperTask) => string) =>
    scoreExercise(
      of(id),
      seed,
      of(id)
        .tasks(seed)
        .map((task) => (task.kind === 'paper' ? answerOf(task) : '')),
    );

  it('a rate is right when half of the load takes between one and two minutes, by arithmetic alone', () => {
    const rateFor = (seconds: number) => (task: PaperTask) => {
      const [[area = 0], [strength = 0]] = [numbers(task, 0), numbers(task, 1)];
      return String((area * strength) / 2 / seconds);
    };
    for (const seed of SEEDS) {
      expect(right('block-rate', seed, rateFor(85)).passed).toBe(true);
      expect(right('block-rate', seed, rateFor(55)).starredPassed).toBe(0);
      expect(right('block-rate', seed, rateFor(125)).starredPassed).toBe(0);
    }
  });
  it('a strength is that on the mean net area, and the gross area is wrong', () => {
    for (const seed of SEEDS) {
      const net = right('net-area', seed, (task) => {
        const [load = 0] = numbers(task, 0);
        const areas = numbers(task, 2);
        return String(
          Math.round(load / (areas.reduce((sum, each) => sum + each, 0) / areas.length) / 10) * 10,
        );
      });
      expect(net.passed).toBe(true);
      const gross = right('net-area', seed, (task) => {
        const [[load = 0], [length = 1, width = 1]] = [numbers(task, 0), numbers(task, 1)];
        return String(load / (length * width));
      });
      expect(gross.starredPassed).toBe(0);
      expect(gross.items[0]?.why).toMatch(/% of the strength lost on paper/u);
    }
  });
  it('a false mass can be told from the masses alone, and each comes up', () => {
    const seen = new Set<string>();
    for (const task of papers('false-mass')) {
      const [received = 0, immersed = 0, saturated = 0, dry = 0] = [0, 1, 2, 3].map(
        (at) => numbers(task, at)[0] ?? 0,
      );
      const density = (dry / (saturated - immersed)) * 62.4;
      const absorption = ((saturated - dry) / (saturated - immersed)) * 62.4;
      const found =
        saturated < dry
          ? 'saturated'
          : absorption > 25
            ? 'dry'
            : density > 150
              ? 'immersed'
              : received > saturated
                ? 'received'
                : 'none';
      seen.add(found);
      expect(task.right).toEqual({ answer: found });
    }
    expect([...seen].toSorted()).toEqual(['dry', 'immersed', 'none', 'received', 'saturated']);
  });
  it('a coupon is legal by its three ratios, and each fault comes up', () => {
    const seen = new Set<string>();
    for (const task of papers('coupon-legal')) {
      const [t = 1, h = 0, l = 0] = [0, 1, 2].map((at) => numbers(task, at)[0] ?? 0);
      const off = (ratio: number, to: number): boolean => Math.abs(ratio / to - 1) > 0.05;
      const found = t < 0.75 ? 'thick' : off(h / t, 2) ? 'height' : off(l / t, 4) ? 'length' : 'legal';
      seen.add(found);
      expect(task.right).toEqual({ answer: found });
    }
    expect(seen.size).toBe(4);
  });
});

describe('beams', () => {
  it('break where the picture shows it, in all three ways, and the answer is that of the method', () => {
    const answers = new Set<string>();
    for (const seed of SEEDS)
      for (const task of of('where-broke').tasks(seed) as PaperTask[]) {
        if (!task.broken || !('answer' in task.right)) throw new Error('no picture');
        const { span, edges } = task.broken;
        const a = edges.reduce((sum, share) => sum + Math.min(share, 1 - share) * span, 0) / 3;
        // A third of the span, and 5 % of it below: ASTM C78/C78M (from memory).
        const wanted = a >= span / 3 ? 'inside' : a >= span / 3 - 0.05 * span ? 'outside' : 'beyond';
        expect(task.right.answer).toBe(wanted);
        expect(Math.min(Math.abs(a - span / 3), Math.abs(a - span / 3 + 0.05 * span))).toBeGreaterThan(
          task.broken.unit === 'in' ? 0.04 : 0.9,
        );
        answers.add(wanted);
      }
    expect([...answers].toSorted()).toEqual(['beyond', 'inside', 'outside']);
  });
  it('are loaded by the rate of the fibre, and by no other', () => {
    const exercise = of('ram-rate');
    for (const task of exercise.tasks(5) as PaperTask[]) {
      if (!('low' in task.right)) throw new Error('no band');
      const { low, high } = task.right;
      expect(high / low).toBeCloseTo(175 / 125, 8);
      const judged = (rate: number) => exercise.judge(task, String(Math.round(rate)), 0)[0]?.passed;
      expect([judged((low + high) / 2), judged(low * 0.9), judged(high * 1.1), judged(59_000)]).toEqual([
        true,
        false,
        false,
        false,
      ]);
    }
  });
});

describe('temperatures', () => {
  const seeds = Array.from({ length: 12 }, (_, seed) => seed + 1);
  it('each fault of a sensor can be seen in its curve, and by nothing else', () => {
    const met = new Set<string>();
    for (const seed of seeds)
      for (const task of of('which-sensor-lies').tasks(seed) as PaperTask[]) {
        if (!task.curves || !('answer' in task.right)) throw new Error('no curves');
        const [first, second] = task.curves.lines.map(({ points }) => ({
          hours: points.map(({ x }) => x),
          celsius: points.map(({ y }) => y),
          gaps: [],
        }));
        if (!first || !second) throw new Error('no curves');
        const found = compareSensors(first, second);
        const { answer } = task.right;
        met.add(answer);
        // What the exercise says is what the analysis of two records finds.
        if (answer === 'none') expect(Math.abs(found?.bias ?? 9)).toBeLessThan(0.6);
        if (answer === 'high') expect(Math.abs(found?.bias ?? 0)).toBeGreaterThan(1.5);
        if (answer === 'clock') expect(Math.abs(found?.ahead ?? 0)).toBeGreaterThan(0.5);
        if (answer === 'stuck') expect(new Set(second.celsius.slice(-60)).size).toBe(1);
        if (answer === 'slow')
          expect(found?.peaks[1].celsius).toBeLessThan((found?.peaks[0].celsius ?? 0) - 0.5);
      }
    expect(met.size).toBe(6);
  });
  it('a form is never taken away on a number alone: what may be counted on decides, and what stands beside it', () => {
    const met = new Set<string>();
    const psi = (text: string | undefined): number => Number(text?.replace(/[^\d]/gu, ''));
    for (const seed of seeds)
      for (const task of of('remove-or-not').tasks(seed) as PaperTask[]) {
        const line = (name: string) => task.lines.find(([label]) => label === name)?.[1];
        const [asked, best, counted] = [
          'Asked for by the engineer',
          'By the best line',
          'To be counted on',
        ].map((name) => psi(line(name)));
        if (!('answer' in task.right)) throw new Error('nothing to choose');
        met.add(task.right.answer);
        const missing =
          line('Supplementary test') === 'none yet' ||
          line('Mix') !== 'as calibrated' ||
          line('Record')?.startsWith('14') ||
          line('Cylinder of the job')?.includes('below');
        expect(best).toBeGreaterThan(asked ?? 0);
        if ((counted ?? 0) < (asked ?? 0)) expect(task.right.answer).toBe('wait');
        else expect(task.right.answer).toBe(missing ? 'hold' : 'ask');
        expect(task.options.map(([value]) => value)).toEqual(['wait', 'hold', 'ask']);
      }
    expect(met.size).toBe(3);
  });
});
