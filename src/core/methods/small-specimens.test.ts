import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { isMouldedConcrete, mouldsOf } from '../moulds';
import { ageWindow } from '../windows';
import { type Method, type RunSetup, usableInput } from '.';
import { findMethod, methodsFor } from './registry';

function run(id: 'mortar-cube' | 'grout-prism', input: Record<string, unknown>, setup: RunSetup = {}) {
  const method = findMethod(id) as Method;
  const { input: usable, errors } = usableInput(method, { system: 'US', zeroed: true, ...input });
  const outcome = method.compute(usable, setup);
  return {
    text: outcome.results[0]?.text,
    found: outcome.findings.map(({ id: found }) => found),
    lines: outcome.lines.map(({ symbol }) => symbol),
    errors,
  };
}

const limits = new Limits();

describe('mortar cubes', () => {
  // ASTM C109 (from memory): f = P / A, A = 4 in² or 2500 mm², to 10 psi [0.1 MPa].
  it('divides by the nominal section of its own system', () => {
    expect(run('mortar-cube', { maximumLoad: '21,850' }).text).toBe('5,460');
    expect(run('mortar-cube', { system: 'SI', maximumLoad: '77.2' }).text).toBe('30.9');
  });
  it('takes the measured section from more than 1.5 % off', () => {
    const edges = { maximumLoad: '20,000', edgeX: '2.000' };
    // 2.030 × 2.000 is 1.5 % off, 2.031 × 2.000 is more.
    expect(run('mortar-cube', { ...edges, edgeY: '2.030' })).toMatchObject({ text: '5,000' });
    const off = run('mortar-cube', { ...edges, edgeY: '2.031' });
    expect(off.text).toBe('4,920');
    expect(off.found).toContain('mortar-cube.area');
  });
  // Printed in ASTM C109 (from memory): 200 to 400 lbf/s; 200 lbf/s on 4 in² is 50 psi/s, no rate of a cylinder.
  it.each([
    ['199', true],
    ['200', false],
    ['400', false],
    ['401', true],
  ])('a load rate of %s lbf/s is outside: %s', (loadingRate, outside) => {
    expect(
      run('mortar-cube', { maximumLoad: '20,000', loadingRate }).found.includes('mortar-cube.rate'),
    ).toBe(outside);
  });
  it('refuses a struck face and a faulty cube before the load', () => {
    expect(run('mortar-cube', { faces: 'struck', found: 'corner' }).found).toEqual(
      expect.arrayContaining(['mortar-cube.faces', 'mortar-cube.faulty']),
    );
  });

  // ASTM C109 (from memory): 24 h ± 0.5 h, 3 d ± 1 h, 7 d ± 3 h, 28 d ± 12 h; between them the next lower one (our choice).
  it.each([
    [24, 0.5],
    [48, 0.5],
    [72, 1],
    [168, 3],
    [336, 3],
    [672, 12],
    [2160, 12],
  ])('%s h has %s h either side', (hours, tolerance) => {
    const window = ageWindow(0, hours, limits, 'mortar-2');
    expect((window.closesAt - window.targetAt) / 3_600_000).toBe(tolerance);
  });
  it('keeps its own window in the press', () => {
    const since = '2031-05-01T08:00:00-04:00';
    const setup: RunSetup = {
      zone: 'America/New_York',
      specimen: { since, ageHours: 168, form: 'mortar-2' },
    };
    const at = (testedAt: string) => run('mortar-cube', { maximumLoad: '20,000', testedAt }, setup).found;
    expect(at('2031-05-08T11:00:00-04:00')).not.toContain('specimen.age-late');
    expect(at('2031-05-08T11:01:00-04:00')).toContain('specimen.age-late');
  });
});

describe('grout prisms', () => {
  const prism = {
    x1: '3.50',
    x2: '3.60',
    y1: '3.55',
    y2: '3.55',
    height: '7.10',
    square: 'yes',
    ends: 'gypsum',
  };
  // By hand: 3.55 × 3.55 = 12.6025 in²; 33,400 / 12.6025 = 2650.27 psi; no factor for the height.
  it('divides by the product of its mean widths', () => {
    expect(run('grout-prism', { ...prism, maximumLoad: '33,400' })).toMatchObject({
      text: '2,650',
      lines: ['x', 'y', 'A', 'f'],
    });
  });
  it.each([
    ['6.74', true],
    ['6.75', false],
    ['7.45', false],
    ['7.46', true],
  ])('height %s is refused: %s', (height, refused) => {
    expect(run('grout-prism', { ...prism, height }).found.includes('grout-prism.height')).toBe(refused);
  });
  it('says what it is too narrow for, not square, leaning, not capped', () => {
    const { found } = run('grout-prism', {
      ...prism,
      x1: '2.90',
      x2: '2.90',
      height: '5.80',
      square: 'no',
      ends: 'none',
    });
    expect(found).toEqual(
      expect.arrayContaining([
        'grout-prism.side',
        'grout-prism.square',
        'grout-prism.leaning',
        'grout-prism.ends',
      ]),
    );
  });
  // r = P / (2 A t): 33,400 lbf in 38 s on 12.6025 in² is 34.9 psi/s; in 80 s 16.6 psi/s, in 200 s 6.6.
  it.each([
    ['38', undefined],
    ['80', 'advice'],
    ['200', 'departure'],
    ['20', 'departure'],
  ])('a second half of %s s: %s', (secondHalf, severity) => {
    const method = findMethod('grout-prism') as Method;
    const { input } = usableInput(method, { system: 'US', ...prism, maximumLoad: '33,400', secondHalf });
    const found = method.compute(input, {}).findings.find(({ id }) => id === 'grout-prism.rate');
    expect(found?.severity).toBe(severity);
  });
});

it('are pressed, and are no moulds for the concrete of the sample', () => {
  expect(methodsFor({ form: 'mortar-2' }).map(({ id }) => id)).toEqual(['mortar-cube']);
  expect(methodsFor({ form: 'prism-90' }).map(({ id }) => id)).toEqual(['grout-prism']);
  for (const system of ['US', 'SI'] as const)
    expect(mouldsOf(system).every((size) => isMouldedConcrete(size))).toBe(true);
});
