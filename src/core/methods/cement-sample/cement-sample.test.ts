import { describe, expect, it } from 'vitest';
import { Limits } from '../../limits';
import { grabsOf } from '../../materials/cement/grabs';
import { findMethod } from '../registry';
import { usableInput } from '../validate';

const method = findMethod('cement-sample') as NonNullable<ReturnType<typeof findMethod>>;
const came = (more: object = {}, mode = 'shipment') =>
  method.compute(
    usableInput(method, {
      ...{
        system: 'US',
        grabs: '4',
        container: 'tight',
        lumps: 'none',
        mass: '5400',
        retained: '8',
        reserve: '2100',
      },
      ...more,
    }).input,
    { facts: { mode } },
  );
const ids = (done: ReturnType<typeof came>) => done.findings.map(({ id }) => id);

describe('a sample of cement as it came', () => {
  it('in order says nothing but what is left on the sieve', () => {
    const done = came();
    expect(ids(done)).toEqual([]);
    expect(done.results[0]?.text).toBe('0.1');
  });
  it.each([
    [{ container: 'bag' }, 'cement-sample.container'],
    [{ lumps: 'hard' }, 'cement-sample.lumps'],
    [{ mass: '2100' }, 'cement-sample.mass'],
    [{ retained: '60' }, 'cement-sample.retained'],
    [{ retained: '6000' }, 'cement-sample.retained'],
    [{ reserve: '900' }, 'cement-sample.reserve'],
    [{ temperature: '120' }, 'cement-sample.hot'],
    [{ grabs: '2' }, 'cement-sample.points'],
  ])('%j: %s', (more, id) => {
    expect(ids(came(more))).toContain(id);
  });
  it('of bags it may be made up of few', () => {
    expect(ids(came({ grabs: '2' }, 'bags'))).toEqual([]);
  });
  it('its plan tells what a whole set takes', () => {
    // Three pastes and one, cubes, autoclave, air, stiffening, the fine tests: by hand.
    expect(method.plan('US', {})[0]?.text).toBe('4,850 g');
  });
});

// ASTM C183 (from memory).
it.each([
  ['22', 5, 2],
  ['340', 68, 4],
  ['80', 16, 2],
  ['100', 20, 2],
  ['200.1', 41, 3],
])('%s tons: %d bags, or %d samples of several cars', (tons, bags, bulk) => {
  expect(grabsOf({ tons }, new Limits())).toEqual({ bags, bulk });
});

it('tons that are not known ask for nothing', () => {
  expect(grabsOf({}, new Limits())).toBeUndefined();
});
