// @vitest-environment jsdom
import { afterEach, expect, it, vi } from 'vitest';
import { newerToBeHad } from './clock';

afterEach(() => vi.unstubAllGlobals());

/** When this page was asked for, by the clock of the device as it is now. */
const opened = (): number => Date.now() - performance.now();

const serverSays = (now: number | null) =>
  vi.stubGlobal('fetch', async () => {
    if (now === null) throw new TypeError('fetch failed');
    return new Response(JSON.stringify({ now }));
  });

it('a page that was made before it was asked for is a kept one, and is renewed where the server answers', async () => {
  const asked = opened();
  serverSays(Date.now());
  expect(await newerToBeHad(asked - 60_000)).toBe(true);
  expect(await newerToBeHad(asked + 300)).toBe(false);
});

it('without a server there is nothing newer to be had', async () => {
  serverSays(null);
  expect(await newerToBeHad(opened() - 60_000)).toBe(false);
});

it('a device whose clock is an hour behind is not taken for a page that is new', async () => {
  const ahead = 3_600_000;
  serverSays(Date.now() + ahead);
  expect(await newerToBeHad(opened() + ahead - 60_000)).toBe(true);
  expect(await newerToBeHad(opened() + ahead + 300)).toBe(false);
});

it('a clock that was set while the page stands does not make it an old one', async () => {
  // Set back by two hours after the page was opened: by the origin of the page it would be older than itself.
  const back = 7_200_000;
  const real = Date.now();
  const made = real - performance.now() + 300;
  vi.spyOn(Date, 'now').mockReturnValue(real - back);
  serverSays(real);
  expect(await newerToBeHad(made)).toBe(false);
  vi.restoreAllMocks();
});
