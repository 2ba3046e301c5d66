import { expect, test } from '@playwright/test';
import { choose, expectAccessible, perform, signedIn, take, toLot, toStep } from './helpers';

test('a dolly is pulled by hand pump, its face painted, and the area has its verdict', async ({
  browser,
}) => {
  test.setTimeout(300_000);
  const page = await signedIn(browser, 'laboratory');
  page.setDefaultTimeout(60_000);
  await toLot(page, 'Berth apron, bay 2');
  await page
    .getByRole('row', { name: /Bay 2 north/ })
    .getByRole('link')
    .first()
    .click();
  await page.waitForURL(/\/samples\//);
  await expectAccessible(page);
  // Three were pulled; one parted in the glue and decides nothing.
  await expect(page.getByText(/^Not yet determinable: 2 of 3 tested/).first()).toBeVisible();
  await page.getByRole('link', { name: /-D4$/ }).first().click();
  await page.getByRole('link', { name: 'To the bench' }).click();
  await page.getByRole('button', { name: /^Start: pull-off/ }).click();
  await page.waitForURL(/\/runs\//);
  await choose(page, 'PT-01');
  await page.getByRole('button', { name: 'Aligns itself', exact: true }).click();
  await take(page, { dolly: '2' });
  await expect(page.getByRole('row', { name: /2 in .*take this one/ })).toBeVisible();
  await toStep(page, 'Core it');
  await choose(page, 'Through the coating');
  await take(page, { depth: '0.5', core1: '1.98', core2: '1.99' });
  await toStep(page, 'Pull');
  const live = page.getByRole('region', { name: 'PT-01 live' });
  await expect(live.getByText('Following PT-01')).toBeVisible();
  await live.getByRole('button', { name: 'Hook on the dolly' }).click();
  await live.getByRole('slider', { name: 'Seconds a stroke' }).fill('6');
  await live.getByRole('button', { name: 'Pump once' }).click();
  await page.waitForTimeout(6_200);
  // The others as the button makes them, on a stand-in whose time runs ten times as fast.
  const runId = page.url().split('/').at(-1);
  for (let stroke = 0; stroke < 14; stroke += 1) {
    if (await live.getByText(/^It let go at/).isVisible()) break;
    await perform(page, 'pump-frame', { runId, what: 'stroke', seconds: 6, part: 1, times: 10 });
    await page.waitForTimeout(750);
  }
  await expect(live.getByText(/^It let go at/)).toBeVisible();
  // The record says how fast it was; what it bore stands as force over the area of the core.
  await expect(page.getByTestId('main-result')).toHaveText(/^[≥≤]? ?\d{3}$/);
  await choose(page, 'Dolly set on the tester');
  await toStep(page, 'Read the face');
  await page.getByRole('button', { name: 'A/B', exact: true }).click();
  const face = page.getByRole('application', { name: /Face of the dolly/ });
  await face.focus();
  await page.keyboard.press(' ');
  await expect(face).toHaveAccessibleName(/A\/B \d/);
  await page.getByRole('button', { name: 'A', exact: true }).click();
  await page.getByRole('button', { name: 'The rest is A' }).click();
  await page.getByRole('button', { name: 'Take these shares' }).click();
  await choose(page, 'Even, over the whole face');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Complete the run' }).click();
  await expect(page.getByText('This run is complete.')).toBeVisible();
  // The next of the area waits; what this one says stands beside the others.
  await expect(page.getByRole('link', { name: /^Next: .*-D5$/ })).toBeVisible();
  await expect(page.getByText(/A \d+ %, A\/B \d+ %/).first()).toBeVisible();
  await page.close();
});
