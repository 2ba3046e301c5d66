import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '@/testing/database';
import { passwordProblem } from './password';
import { type Attempt, beginAttempt, deviceToken, isKnownDevice, signedIn, waitAfter } from './sign-in-limit';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
beforeAll(async () => {
  fresh = await freshDatabase();
});
afterAll(() => fresh?.close());

const stranger = (over: Partial<Attempt> = {}): Attempt => ({
  email: 'guessed@test.example',
  address: '198.51.100.7',
  known: false,
  ...over,
});
const tries = async (attempt: Attempt, count: number, now: number): Promise<number[]> => {
  const waits: number[] = [];
  for (let index = 0; index < count; index += 1) waits.push(await beginAttempt(fresh.db, attempt, now));
  return waits;
};

describe('guessing at an account', () => {
  it('is held back longer and longer, wherever it says it comes from', async () => {
    const now = 1_900_000_000_000;
    expect(await tries(stranger({ email: 'A@Test.example' }), 5, now)).toEqual([0, 0, 0, 0, 0]);
    const [wait = 0] = await tries(stranger({ email: ' a@test.example', address: '203.0.113.9' }), 1, now);
    expect(wait).toBe(2000);
    // Waited for, the next failure doubles it; a guess meanwhile neither passes nor makes it longer.
    expect(await tries(stranger({ email: 'a@test.example' }), 1, now + 2000)).toEqual([0]);
    expect(await tries(stranger({ email: 'a@test.example' }), 3, now + 2000)).toEqual([4000, 4000, 4000]);
    expect(await tries(stranger({ email: 'other@test.example' }), 1, now)).toEqual([0]);
  });
  it('does not lock its owner out on a device that is known', async () => {
    const now = 1_900_000_000_000;
    await tries(stranger({ email: 'b@test.example' }), 40, now);
    expect((await tries(stranger({ email: 'b@test.example' }), 1, now))[0]).toBeGreaterThan(0);
    expect(await tries(stranger({ email: 'b@test.example', known: true }), 1, now)).toEqual([0]);
  });
  it('at many accounts from one address is held back for that address', async () => {
    const now = 1_900_000_000_000;
    const address = '192.0.2.55';
    for (let index = 0; index < 40; index += 1)
      await tries(stranger({ email: `c${index}@test.example`, address }), 1, now);
    expect((await tries(stranger({ email: 'c99@test.example', address }), 1, now))[0]).toBeGreaterThan(0);
    expect(await tries(stranger({ email: 'c99@test.example', address: '192.0.2.56' }), 1, now)).toEqual([0]);
  });
  it('all at once is counted all the same', async () => {
    const now = 1_900_000_000_000;
    const waits = await Promise.all(
      Array.from({ length: 20 }, () =>
        beginAttempt(fresh.db, stranger({ email: 'd@test.example', address: '' }), now),
      ),
    );
    expect(waits.filter((wait) => wait === 0)).toHaveLength(5);
  });
  it('is forgotten once the right password came, and after an hour', async () => {
    const now = 1_900_000_000_000;
    const e = stranger({ email: 'e@test.example', address: '' });
    await tries(e, 5, now);
    await signedIn(fresh.db, e);
    expect(await tries(e, 5, now)).toEqual([0, 0, 0, 0, 0]);
    expect((await tries(e, 1, now))[0]).toBeGreaterThan(0);
    expect(await tries(e, 1, now + 61 * 60_000)).toEqual([0]);
  });
  it('waits never less for more failures, and never for ever', () => {
    fc.assert(
      fc.property(fc.nat(1000), fc.nat(40), (count, free) => {
        expect(waitAfter(count + 1, free)).toBeGreaterThanOrEqual(waitAfter(count, free));
        expect(waitAfter(count, free)).toBeLessThanOrEqual(15 * 60_000);
      }),
    );
  });
});

describe('a known device', () => {
  it('is known for its account only, and cannot be made up', () => {
    const token = deviceToken('secret', 'A@test.example');
    expect(isKnownDevice('secret', 'a@test.example ', [token])).toBe(true);
    expect(isKnownDevice('secret', 'b@test.example', [token])).toBe(false);
    expect(isKnownDevice('another', 'a@test.example', [token])).toBe(false);
    for (const made of ['', '.', 'x.y', `${token}x`, token.slice(0, -1)])
      expect(isKnownDevice('secret', 'a@test.example', [made])).toBe(false);
  });
});

describe('a password', () => {
  it.each([
    ['short', /10 characters/],
    ['x'.repeat(129), /128/],
    ['password12', /easy to guess/],
    ['Password1234!', /easy to guess/],
    ['qwertyuiop', /easy to guess/],
    ['quay-lantern-tide', /demo/],
    ['wrencastellow1', /easy to guess/],
  ])('cannot be %s', (password, problem) => {
    expect(passwordProblem(password, ['Wren Castellow', 'wren@saltmarsh.example'])).toMatch(problem);
  });
  it.each(['harbour moss lamp 7', 'long enough 1', 'tR8#kv02pQz'])('can be %s', (password) => {
    expect(passwordProblem(password, ['Wren Castellow'])).toBeNull();
  });
});
