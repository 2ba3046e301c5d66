import { expect, test } from '@playwright/test';
import { expectAccessible, signedIn } from './helpers';

const PAGES = [
  '/today',
  '/field',
  '/jobs',
  '/verdicts',
  '/reports',
  '/gear',
  '/gear/limits',
  '/gear/storage',
  '/practice',
] as const;
const NOWHERE = '00000000-0000-4000-8000-000000000000';

test('a stranger reaches no page and no action', async ({ page, request }) => {
  for (const path of [
    ...PAGES,
    '/gear/people',
    `/runs/${NOWHERE}`,
    `/reports/${NOWHERE}`,
    `/samples/${NOWHERE}`,
  ]) {
    await page.goto(path);
    await expect(page).toHaveURL(/\/sign-in/);
  }
  for (const path of [
    '/api/search?q=a',
    `/api/export?job=${NOWHERE}&method=slump`,
    `/api/reports/${NOWHERE}/pdf`,
    `/api/attachments/${NOWHERE}`,
  ]) {
    expect((await request.get(path)).status()).toBe(401);
  }
  for (const path of ['/api/do/create-job', '/api/do/sign-report', '/api/do/nothing', '/api/import']) {
    expect((await request.post(path, { data: {} })).status()).toBe(401);
  }
});

test('every answer carries the security headers, and the session cookie cannot be read by scripts', async ({
  browser,
}) => {
  const page = await signedIn(browser, 'laboratory');
  const answer = await page.goto('/today');
  const headers = answer?.headers() ?? {};
  expect(headers['content-security-policy']).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'/);
  expect(headers['content-security-policy']).toContain("frame-ancestors 'none'");
  expect(headers['x-content-type-options']).toBe('nosniff');
  const cookies = (await page.context().cookies()).filter(({ name }) => name.includes('session'));
  expect(cookies.length).toBeGreaterThan(0);
  for (const cookie of cookies) expect(cookie).toMatchObject({ httpOnly: true, sameSite: 'Lax' });
  expect(await page.evaluate(() => document.cookie)).not.toContain('session');
  await page.close();
});

test('a request from another site, broken JSON and unknown names are answered in words', async ({
  browser,
}) => {
  const page = await signedIn(browser, 'manager');
  const post = (path: string, data: string, headers: Record<string, string> = {}) =>
    page.request.post(path, { data, headers: { 'content-type': 'application/json', ...headers } });
  expect((await post('/api/do/create-job', '{}', { origin: 'http://elsewhere.example' })).status()).toBe(403);
  expect((await post('/api/do/create-job', '{nonsense')).status()).toBe(422);
  expect((await post('/api/do/create-job', '[]')).status()).toBe(422);
  expect((await post('/api/do/constructor', '{}')).status()).toBe(404);
  expect((await post('/api/do/accept-reason', '{"reasonId":"1"}')).status()).toBe(403);
  expect((await page.request.get('/api/export?job=x&method=slump')).status()).toBe(404);
  for (const path of ['/runs/1', '/samples/x', `/specimens/${NOWHERE}`, `/verdicts/${NOWHERE}`]) {
    const answer = await page.goto(path);
    expect(answer?.status()).toBe(404);
  }
  await page.close();
});

test('a client finds its own pages and none of the laboratory’s', async ({ browser }) => {
  const page = await signedIn(browser, 'client');
  await expect(page.getByRole('link', { name: 'Gear' })).toHaveCount(0);
  for (const path of ['/gear', '/gear/limits', '/gear/people', '/field']) {
    await page.goto(path);
    await expect(page.getByText('This is not there, or not yours to see.')).toBeVisible();
  }
  await page.goto('/verdicts');
  await expect(page.getByRole('heading', { name: /PM-57/ })).toBeVisible();
  await page.close();
});

test('a wrong password says so', async ({ page }) => {
  await page.goto('/sign-in');
  await page.getByLabel('E-mail').fill('wren@saltmarsh.example');
  await page.getByLabel('Password').fill('not the password');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('E-mail and password do not belong together.')).toBeVisible();
});

test('guessing at an account is slowed down, whatever address it claims to come from', async ({
  request,
}) => {
  // All at once, so that a slow machine does not stretch them over more than the minute that counts.
  const attempts = Array.from({ length: 60 }, (_, attempt) =>
    request.post('/api/auth/sign-in/email', {
      data: { email: 'nobody@test.example', password: `guess number ${attempt}` },
      headers: { 'x-forwarded-for': `10.0.0.${attempt}` },
    }),
  );
  const statuses = (await Promise.all(attempts)).map((answer) => answer.status());
  expect(statuses).toContain(401);
  expect(statuses.filter((status) => status === 429).length).toBeGreaterThanOrEqual(20);
});

for (const path of PAGES) {
  test(`${path} is accessible`, async ({ browser }) => {
    const page = await signedIn(browser, 'reviewer');
    await page.goto(path);
    await page.waitForLoadState('networkidle');
    await expectAccessible(page);
    await page.close();
  });
}

test('a mix, a report, a sample and a run sheet are accessible, at night too', async ({ browser }) => {
  const page = await signedIn(browser, 'reviewer');
  for (const [list, link] of [
    ['/verdicts', /Open/],
    ['/today', 'Ticket hall footing'],
  ] as const) {
    await page.goto(list);
    await page.getByRole('link', { name: link }).first().click();
    await page.waitForLoadState('networkidle');
    await expectAccessible(page);
  }
  await page.getByRole('link', { name: 'Slump' }).click();
  await page.waitForURL(/\/runs\//);
  await page.waitForLoadState('networkidle');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Wren Castellow' }).click();
  await page.getByRole('menuitem', { name: 'Colours: Night' }).click();
  await page.goto('/today');
  await page.waitForLoadState('networkidle');
  await expectAccessible(page);
  await page.close();
});
