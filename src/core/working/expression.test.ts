import fc from 'fast-check';
import { evaluate } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { exact } from '../quantity';
import { evaluateFormula } from './expression';

const uses = { D: exact('4.01'), P: exact('61880'), x: exact('-2.5'), e2: exact('412') };

describe('a formula', () => {
  // Held against mathjs, another library.
  it.each([
    'P / (pi * D^2 / 4)',
    '-D^2',
    '2^-1 * D',
    '2^3^2',
    '-x - -x * 3',
    'sqrt(P) - abs(x)',
    'exp(x) * log10(P)',
    'min(D, x, 3) + max(D, x) + mean(D, P, 1)',
    'std(D, P, x, 7) / std(x, e2)',
    '1000000 * (P - D) / (e2 - 50)',
    '10^(0.5 + x * (log10(D^2) - 1))',
    '((D))',
  ])('%s is what another library makes of it', (formula) => {
    const numbers = Object.fromEntries(Object.entries(uses).map(([name, value]) => [name, value.toNumber()]));
    const again = Number(evaluate(formula, numbers));
    expect(evaluateFormula(formula, uses).toNumber() / again).toBeCloseTo(1, 12);
  });
  it('of any sums and products is what another library makes of it', () => {
    const number = fc.integer({ min: 1, max: 9999 }).map((each) => (each / 100).toFixed(2));
    const { formula } = fc.letrec<{ formula: string }>((tie) => ({
      formula: fc.oneof(
        { maxDepth: 4 },
        number,
        fc
          .tuple(tie('formula'), fc.constantFrom('+', '-', '*'), tie('formula'))
          .map(([a, sign, b]) => `(${a} ${sign} ${b})`),
        fc.tuple(tie('formula'), number).map(([a, b]) => `${a} / ${b}`),
      ),
    }));
    fc.assert(
      fc.property(formula, (text) => {
        const again = Number(evaluate(text));
        const own = evaluateFormula(text, {}).toNumber();
        expect(Math.abs(own - again)).toBeLessThanOrEqual(1e-9 * Math.max(1, Math.abs(again)));
      }),
    );
  });
  it.each(['P / ', 'P P', '(P', 'P)', 'Q + 1', 'sqrt()', '3 % 2', ''])('%j is refused', (formula) => {
    expect(() => evaluateFormula(formula, uses)).toThrow(RangeError);
  });
});
