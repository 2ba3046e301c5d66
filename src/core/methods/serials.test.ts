import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hasSerial, serialsProblem } from './serials';

describe('serial numbers of a pack', () => {
  it.each([
    ['RH-0400 to RH-0460', 'RH-0412', true],
    ['RH-0400 to 0460', 'rh-0460', true],
    ['RH-0400 – RH-0460', 'RH-0399', false],
    ['RH-0400 to RH-0460, RH-0475', 'RH-0475', true],
    ['RH-0400 to RH-0460', 'RK-0412', false],
    ['4401 - 4460; 4500', '4460', true],
    ['4401', '4401', true],
    ['4401', 'a word', false],
  ])('%s has %s: %s', (list, one, there) => {
    expect(serialsProblem(list)).toBeUndefined();
    expect(hasSerial(list, one)).toBe(there);
  });
  it.each(['RH-0460 to RH-0400', 'RH-0400 to RK-0460', 'none', '12, all of them'])('%s is refused', (list) =>
    expect(serialsProblem(list)).toMatch(/is no serial number/u),
  );
  it('a range has its ends and all between them, and nothing beside', () =>
    fc.assert(
      fc.property(fc.nat(5000), fc.nat(5000), fc.nat(12_000), (one, other, asked) => {
        const [low, high] = [Math.min(one, other), Math.max(one, other)];
        expect(hasSerial(`S${low} to S${high}`, `S${asked}`)).toBe(low <= asked && asked <= high);
      }),
    ));
});
