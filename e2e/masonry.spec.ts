import { expect, type Page, test } from '@playwright/test';
import { expectAccessible, given, signedIn, toBench } from './helpers';

const PRISMS = ['PMF-042-G1', 'PMF-042-G2', 'PMF-042-G3'];

/** A prism as it is read on its sheet, step by step. */
async function onSheet(page: Page, maximumLoad: string): Promise<void> {
  await page.getByRole('button', { name: 'PR-01', exact: false }).first().click();
  await page.getByText('Widths, height, ends').first().click();
  for (const [field, text] of [
    ['x1', '3.55'],
    ['x2', '3.50'],
    ['y1', '3.60'],
    ['y2', '3.55'],
    ['height', '7.10'],
  ] as const) {
    await page.locator(`[data-field=${field}]`).fill(text);
    await page.locator(`[data-field=${field}]`).press('Enter');
  }
  await page.getByRole('button', { name: 'Square', exact: false }).first().click();
  await page.getByRole('button', { name: 'Gypsum caps' }).click();
  await page.getByText('Load to failure').first().click();
  await page.locator('[data-field=maximumLoad]').fill(maximumLoad);
  await page.locator('[data-field=maximumLoad]').press('Enter');
}

test('prisms are capped together, each cap stamped, broken one after the other, and stand as a set of their own', async ({
  browser,
}) => {
  const page = await signedIn(browser, 'laboratory');
  page.setDefaultTimeout(15_000);
  await page.goto('/ends');
  for (const label of PRISMS)
    await page
      .getByRole('row', { name: new RegExp(label) })
      .getByRole('checkbox')
      .check();
  await page.getByRole('button', { name: 'Cap them together' }).click();
  await page.waitForURL('**/runs/**');
  await page
    .getByRole('button', { name: 'Cap', exact: true })
    .or(page.getByText('Cap', { exact: true }))
    .first()
    .click();
  for (const end of [1, 2])
    await page.getByRole('button', { name: `End ${end} of PMF-042-G1 capped now` }).click();
  await expect(page.getByText('✓ end 2')).toBeVisible();
  await expect(page.getByText(/Not both ends on record: PMF-042-G2, PMF-042-G3/)).toBeVisible();
  await expectAccessible(page);

  const strengths: string[] = [];
  for (const [index, label] of PRISMS.entries()) {
    await toBench(page, label);
    await page.getByRole('button', { name: 'Start: grout prism' }).click();
    await page.waitForURL('**/runs/**');
    const maximumLoad = String(33_000 + 700 * index);
    if (index > 0)
      await given(page, {
        ...{ machine: 'PR-01', x1: '3.55', x2: '3.50', y1: '3.60', y2: '3.55', height: '7.10' },
        ...{ square: 'yes', ends: 'gypsum', maximumLoad },
      });
    else await onSheet(page, maximumLoad);
    const strength = page.getByText(/^2,\d\d0$/).first();
    await expect(strength).toBeVisible();
    strengths.push((await strength.textContent()) ?? '');
  }
  // 3.525 × 3.575 = 12.6019 in²: 33,000, 33,700 and 34,400 lbf.
  expect(strengths).toEqual(['2,620', '2,670', '2,730']);
});
