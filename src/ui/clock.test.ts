// @vitest-environment jsdom
import { afterEach, expect, it, vi } from 'vitest';
import { newerToBeHad } from './clock';

afterEach(() => vi.unstubAllGlobals());

const serverSays = (now: number | null) =>
  vi.stubGlobal('fetch', async () => {
    if (now === null) throw new TypeError('fetch failed');
    return new Response(JSON.stringify({ now }));
  });

it('a page that was made before it was asked for is a kept one, and is renewed where the server answers', async () => {
  const asked = performance.timeOrigin;
  serverSays(Date.now());
  expect(await newerToBeHad(asked - 60_000)).toBe(true);
  expect(await newerToBeHad(asked + 300)).toBe(false);
});

it('without a server there is nothing newer to be had', async () => {
  serverSays(null);
  expect(await newerToBeHad(performance.timeOrigin - 60_000)).toBe(false);
});

it('a device whose clock is an hour behind is not taken for a page that is new', async () => {
  const ahead = 3_600_000;
  serverSays(Date.now() + ahead);
  expect(await newerToBeHad(performance.timeOrigin + ahead - 60_000)).toBe(true);
  expect(await newerToBeHad(performance.timeOrigin + ahead + 300)).toBe(false);
});
