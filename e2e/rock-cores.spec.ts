import { expect, type Page, test } from '@playwright/test';
import { choose, expectAccessible, given, perform, signedIn, take, toBench, toLot, toStep } from './helpers';

/** The dial along one diameter, a quarter of an inch apart; 0.0001 in. */
const scan = (along: string, heights: readonly number[]): string =>
  heights.map((height, place) => `${along},${place / 4},${(height / 10_000).toFixed(4)}`).join('\n');

async function pasteEnds(page: Page, rows: readonly string[]): Promise<void> {
  await page.getByRole('button', { name: 'Paste rows' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: 'Rows' }).fill(rows.join('\n'));
  await dialog.getByRole('button', { name: /^Put in \d+ rows$/ }).click();
}

// The core that still waits: from its end checks to its strength, and its pieces into the oven.
test('a core of rock goes from its end checks to its strength, and counts only in the shape of the method', async ({
  browser,
}) => {
  const page = await signedIn(browser, 'laboratory');
  page.setDefaultTimeout(30_000);
  await toLot(page, 'Quarry hole Q-2');
  await page.locator('a[href^="/samples/"]').first().click();
  await page.waitForURL('**/samples/**');
  const sample = page.url();
  const label = `${(await page.getByRole('heading', { level: 1 }).textContent()) ?? ''}-G6`;
  // One end is out of square, one failed along a joint: neither stands in the mean.
  await expect(page.getByText('3 valid, 5 make a group')).toBeVisible();
  await expect(page.getByText('3 of the 5 cores the method asks for.')).toBeVisible();
  await expect(page.getByRole('row', { name: /-G3 .*uniaxial strength, other shape/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /-G4 .*strength along a joint/ })).toBeVisible();
  await expectAccessible(page);

  await toBench(page, label);
  await page.getByRole('button', { name: 'Start: compression of a rock core' }).click();
  await page.waitForURL('**/runs/**');
  await choose(page, 'PR-04');
  await toStep(page, 'Look at the core');
  await choose(page, 'None');
  await take(page, { grain: '0.13' });
  await toStep(page, 'Diameters and length');
  await take(page, { top1: '2.001', top2: '2.003', middle1: 'thick' });
  await expect(page.getByText(/"thick" is not a number/)).toBeVisible();
  await take(page, {
    ...{ middle1: '2.000', middle2: '2.002', bottom1: '1.999', bottom2: '2.001' },
    ...{ length1: '4.41', length2: '4.42', length3: '4.41' },
  });
  await toStep(page, 'Side and ends');
  await choose(page, 'Ground, nothing on them');
  await take(page, { side: '0.004' });
  // A dome on one end is seen while the core can still be ground.
  await pasteEnds(page, [scan('1A', [0, 12, 24, 34, 36, 30, 22, 10])]);
  await expect(page.getByText(/A point of an end lies .* off its line/).first()).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: '✕ Flat' })).toBeVisible();
  for (let row = 8; row > 0; row -= 1)
    await page
      .getByRole('button', { name: /^Take reading \d+ back$/ })
      .first()
      .click();
  await pasteEnds(page, [
    scan('1A', [0, 2, 3, 6, 7, 9, 11, 13]),
    scan('2A', [12, 10, 9, 7, 5, 4, 2, 0]),
    scan('1B', [0, 1, 0, 2, 1, 2, 3, 3]),
    scan('2B', [3, 2, 3, 2, 1, 1, 0, 0]),
  ]);
  await expect(page.getByRole('listitem').filter({ hasText: '✓ Flat' })).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: '✓ Parallel' })).toBeVisible();
  await expect(page.getByRole('img', { name: /^End \d, \w: 8 readings, all within/ })).toHaveCount(4);
  await expectAccessible(page);

  await toStep(page, 'Choose the rate');
  // 16,200 psi at 140 psi/s would be over in 116 s.
  await take(page, { chosenRate: '140' });
  await expect(page.getByText('At this rate it would fail after 116 s.')).toBeVisible();
  await toStep(page, 'Choose the rate');
  await take(page, { chosenRate: '100' });
  await expect(page.getByText(/At this rate it would fail/)).toHaveCount(0);
  await toStep(page, 'Place, zero, guard');
  for (const tick of ['Indicator at zero', 'Guard shut']) await page.getByText(tick).first().click();
  await toStep(page, 'Load to failure');
  await take(page, { loadingRate: '98', time: '170', maximumLoad: '52,000' });
  await page.getByRole('button', { name: 'Now' }).last().click();
  await toStep(page, 'How it failed');
  await choose(page, 'One leaning plane');
  // 52,000 lbf over π 2.001² / 4 in²: 16,500 psi to three figures, by hand.
  await expect(page.getByTestId('main-result')).toHaveText('16,500');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByText('This run is complete.')).toBeVisible();

  // Its pieces go into the oven; what the tin weighs is no rock.
  await page.goto(sample);
  await expect(page.getByText('4 valid, 5 make a group')).toBeVisible();
  await page.getByRole('link', { name: label, exact: true }).click();
  await page.waitForURL('**/specimens/**');
  const specimenId = page.url().split('/').at(-1);
  const { runId } = await perform(page, 'start-run', { method: 'rock-water', specimenId });
  await page.goto(`/runs/${runId}`);
  const at = (hours: number): string => new Date(Date.now() + hours * 3_600_000).toISOString();
  await given(page, { tin: 'T-9', tinMass: '120.0', wetMass: '100.0', wetAt: at(-0.2) });
  await expect(page.getByText('Tin and pieces weigh no more than the tin.')).toBeVisible();
  await toStep(page, 'Weigh wet');
  await take(page, { wetMass: '640.0' });
  await expect(page.getByText('Tin and pieces weigh no more than the tin.')).toHaveCount(0);
  await given(page, { inAt: at(0), temperature: '230' });
  await toStep(page, 'Dry, and weigh again');
  await expect(page.getByRole('table', { name: 'The next weighing of each' })).toContainText('from ');
  await page.close();
});
