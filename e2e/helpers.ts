import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { type Browser, type BrowserContext, expect, type Locator, type Page } from '@playwright/test';
import { DEMO_PASSWORD, PEOPLE, type PersonKey } from '../src/demo/scenario';

const axe = readFileSync(
  createRequire(`${process.cwd()}/package.json`).resolve('axe-core/axe.min.js'),
  'utf8',
);

/** Who has signed in already in this worker, by the cookies of it: signing in costs as much as a page, and is a test of its own. */
const sessions = new Map<PersonKey, Awaited<ReturnType<BrowserContext['cookies']>>>();

/** A page signed in as one of the demo's people, in a context of its own. */
export async function signedIn(
  browser: Browser,
  who: PersonKey,
  size = { width: 1280, height: 800 },
): Promise<Page> {
  // Motion is drawn frame by frame by the processors that the tests need.
  const context = await browser.newContext({
    viewport: size,
    timezoneId: 'America/New_York',
    reducedMotion: 'reduce',
  });
  const page = await context.newPage();
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (message) => {
    // A blocked style or script is a fault of ours; a 4xx the test provoked is not.
    const text = message.text();
    if (message.type() === 'error' && !/status of 4\d\d|ERR_INTERNET_DISCONNECTED/.test(text))
      errors.push(text);
  });
  page.on('close', () => expect(errors).toEqual([]));
  loadedAlive(page);
  await context.addCookies(sessions.get(who) ?? []);
  await page.goto('/today');
  // Nobody has signed in yet, or somebody has signed out since.
  if (page.url().endsWith('/today')) return page;
  await page.getByLabel('E-mail').fill(PEOPLE.find(({ key }) => key === who)?.email ?? '');
  await page.getByLabel('Password').fill(DEMO_PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL('**/today');
  sessions.set(who, await context.cookies());
  return page;
}

/** Waits until every button of a page that was just loaded answers: before that a press is lost, as anybody's would be. */
async function whenAlive(page: Page): Promise<void> {
  await page.waitForFunction(
    () =>
      [...document.querySelectorAll('button')].every((button) =>
        Object.keys(button).some((name) => name.startsWith('__reactProps')),
      ),
    undefined,
    { timeout: 90_000 },
  );
}

/** Every page that is loaded or loaded again is waited for until it has come alive. */
function loadedAlive(page: Page): void {
  const goto = page.goto.bind(page);
  const reload = page.reload.bind(page);
  page.goto = async (...told) => {
    const response = await goto(...told);
    await whenAlive(page);
    return response;
  };
  page.reload = async (...told) => {
    const response = await reload(...told);
    await whenAlive(page);
    return response;
  };
}

/** No serious accessibility fault by axe, the rules of WCAG 2 A and AA. */
export async function expectAccessible(page: Page): Promise<void> {
  // Between two pages the title of the new one comes a moment after its heading.
  await expect(page).toHaveTitle(/./);
  // The content-security policy keeps strange scripts out of the page, so axe goes in by the debugger.
  await page.evaluate(axe);
  const found = await page.evaluate(async () => {
    const { axe: runner } = window as unknown as {
      axe: {
        run: (
          context: Document,
          options: object,
        ) => Promise<{ violations: { id: string; impact: string; nodes: { html: string }[] }[] }>;
      };
    };
    const { violations } = await runner.run(document, { runOnly: ['wcag2a', 'wcag2aa'] });
    return violations
      .filter(({ impact }) => impact === 'serious' || impact === 'critical')
      .map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`);
  });
  expect(found).toEqual([]);
}

/** Goes to a lot of the demo's job by its title. */
export async function toLot(page: Page, title: string): Promise<void> {
  await page.goto('/jobs');
  await page
    .getByRole('link', { name: /Port Merrow/ })
    .first()
    .click();
  await page.getByRole('link', { name: title }).first().click();
  await page.waitForURL(/\/lots\//);
}

/** Finds a specimen by scanning its label, and goes to the bench with it. */
export async function toBench(page: Page, label: string): Promise<void> {
  await page.goto('/today');
  await page.keyboard.press('/');
  await page.keyboard.type(label);
  await page.keyboard.press('Enter');
  await page.waitForURL('**/specimens/**');
  await page.getByRole('link', { name: 'To the bench' }).click();
  await page.waitForURL('**/bench/**');
}

/** Goes to a step of a run sheet by its title. */
export function toStep(page: Page, title: string): Promise<void> {
  return page
    .getByRole('button', { name: new RegExp(`^\\S*\\s?${title}`) })
    .first()
    .click();
}

/** Takes readings by the names of their fields, Enter after each. */
export async function take(page: Page, values: Readonly<Record<string, string>>): Promise<void> {
  for (const [field, text] of Object.entries(values)) {
    await page.locator(`[data-field=${field}]`).fill(text);
    await page.locator(`[data-field=${field}]`).press('Enter');
  }
}

/** Presses the answer that begins with these words. */
export function choose(page: Page, name: string): Promise<void> {
  return page.getByRole('button', { name, exact: false }).first().click();
}

/** A cell of a table of rows; the row under the last is called `new`. */
export function cell(page: Page, field: string, row: number | 'new', column: string): Locator {
  return page.locator(`[data-cell="${field}/${row}/${column}"]`);
}

/** Carries out an action as the page would, where a test is about something else. */
export async function perform(page: Page, name: string, data: object): Promise<Record<string, string>> {
  return page.evaluate(
    async ([action, body]) => {
      const reply = await fetch(`/api/do/${action}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      });
      const answer = (await reply.json()) as Record<string, string>;
      if (!reply.ok) throw new Error(JSON.stringify(answer));
      return answer;
    },
    [name, data] as const,
  );
}

/** Readings that other tests walk through, given at once to the run that is shown. @returns its id */
export async function given(page: Page, values: Readonly<Record<string, string>>): Promise<string> {
  const runId = page.url().split('/').at(-1)?.split('?')[0] ?? '';
  const takenAt = new Date().toISOString();
  await perform(page, 'save-readings', {
    runId,
    readings: Object.entries(values).map(([field, text]) => ({
      id: crypto.randomUUID(),
      field,
      text,
      takenAt,
    })),
  });
  await page.reload();
  return runId;
}

/** The link that a manager is shown for somebody, the dialog closed again. */
export async function handedOver(manager: Page): Promise<string> {
  const link = await manager.getByLabel('Link', { exact: true }).inputValue();
  await manager.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  return link;
}

/** Opens a link and asks for this password. */
export async function setPassword(page: Page, link: string, password: string): Promise<void> {
  await page.goto(link);
  await page.getByLabel('New password').fill(password);
  await page.getByLabel('The same again').fill(password);
  await page.getByRole('button', { name: 'Set the password' }).click();
}
