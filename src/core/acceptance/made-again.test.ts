import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { exact } from '../quantity';
import { standard } from '../working';
import { combine } from './combine';
import type { Criterion, Member } from './criterion';
import { evaluate } from './evaluate';
import type { SetRule } from './set-rule';

const BASE: Criterion = {
  id: 'test',
  title: 'Every one',
  asks: 'None below',
  source: standard('project specification'),
  quantity: 'strength',
  by: [],
  population: 'set',
  statistic: 'least',
  holds: 'at least',
  limit: { asked: 'least' },
  compare: 'rounded',
  count: 'planned',
  early: true,
};
const limits = new Limits();
const judge = (
  members: readonly Partial<Member>[],
  over: Partial<Criterion> = {},
  asked: Readonly<Record<string, string>> = { least: '10' },
  planned = 2,
) =>
  evaluate(
    { ...BASE, repeats: { asked: 'least' }, ...over },
    members.map((each, place) => ({ id: String(place), label: `P${place + 1}`, value: null, ...each })),
    {
      system: 'SI',
      unit: 'MPa',
      limits,
      mode: 'half-even',
      planned,
      asked: (name) => (asked[name] ? exact(asked[name]) : undefined),
      step: exact('0.1'),
    },
  )[0];

describe('results that are made again', () => {
  it('are left aside where they decide nothing, and said', () => {
    const verdict = judge([{ value: '11' }, { value: '12' }, { value: '8', bound: 'at least' }]);
    expect(verdict).toMatchObject({ state: 'meets', statistic: '11', members: ['0', '1'] });
    expect(verdict?.sentence).toContain('Made again in its place: P3, known at least only.');
  });
  it('stay where they decide: at least so much that reaches it, at most so much that does not', () => {
    expect(judge([{ value: '11' }, { value: '12', bound: 'at least' }])).toMatchObject({
      state: 'meets',
      members: ['0', '1'],
    });
    expect(judge([{ value: '11' }, { value: '9', bound: 'at most' }])).toMatchObject({
      state: 'does not meet',
    });
  });
  it('are wanted as many as are missing then', () => {
    const one = [{ value: '11' }, { value: '8', bound: 'at least' as const }];
    expect(judge(one)?.sentence).toContain('1 of 2 tested');
    expect(judge([{ value: '11', provisional: 'both ways' }])?.sentence).toContain('none of them decides');
    expect(judge([{ value: '8', bound: 'at least' }, { value: '7' }])?.state).toBe('does not meet');
  });
  it('are held against what one of them is asked for, not against the mean', () => {
    const mean = { statistic: 'mean' as const, limit: { asked: 'mean' } as const, early: undefined as never };
    const asked = { least: '10', mean: '14' };
    // Eleven reaches what each is asked for: it stands in the mean, which is then at least so much.
    const two = [{ value: '16' }, { value: '11', bound: 'at least' as const }];
    expect(judge(two, mean, asked)).toMatchObject({ state: 'not yet determinable' });
    expect(judge([{ value: '18' }, { value: '11', bound: 'at least' }], mean, asked)?.state).toBe('meets');
    const three = [{ value: '16' }, { value: '15' }, { value: '9', bound: 'at least' as const }];
    expect(judge(three, mean, asked)).toMatchObject({ state: 'meets', members: ['0', '1'] });
  });
  it('are a matter of criteria that say so', () => {
    const plain = evaluate(
      BASE,
      [
        { id: 'a', label: 'A', value: '11' },
        { id: 'b', label: 'B', value: '8', bound: 'at least' },
      ],
      {
        system: 'SI',
        unit: 'MPa',
        limits,
        mode: 'half-even',
        planned: 2,
        asked: () => exact('10'),
        step: exact('0.1'),
      },
    )[0];
    expect(plain?.state).toBe('not yet determinable');
    expect(plain?.sentence).not.toContain('Made again');
  });
});

describe('what results say together that are each alone', () => {
  const rule: SetRule = {
    word: 'Pulls',
    quantity: 'strength',
    by: [],
    combine: 'each alone',
    step: 'pull.step-metal',
    derives: (mean, { pieces }) => ({
      values: {},
      said: [
        ['Mean', mean.toFixed()],
        ['Pieces', pieces.map(({ label, bound }) => `${label}${bound ? ` ${bound}` : ''}`).join(', ')],
      ],
      lines: [],
      remarks: [],
    }),
  };
  const about = {
    system: 'SI',
    unit: 'MPa',
    limits,
    mode: 'half-even',
    asked: () => undefined,
    said: () => undefined,
  } as const;
  it('is of those that are settled: what can still change is in none of it', () => {
    const { derived } = combine(
      rule,
      [
        { label: 'A', value: '10' },
        { label: 'B', value: '14', bound: 'at least' },
        { label: 'C', value: '90', provisional: 'another one in its place' },
      ],
      about,
    );
    expect(Object.fromEntries(derived?.said ?? [])).toEqual({ Mean: '12', Pieces: 'A, B at least' });
  });
  it('is nothing where none is', () => {
    expect(combine(rule, [], about).derived).toBeUndefined();
    expect(combine(rule, [{ label: 'C', value: '9', provisional: 'open' }], about).derived).toBeUndefined();
  });
  it('is rounded by the step of what is asked for, where the rule chooses it', () => {
    const chosen: SetRule = {
      ...rule,
      asAsked: (said) => ({ step: said('by') === 'x' ? 'pull.step-core' : 'pull.step-metal' }),
    };
    expect(() => combine(chosen, [{ label: 'A', value: '10' }], { ...about, said: () => 'x' })).not.toThrow();
  });
});
