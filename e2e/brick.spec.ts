import { expect, test } from '@playwright/test';
import { cell, choose, expectAccessible, signedIn, toBench, toStep } from './helpers';

// Facing brick as a technician begins it: drawn, halved, each half with its branch; the wrong input is said at its field.
test('brick is drawn, halved and set on its two branches, and suction is taken by the minute', async ({
  browser,
}) => {
  const code = `PM-F${String(Date.now()).slice(-5)}`;
  const desk = await signedIn(browser, 'manager');
  desk.setDefaultTimeout(45_000);
  await desk.goto('/jobs');
  await desk.getByRole('link', { name: /PMF/ }).first().click();
  await desk.getByRole('button', { name: 'New kind of brick' }).click();
  const form = desk.getByRole('dialog');
  await form.getByLabel('Code').fill(code);
  await form.getByLabel('What it is for').fill('Pier cladding');
  await form.getByLabel('Specification').click();
  await desk.getByRole('option', { name: 'C216, facing brick' }).click();
  await form.getByLabel('Edition').fill('2023');
  await form.getByLabel('Grade').click();
  await desk.getByRole('option', { name: 'NW', exact: true }).click();
  for (const [side, size] of [
    ['Specified thickness', '3 5/8'],
    ['Specified height', '2 1/4'],
    ['Specified length', '7 5/8'],
  ] as const)
    await form.getByLabel(side).fill(size);
  await form.getByRole('button', { name: 'Enter the kind of brick' }).click();
  // A grade that the specification does not have is said there, and nothing typed is lost.
  await expect(form.getByText(/C216 has no such grade: SW, MW/)).toBeVisible();
  await expect(form.getByLabel('Specified length')).toHaveValue('7 5/8');
  await form.getByLabel('Grade').click();
  await desk.getByRole('option', { name: 'SW', exact: true }).click();
  await form.getByRole('button', { name: 'Enter the kind of brick' }).click();
  await expect(desk.getByRole('cell', { name: `${code} v1` })).toBeVisible();
  const job = desk.url();
  await desk.close();

  const page = await signedIn(browser, 'laboratory');
  page.setDefaultTimeout(45_000);
  await page.goto(job);
  await page.getByRole('button', { name: 'New delivery of brick' }).click();
  const lot = page.getByRole('dialog');
  await lot.getByLabel('Kind of brick').click();
  await page.getByRole('option', { name: new RegExp(code) }).click();
  await lot.getByLabel('Delivery', { exact: true }).fill(`Cladding ${code}`);
  await lot.getByLabel('Producer', { exact: true }).fill('Saltmarsh clay works');
  await lot.getByLabel('Bricks in the lot').fill('1,200,000');
  await lot.getByRole('button', { name: 'Enter the delivery of brick' }).click();
  await page.getByRole('link', { name: `Cladding ${code}` }).click();
  await page.waitForURL('**/lots/**');
  await expect(page.getByText(/15 bricks for a lot of 1,200,000/)).toBeVisible();
  await page.getByRole('button', { name: 'New sample' }).click();
  const set = page.getByRole('dialog');
  await set.getByLabel('Sample').click();
  await page.getByRole('option', { name: 'First', exact: true }).click();
  await set.getByLabel('Drawn how, by whom').fill('by number over all pallets');
  await set.getByRole('button', { name: 'Enter the sample' }).click();
  await page.waitForURL('**/samples/**');
  const label = (await page.getByRole('heading', { level: 1 }).textContent()) ?? '';
  await page.getByRole('button', { name: 'Register bricks' }).first().click();
  await page.getByRole('button', { name: 'Register them' }).click();
  await expect(page.getByRole('link', { name: `${label}-B10` })).toBeVisible();

  await page.getByRole('button', { name: 'Halve bricks' }).click();
  const halve = page.getByRole('dialog');
  await halve.getByLabel('How many').fill('6');
  await halve.getByRole('button', { name: 'Register them' }).click();
  await expect(halve.getByText(/5 of this sample are left to cut/)).toBeVisible();
  await halve.getByLabel('How many').fill('5');
  await halve.getByRole('button', { name: 'Register them' }).click();
  const pairs = page.getByRole('table', { name: 'Bricks and their halves' });
  await expect(pairs.getByRole('row')).toHaveCount(6);
  await expect(pairs.getByRole('link', { name: 'B1C' })).toBeVisible();
  await expectAccessible(page);

  // Dried together: the first weighing counts a day later, and one that comes at once counts for nothing.
  await page.getByRole('button', { name: 'Dry and cool' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Dry and cool' }).click();
  await page.waitForURL('**/runs/**');
  await page.locator('[data-field=temperature]').fill('235');
  await page.locator('[data-field=temperature]').press('Enter');
  await page.getByRole('button', { name: 'Now' }).first().click();
  await toStep(page, 'Weigh, and weigh again');
  await cell(page, 'weighings', 'new', 'specimen').fill(`${label}-B1A`);
  await cell(page, 'weighings', 1, 'specimen').press('Enter');
  await cell(page, 'weighings', 1, 'mass').fill('9125');
  await cell(page, 'weighings', 1, 'mass').press('Enter');
  await expect(page.getByText(/too early and does not count/)).toBeVisible();

  // Suction of a whole brick: a minute that was too short is no test.
  await toBench(page, `${label}-B6`);
  await page.getByRole('button', { name: 'Start: initial rate of absorption' }).click();
  await page.waitForURL('**/runs/**');
  await choose(page, 'As received');
  for (const [field, text] of [
    ['length', '7.62'],
    ['width', '3.60'],
    ['depth', '0.125'],
  ] as const) {
    await page.locator(`[data-field=${field}]`).fill(text);
    await page.locator(`[data-field=${field}]`).press('Enter');
  }
  await toStep(page, 'One minute');
  await page.locator('[data-field=before]').fill('1816.5');
  await page.locator('[data-field=before]').press('Enter');
  await page.getByRole('button', { name: 'On the supports' }).click();
  await page.waitForTimeout(1200);
  await page.getByRole('button', { name: 'Lifted off' }).click();
  await expect(page.getByText(/It stood in the water for \d+ s/)).toBeVisible();
  await page.locator('[data-field=contact]').fill('60');
  await page.locator('[data-field=contact]').press('Enter');
  await page.locator('[data-field=after]').fill('1838.0');
  await page.locator('[data-field=after]').press('Enter');
  await expect(page.getByText('23.5', { exact: true }).first()).toBeVisible();
  await expectAccessible(page);
});

// A boil day, as it stands at noon; and the load whose saturation keeps it from its grade.
test('a boil is followed to the minute, and a grade is explained by what governs it', async ({ browser }) => {
  const page = await signedIn(browser, 'laboratory');
  page.setDefaultTimeout(45_000);
  await page.goto('/jobs');
  await page.getByRole('link', { name: /PMF/ }).first().click();
  await page.getByRole('link', { name: 'Ticket hall front, second load' }).first().click();
  await page.waitForURL('**/lots/**');
  await page.locator('a[href^="/samples/"]').first().click();
  await page.waitForURL('**/samples/**');
  await page.getByRole('link', { name: /^BO-/ }).click();
  await page.waitForURL('**/runs/**');
  await expect(page.getByText(/Heat off at/).first()).toBeVisible();
  await page.getByRole('tab', { name: 'Plan' }).click();
  await expect(page.getByText('Heat on at the latest')).toBeVisible();
  await page.getByRole('tab', { name: /Findings/ }).click();
  await toStep(page, 'Boil');
  await page.getByRole('button', { name: 'Now' }).first().click();
  await expect(page.getByText(/Boil on until five hours are full/)).toBeVisible();
  // Taken back: the boil goes on.
  await page.locator('[data-field=offAt]').fill('');
  await page.locator('[data-field=offAt]').blur();
  await expect(page.getByText(/Boil on until five hours are full/)).toBeHidden();
  await expectAccessible(page);

  await page.goto('/jobs');
  await page.getByRole('link', { name: /PMF/ }).first().click();
  await page.getByRole('link', { name: 'Ticket hall front, first load' }).first().click();
  await page.waitForURL('**/lots/**');
  await expect(page.getByText('Grade MW, SW is asked for')).toBeVisible();
  await expect(page.getByText(/The next one is missed by mean saturation coefficient/)).toBeVisible();
  // No alternate without its evidence.
  await expect(page.getByRole('switch', { name: /no evidence for it here/ }).first()).toBeDisabled();
  await expectAccessible(page);
});
