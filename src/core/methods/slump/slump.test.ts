import { describe, expect, it } from 'vitest';
import { usableInput } from '..';
import { slump } from '.';

function outcomeOf(
  input: Record<string, unknown>,
  specified?: string,
  slumpKind: 'target' | 'maximum' = 'target',
) {
  const { input: usable } = usableInput(slump, { system: 'US', ...input });
  return slump.compute(usable, specified ? { facts: { slump: specified, slumpKind } } : {});
}

describe('slump against ASTM C94 tolerances (from memory)', () => {
  it.each([
    ['US', '4 3/8', '4 in', 'target', '4.50', 'meets'],
    ['US', '5 1/8', '4 in', 'target', '5.00', 'meets'],
    ['US', '5.2', '4 in', 'target', '5.25', 'does not meet'],
    ['US', '1 3/8', '4 in', 'maximum', '1.50', 'meets'],
    ['SI', '128', '100 mm', 'target', '130', 'does not meet'],
    ['SI', '127', '100 mm', 'target', '125', 'meets'],
    ['US', '2 1/2', '2 in', 'target', '2.50', 'meets'],
    ['US', '2 3/4', '2 in', 'target', '2.75', 'does not meet'],
  ] as const)('%s %s against %s %s: %s, %s', (system, typed, specified, kind, text, verdict) => {
    const outcome = outcomeOf({ system, slump: typed, shape: 'true' }, specified, kind);
    expect(outcome.results[0]?.text).toBe(text);
    expect(outcome.verdicts[0]?.state).toBe(verdict);
  });
});

describe('slump validity', () => {
  it.each([
    [{ liftTime: '2' }, 'slump.lift'],
    [{ liftTime: '8' }, 'slump.lift'],
    [{ totalTime: '2:31' }, 'slump.total'],
    [{ startDelay: '5:01' }, 'slump.start'],
    [{ slump: '9 1/4' }, 'slump.measurable'],
    [{ shape: 'shear' }, 'slump.shear'],
    [{ shape: 'shear', shearedBefore: true }, 'slump.shear-twice'],
    [{ shape: 'collapse' }, 'slump.collapse'],
    [{ layers: false }, 'slump.layers'],
  ])('%o is found', (input, id) => {
    expect(outcomeOf(input).findings.map((found) => found.id)).toContain(id);
  });

  it.each([
    { liftTime: '3' },
    { liftTime: '7' },
    { totalTime: '2:30' },
    { startDelay: '5:00' },
    { slump: '9' },
  ])('%o, the limit itself, is not', (input) => {
    expect(outcomeOf(input).findings).toEqual([]);
  });

  it('gives no number for a sheared portion, and no verdict on the concrete', () => {
    const outcome = outcomeOf({ slump: '4', shape: 'shear' }, '4 in');
    expect(outcome.results).toEqual([]);
    expect(outcome.verdicts[0]?.state).toBe('not yet determinable');
  });
});
