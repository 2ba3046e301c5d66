import { expect, type Page, test } from '@playwright/test';
import { expectAccessible, signedIn, take, toLot, toStep } from './helpers';

/** What the stand-in shows now, lbf. */
const shown = async (page: Page): Promise<number> =>
  Number(
    (
      (await page
        .getByRole('region', { name: 'PB-01 live' })
        .getByText('Load, lbf')
        .locator('xpath=following-sibling::*')
        .textContent()) ?? ''
    ).replace(',', ''),
  );
const press = (page: Page, name: string): Promise<void> =>
  page.getByRole('button', { name, exact: true }).click();
/** Gives an answer at a question by its words. */
const answer = (page: Page, question: RegExp, name: RegExp): Promise<void> =>
  page.getByRole('group', { name: question }).getByRole('button', { name }).click();
/** Turns the knob of the pump to a share of its way, of 125 % of the first rate. */
async function pump(page: Page, share: number): Promise<void> {
  await page.getByRole('slider', { name: 'Pump set to' }).fill(String(share));
  await press(page, 'Pump');
}

// A pipe of the storm drain from its marks to its crack and its end, on the live stand-in; its year is counted by it.
test('a pipe goes from its strips to its crack and its end on the live press, and the year owes no more', async ({
  browser,
}) => {
  test.setTimeout(240_000);
  const page = await signedIn(browser, 'laboratory');
  page.setDefaultTimeout(45_000);
  await expect(page.getByRole('link', { name: 'Test 1 more of the year', exact: true })).toBeVisible();
  await toLot(page, 'Storm drain, 42 in class IV');
  const lot = page.url();
  await expect(page.getByText('All 2 pipes that were tested bear what its class asks for.')).toBeVisible();
  await expectAccessible(page);

  // A pipe is drawn once, and a retest names the one that failed.
  await press(page, 'New pipe');
  const form = page.getByRole('dialog');
  await form.getByLabel('Mark', { exact: true }).fill('K-0208');
  await form.getByRole('combobox', { name: /^Drawn for/ }).click();
  await page.getByRole('option', { name: 'The test of the year' }).click();
  await form.getByRole('combobox', { name: /^Cage/ }).click();
  await page.getByRole('option', { name: 'Elliptical: it has a top' }).click();
  await form.getByLabel(/^Cast/).fill('2026-11-10T07:00');
  await press(page, 'Enter the pipe');
  await expect(
    form.getByText('This pipe is drawn already: another test of the same pipe is no retest.'),
  ).toBeVisible();
  await form.getByLabel('Mark', { exact: true }).fill('K-0250');
  await press(page, 'Enter the pipe');
  await page.waitForURL('**/samples/**');
  await press(page, 'Take it to the press');
  await press(page, 'Register them');
  await page.getByRole('link', { name: /-P1$/ }).click();
  await page.waitForURL('**/specimens/**');
  await page.getByRole('link', { name: 'To the bench' }).click();
  await page.waitForURL('**/bench/**');
  await page.getByRole('button', { name: 'Start: three-edge bearing' }).click();
  await page.waitForURL('**/runs/**');

  await answer(page, /^What it is tested for/, /Proof of design/);
  await answer(page, /^Marked top/, /Not marked/);
  // The cage has a top: it says so while the pipe can still be turned.
  await expect(
    page.getByText('Its cage is elliptical: which way it lies decides what it bears.'),
  ).toBeVisible();
  await answer(page, /^Marked top/, /Up$/);
  await answer(page, /^Cracks before/, /None/);
  await toStep(page, 'Set the lower strips');
  await answer(page, /^Lower strips/, /Wood/);
  await take(page, { apart1: '4', apart3: '3' });
  await expect(page.getByText(/The strips stand 4 in apart, wider than the pipe allows/)).toBeVisible();
  await expect(page.getByRole('img', { name: /strips 4 in apart, 1 to 3\.5 in allowed/ })).toBeVisible();
  await take(page, { apart1: '3' });
  await expect(page.getByText(/The strips stand/)).toHaveCount(0);
  await answer(page, /^Under the strips/, /One board/);
  await toStep(page, 'Pipe and upper beam');
  await answer(page, /^Upper beam/, /One beam/);
  await answer(page, /^Machine/, /PB-01/);
  await page.getByRole('tab', { name: 'Plan' }).click();
  // 2,000 × 3.5 ft × 7.525 ft; a third of it a minute, by hand.
  await expect(page.getByText('52,675 lbf').first()).toBeVisible();
  await expect(page.getByText('17,558 lbf/min').first()).toBeVisible();
  await page.getByRole('tab', { name: /^Findings/ }).click();

  await toStep(page, 'Load to the design load');
  await press(page, 'Set the pipe');
  await expect.poll(() => shown(page)).toBeLessThan(100);
  const tenfold = page.getByText('Ten times as fast');
  await tenfold.click();
  await pump(page, 20);
  await expect(page.getByText('Second rate, evenly. Look for the crack from here on.')).toBeVisible();
  await expect.poll(() => shown(page), { intervals: [100], timeout: 45_000 }).toBeGreaterThan(49_500);
  await press(page, 'Hold');
  await tenfold.click();
  await pump(page, 22);
  await expect(page.getByText(/^Design load: stop, hold, probe the whole line/)).toBeVisible();
  await press(page, 'Hold');
  await press(page, 'Probed, not the crack');
  await toStep(page, 'Is it the crack?');
  await expect(page.locator('[data-field=sound]')).not.toHaveValue('');
  // The record goes on from step to step.
  await expect.poll(() => shown(page)).toBeGreaterThan(52_000);
  // Up in small steps until the stand-in's crack is wide enough: the leaf is tried along it.
  const barrel = page.getByRole('img', { name: /^Barrel unrolled/ });
  const crack = page.getByText(/^The stand-in shows a crack along the invert/);
  await expect(crack).toBeVisible();
  const middle = Number(/about (\d+) in/.exec((await crack.textContent()) ?? '')?.[1]);
  await tenfold.click();
  await pump(page, 20);
  await expect.poll(() => shown(page), { timeout: 60_000 }).toBeGreaterThan(1.17 * 52_675);
  await press(page, 'Hold');
  const box = await barrel.boundingBox();
  if (!box) throw new Error('no barrel');
  const at = (inch: number) => ({
    position: { x: ((96 + (inch / 94.8) * 512) / 620) * box.width, y: (26 / 154) * box.height },
  });
  for (const off of [-6, 6]) await barrel.click(at(middle + off));
  await expect(page.getByText('It cannot be told yet: probe where the arrows are.')).toBeVisible();
  for (const off of [-3, 0, 3]) await barrel.click(at(middle + off));
  await expect(page.getByText(/^It is the crack: over a foot/)).toBeVisible();
  await press(page, 'It is the crack');
  await expectAccessible(page);

  await toStep(page, 'To its end, or unload');
  await tenfold.click();
  await pump(page, 60);
  await expect(page.getByText('It takes no more. Unload before anybody goes near.')).toBeVisible({
    timeout: 120_000,
  });
  await press(page, 'It takes no more');
  await expect(page.locator('[data-field=most]')).not.toHaveValue('');
  await press(page, 'Open the valve');
  await expect.poll(() => shown(page)).toBeLessThan(100);
  await expect(page.getByText(/Loaded too fast/)).toHaveCount(0);
  await page.getByRole('tab', { name: 'Working' }).click();
  await expect(page.getByText('Fastest past three quarters of the load')).toBeVisible();
  await page.getByRole('tab', { name: /^Findings/ }).click();
  await page.keyboard.press('Control+Enter');
  await expect(page.getByText('This run is complete.')).toBeVisible();

  await page.goto(lot);
  await expect(page.getByText('All 3 pipes that were tested bear what its class asks for.')).toBeVisible();
  await page.getByRole('link', { name: 'Tests of the year' }).click();
  await page.waitForURL('**/runs/**');
  await expect(page.getByRole('status').filter({ hasText: '3 of 3 made' })).toBeVisible();
  await page.goto('/today');
  await expect(page.getByRole('link', { name: 'Test 1 more of the year', exact: true })).toHaveCount(0);
  await page.close();
});
