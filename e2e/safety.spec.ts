import { expect, test } from '@playwright/test';
import { expectAccessible, handedOver, setPassword, signedIn } from './helpers';

const PAGES = [
  '/today',
  '/field',
  '/jobs',
  '/verdicts',
  '/reports',
  '/gear',
  '/gear/limits',
  '/gear/storage',
  '/gear/beam-loads',
  '/gear/curing-places',
  '/gear/trail',
  '/practice',
  '/ends',
  '/account',
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
  for (const path of ['/gear', '/gear/limits', '/gear/people', '/gear/trail', '/field']) {
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

test('a live stream ends when whoever opened it signs out, and does not come back', async ({ browser }) => {
  const page = await signedIn(browser, 'laboratory');
  const state = await page.evaluate(
    () =>
      new Promise<string>((resolve) => {
        const source = new EventSource('/api/press/PR-01');
        let heard = 0;
        source.onmessage = () => {
          heard += 1;
          if (heard !== 3) return;
          void fetch('/api/auth/sign-out', {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body: '{}',
          });
        };
        source.onerror = () => {
          if (source.readyState === EventSource.CLOSED) resolve('closed');
        };
        setTimeout(() => resolve(`still open after ${heard} events`), 20_000);
      }),
  );
  expect(state).toBe('closed');
  await page.close();
});

test('only signing in and out is reachable of the sign-in service, and only from our own pages', async ({
  browser,
}) => {
  const page = await signedIn(browser, 'field');
  const statuses = await page.evaluate(async () => {
    const post = (path: string) =>
      fetch(path, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          name: 'Somebody else',
          newPassword: 'moss lamp harbour 7',
          currentPassword: 'x',
        }),
      }).then(({ status }) => status);
    return Promise.all(
      [
        'update-user',
        'change-password',
        'change-email',
        'delete-user',
        'list-sessions',
        'get-session',
        'sign-up/email',
      ].map((door) => post(`/api/auth/${door}`)),
    );
  });
  expect(statuses.every((status) => status === 404)).toBe(true);
  for (const origin of ['null', 'http://elsewhere.test']) {
    const answer = await page.request.post('/api/do/record-event', { data: {}, headers: { origin } });
    expect(answer.status()).toBe(403);
  }
  await page.close();
});

test('a password of one’s own is changed; what is easy to guess is refused, and the old one is no use', async ({
  browser,
}) => {
  const manager = await signedIn(browser, 'manager');
  await manager.goto('/gear/people');
  await manager.getByRole('button', { name: 'Add a person' }).click();
  await manager.getByLabel('Name').fill('Perrin Galloway');
  await manager.getByLabel('E-mail').fill('perrin@saltmarsh.example');
  await manager.getByLabel('Role').click();
  await manager.getByRole('option', { name: 'Laboratory technician' }).click();
  await manager.getByRole('button', { name: 'Add', exact: true }).click();
  const link = await handedOver(manager);
  const context = await browser.newContext();
  const own = await context.newPage();
  const signIn = async (password: string) => {
    await own.goto('/sign-in');
    await own.getByLabel('E-mail').fill('perrin@saltmarsh.example');
    await own.getByLabel('Password').fill(password);
    await own.getByRole('button', { name: 'Sign in' }).click();
  };
  await setPassword(own, link, 'password1234');
  await expect(own.getByText(/too easy to guess/)).toBeVisible();
  await setPassword(own, link, 'kettle barge 41 moss');
  await own.waitForURL('**/sign-in');
  await signIn('kettle barge 41 moss');
  await own.waitForURL('**/today');
  await own.goto('/account');
  await expect(own.getByText(/, this one/)).toBeVisible();
  await own.getByRole('button', { name: 'Change your password' }).click();
  await own.getByLabel('Your password now').fill('kettle barge 41 moss');
  await own.getByLabel('New password').fill('perrin galloway');
  await own.getByRole('button', { name: 'Change it' }).click();
  await expect(own.getByText(/too easy to guess/)).toBeVisible();
  await own.getByLabel('New password').fill('lantern gravel 7 otter');
  await own.getByRole('button', { name: 'Change it' }).click();
  await own.waitForURL(/\/sign-in/);
  await signIn('kettle barge 41 moss');
  await expect(own.getByText('E-mail and password do not belong together.')).toBeVisible();
  await signIn('lantern gravel 7 otter');
  await own.waitForURL('**/today');
  // Both stand on record, and the refusal between them.
  await own.goto('/account');
  await expect(own.getByRole('row', { name: /refused/ })).toHaveCount(1);
  await manager.reload();
  await expect(manager.getByRole('row', { name: /Perrin Galloway.*refused/ })).toBeVisible();
  await context.close();
  await manager.close();
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
