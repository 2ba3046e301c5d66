import { Exact, exact, meanOf, PI, remembered } from '../quantity';
import { standardDeviation } from '../statistics/summary';

type Uses = Readonly<Record<string, Exact>>;
type Computed = (uses: Uses) => Exact;

const FUNCTIONS: Readonly<Record<string, (given: readonly Exact[]) => Exact>> = {
  sqrt: ([x]) => of(x).sqrt(),
  abs: ([x]) => of(x).abs(),
  exp: ([x]) => of(x).exp(),
  log10: ([x]) => of(x).log(10),
  atan: ([x]) => of(x).atan(),
  min: (given) => Exact.min(...given),
  max: (given) => Exact.max(...given),
  mean: (given) => meanOf(given),
  std: (given) => of(standardDeviation(given)),
};

function of(value: Exact | undefined): Exact {
  if (value === undefined) throw new RangeError('a function of a formula lacks what it is of');
  return value;
}

/**
 * Evaluates a formula as it is printed on a sheet: numbers, symbols, `+ - * / ^`, brackets, `pi` and a few functions.
 * @param uses what its symbols stand for, in the units the formula means
 * @returns the value on 40 digits
 * @throws RangeError for a formula that cannot be read or names what is not given: a mistake in the code, never in what is typed
 */
export function evaluateFormula(formula: string, uses: Uses): Exact {
  return compiled(formula)(uses);
}

/** There are as many formulas as are written in the code. */
const compiled = remembered(1000, (formula: string) => formula, compile);

const PARTS = /\d+(?:\.\d+)?|[A-Za-z_]\w*|[-+*/^(),]/gu;

function compile(formula: string): Computed {
  const parts = formula.match(PARTS) ?? [];
  if (parts.join('') !== formula.replaceAll(' ', '')) throw new RangeError(`not a formula: ${formula}`);
  let at = 0;
  const take = (...wanted: readonly string[]): string | undefined => {
    const part = parts[at];
    if (part === undefined || !wanted.includes(part)) return undefined;
    at += 1;
    return part;
  };
  const need = (wanted: string): void => {
    if (!take(wanted)) throw new RangeError(`${wanted} is missing: ${formula}`);
  };

  const sum = (): Computed => {
    let left = product();
    for (let sign = take('+', '-'); sign; sign = take('+', '-')) {
      const [a, b] = [left, product()];
      left = sign === '+' ? (uses) => a(uses).plus(b(uses)) : (uses) => a(uses).minus(b(uses));
    }
    return left;
  };
  const product = (): Computed => {
    let left = signed();
    for (let sign = take('*', '/'); sign; sign = take('*', '/')) {
      const [a, b] = [left, signed()];
      left = sign === '*' ? (uses) => a(uses).times(b(uses)) : (uses) => a(uses).div(b(uses));
    }
    return left;
  };
  const signed = (): Computed => {
    if (!take('-')) return power();
    const value = signed();
    return (uses) => value(uses).neg();
  };
  const power = (): Computed => {
    const base = primary();
    if (!take('^')) return base;
    const exponent = signed();
    return (uses) => base(uses).pow(exponent(uses));
  };
  const primary = (): Computed => {
    if (take('(')) {
      const inner = sum();
      need(')');
      return inner;
    }
    const part = parts[at] ?? '';
    at += 1;
    if (/^\d/u.test(part)) {
      const number = exact(part);
      return () => number;
    }
    const called = FUNCTIONS[part];
    if (called && take('(')) {
      const given = [sum()];
      while (take(',')) given.push(sum());
      need(')');
      return (uses) => called(given.map((each) => each(uses)));
    }
    return (uses) => {
      const value = Object.hasOwn(uses, part) ? uses[part] : part === 'pi' ? PI : undefined;
      if (value === undefined) throw new RangeError(`${part} is not known: ${formula}`);
      return value;
    };
  };

  const whole = sum();
  if (at < parts.length) throw new RangeError(`not a formula: ${formula}`);
  return whole;
}
