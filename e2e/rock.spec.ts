import { expect, type Page, test } from '@playwright/test';
import { choose, expectAccessible, given, signedIn, take, toBench, toStep } from './helpers';

/** Breaks the piece that is open, up to where it is looked at. */
async function breakPiece(page: Page, sizes: Readonly<Record<string, string>>, load: string): Promise<void> {
  await toStep(page, 'Measure');
  await take(page, sizes);
  await toStep(page, 'Seat and zero');
  await choose(page, 'The points only touching');
  await take(page, { separation: sizes.depth ?? '' });
  await toStep(page, 'Load');
  await take(page, { load, time: '24' });
  await page.getByRole('button', { name: 'Now' }).last().click();
  await toStep(page, 'Look at the pieces');
}

// A lump's way from the cut to the mean of its group, as people walk it.
test('lumps out of a face are laid, broken, rejected or counted, and make a group with its estimate', async ({
  browser,
}) => {
  const code = `PM-R${String(Date.now()).slice(-5)}`;
  const face = `Quarry bench ${code.slice(4)}`;
  const desk = await signedIn(browser, 'manager');
  desk.setDefaultTimeout(45_000);
  await desk.goto('/jobs');
  await desk.getByRole('link', { name: /PMF/ }).first().click();
  await desk.getByRole('button', { name: 'New rock unit' }).click();
  const form = desk.getByRole('dialog');
  await form.getByLabel('Code').fill(code);
  await form.getByLabel('What it is for').fill('Breakwater core stone');
  await form.getByLabel('Strength expected').fill('nine thousand');
  await form.getByRole('button', { name: 'Enter the rock unit' }).click();
  // What cannot be is said at its field, and nothing is lost.
  await expect(form.getByText(/Strength expected: /)).toBeVisible();
  await expect(form.getByLabel('What it is for')).toHaveValue('Breakwater core stone');
  await form.getByLabel('Strength expected').fill('9,000 psi');
  await form.getByLabel('Mean index at least').fill('300 psi');
  await form.getByRole('button', { name: 'Enter the rock unit' }).click();
  await expect(desk.getByRole('cell', { name: `${code} v1` })).toBeVisible();
  const job = desk.url();
  await desk.close();

  const page = await signedIn(browser, 'laboratory');
  page.setDefaultTimeout(45_000);
  await page.goto(job);
  await page.getByRole('button', { name: 'New borehole or face' }).click();
  const lot = page.getByRole('dialog');
  await lot.getByLabel('Rock unit').click();
  await page.getByRole('option', { name: new RegExp(code) }).click();
  await lot.getByLabel('Borehole or face').fill(face);
  await lot.getByLabel('Taken from').click();
  await page.getByRole('option', { name: 'Face or excavation' }).click();
  await lot.getByLabel('Rock', { exact: true }).fill('dark basalt');
  await lot.getByLabel('Weathering').click();
  await page.getByRole('option', { name: /^I, fresh/ }).click();
  await lot.getByLabel('Moisture').click();
  await page.getByRole('option', { name: 'As received' }).click();
  await lot.getByRole('button', { name: 'Enter the borehole or face' }).click();
  await page.getByRole('link', { name: face }).click();
  await page.waitForURL('**/lots/**');
  await expectAccessible(page);
  const bench = page.url();

  await page.getByRole('button', { name: 'New group' }).click();
  const group = page.getByRole('dialog');
  await group.getByLabel('Pieces').click();
  await page.getByRole('option', { name: 'Irregular lumps' }).click();
  await group.getByLabel('Load to the fabric').click();
  await page.getByRole('option', { name: 'No fabric seen' }).click();
  await group.getByRole('button', { name: 'Enter the group' }).click();
  await page.waitForURL('**/samples/**');
  await expect(page.getByText('Take 27: 20 valid tests make a group')).toBeVisible();
  const sample = page.url();
  const label = (await page.getByRole('heading', { level: 1 }).textContent()) ?? '';
  await page.getByRole('button', { name: 'Register pieces' }).first().click();
  await page.getByRole('dialog').getByLabel('How many').fill('3');
  await page.getByRole('button', { name: 'Register them' }).click();
  await expect(page.getByRole('link', { name: `${label}-L3` })).toBeVisible();

  // The advisor says how it lies best; its sizes are taken over.
  await toBench(page, `${label}-L1`);
  await expect(page.getByText(/Expected load/)).toBeVisible();
  await page.getByRole('button', { name: 'Start: point load' }).click();
  await page.waitForURL('**/runs/**');
  await choose(page, 'PL-01');
  await page.getByText('Guard in place').click();
  await choose(page, 'Irregular lump');
  await toStep(page, 'Measure');
  for (const [size, text] of [
    ['First size', '3.10'],
    ['Second size', '1.60'],
    ['Third size', '2.20'],
  ] as const)
    await page.getByLabel(new RegExp(size)).fill(text);
  await expect(page.getByText('✓ Best')).toBeVisible();
  await page.getByRole('button', { name: 'Take these sizes' }).first().click();
  await expect(page.locator('[data-field=depth]')).toHaveValue('1.6');
  await expect(page.locator('[data-field=width1]')).toHaveValue('2.2');
  await breakPiece(page, { depth: '1.60' }, '1980');
  await choose(page, 'One plane through both points');
  // 4 × 1.60 × 2.20 / π is 4.482 in², F (2.117 / 1.9685)^0.45: by hand 456 psi (ASTM D5731, from memory).
  await expect(page.getByTestId('main-result')).toHaveText('456');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByText('This run is complete.')).toBeVisible();

  // Through one point only: rejected, the reading stays on record.
  await page.getByRole('link', { name: /^Next: / }).click();
  await page.getByRole('button', { name: 'Start: point load' }).click();
  await page.waitForURL('**/runs/**');
  await choose(page, 'Irregular lump');
  await breakPiece(page, { depth: '1.70', width1: '2.30', freeEnd: '1.30' }, '1210');
  await choose(page, 'Through one point');
  await expect(page.getByText('The crack runs through one point only.')).toBeVisible();
  await page
    .getByRole('textbox', { name: 'Reason for going on' })
    .fill('Too near the end; another piece is taken.');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByText('This run is complete.')).toBeVisible();

  await page.getByRole('link', { name: /^Next: / }).click();
  await page.getByRole('button', { name: 'Start: point load' }).click();
  await page.waitForURL('**/runs/**');
  await given(page, {
    ...{ frame: 'PL-01', safe: 'true', type: 'lump', depth: '1.80', width1: '2.30', freeEnd: '1.40' },
    ...{ separation: '1.80', zeroed: 'touching', load: '2140', time: '24', fracture: 'three' },
    testedAt: new Date().toISOString(),
  });
  await page.keyboard.press('Control+Enter');
  await expect(page.getByText('This run is complete.')).toBeVisible();

  await page.goto(sample);
  await expect(page.getByText('2 valid, 20 make a group')).toBeVisible();
  await expect(page.getByText('Mean of all 2: too few to leave any out.')).toBeVisible();
  await expect(page.getByText(/general K 23; estimated, not tested/)).toBeVisible();
  await expect(page.getByText(/Mean index Meets: mean 4\d\d/)).toBeVisible();
  await expectAccessible(page);

  // The site's own factor, its pairs pasted; then the group is estimated by it.
  await page.goto(bench);
  await page.getByRole('button', { name: 'Factor K from pairs' }).click();
  await page.waitForURL('**/runs/**');
  await choose(page, 'I, fresh');
  await choose(page, 'As received');
  await toStep(page, 'Pairs');
  await page.getByRole('button', { name: 'Paste rows' }).click();
  const pairs = [
    '310,6400',
    '365,7500',
    '402,8300',
    '440,9100',
    '455,9350',
    '478,9900',
    '505,10400',
    '530,10900',
    '580,11900',
    '640,13200',
  ];
  await page
    .getByRole('dialog')
    .getByRole('textbox', { name: 'Rows' })
    .fill(pairs.map((pair, place) => `K-${place + 1},${pair.replace(',', ',3,')}`).join('\n'));
  await page.getByRole('button', { name: 'Put in 10 rows' }).click();
  await page.getByRole('button', { name: 'Now' }).last().click();
  await expect(page.getByTestId('main-result')).toHaveText('20.6');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByText('This run is complete.')).toBeVisible();
  await page.goto(sample);
  await expect(page.getByText(/the site’s own K 20\.6 from 10 pairs; estimated/)).toBeVisible();

  await page.goto(bench);
  await page.getByRole('button', { name: 'Prepare the report' }).click();
  await page.waitForURL('**/reports/**');
  await expect(page.getByRole('heading', { name: 'Pieces' })).toBeVisible();
  await expect(page.getByText('no valid result').first()).toBeVisible();
  await expectAccessible(page);
  const pdf = await page.request.get(`${page.url().replace('/reports/', '/api/reports/')}/pdf`);
  expect(pdf.status()).toBe(200);
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  await page.close();
});
