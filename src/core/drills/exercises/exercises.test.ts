import { describe, expect, it } from 'vitest';
import { chooseSpacers, countedBothWays, type Levers, loadAtTurn, speedForRate } from '../../press';
import {
  DrivenPress,
  EXERCISES,
  findExercise,
  type Move,
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
