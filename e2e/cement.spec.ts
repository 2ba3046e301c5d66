import { expect, test } from '@playwright/test';
import { expectAccessible, signedIn, toStep } from './helpers';

// A ring under the needle from Today to its next fall, then its sample with its cubes, and the mortar of others by the beats.
test('a needle falls when it is due, cubes are held against their type, a mortar is mixed by the beats', async ({
  browser,
}) => {
  test.setTimeout(150_000);
  const page = await signedIn(browser, 'laboratory');
  page.setDefaultTimeout(30_000);
  await page.getByRole('link', { name: 'Let the needle fall', exact: true }).first().click();
  await page.waitForURL('**/runs/**');
  await toStep(page, 'Fall by fall');
  await expect(
    page.getByRole('img', { name: /^Ring with \d+ holes; the next place is marked/ }),
  ).toBeVisible();
  await expectAccessible(page);
  const rows = page.getByRole('img', { name: /^Depth over time: \d+ falls/ });
  const before = Number(/(\d+) falls/.exec((await rows.getAttribute('aria-label')) ?? '')?.[1]);
  await page.getByRole('button', { name: 'Needle released' }).click();
  await expect(page.getByText(/^Read in \d+ s\.$/)).toBeVisible();
  await page.getByLabel('Went in, mm').fill('38.5');
  await page.getByLabel('Went in, mm').press('Enter');
  await expect(
    page.getByRole('img', { name: new RegExp(`^Depth over time: ${before + 1} falls`) }),
  ).toBeVisible();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(
    page.getByRole('img', { name: new RegExp(`^Depth over time: ${before + 1} falls`) }),
  ).toBeVisible();

  // Its sample: cubes with their verdicts, and another test begun from there.
  await page.getByRole('link', { name: 'GP 34' }).click();
  await page.waitForURL('**/samples/**');
  await expectAccessible(page);
  await expect(
    page.getByText('Meets: mean 4,750 psi against 2,470 psi', { exact: false }).first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Begin a test' }).click();
  await page.getByRole('menuitem', { name: 'Mortar for cubes' }).click();
  await page.waitForURL('**/runs/**');
  await toStep(page, 'Mix, and the flow');
  await page.getByRole('button', { name: 'Water meets cement' }).click();
  await expect(page.getByText('Slow, cement in')).toBeVisible();
  await expect(page.getByText('Since the water')).toBeVisible();
});

// The plant over weeks: a chart that sees it grind finer, a decision with its reason, a table of it all.
test('a source is followed over weeks, a result is decided on, and the series leaves as CSV', async ({
  browser,
}) => {
  test.setTimeout(150_000);
  const page = await signedIn(browser, 'laboratory');
  page.setDefaultTimeout(30_000);
  await page.getByRole('link', { name: 'Let the needle fall', exact: true }).first().click();
  await page.waitForURL('**/runs/**');
  await page.getByRole('link', { name: 'GP 34' }).click();
  await page.waitForURL('**/samples/**');
  await page
    .getByRole('link', { name: /^PM-C1/ })
    .first()
    .click();
  await page.waitForURL('**/verdicts/**');
  await expect(page.getByRole('heading', { name: 'Same as last time?' })).toBeVisible();
  await expect(
    page.getByRole('img', { name: /^Weighted mean of 26 results; beyond its limits: / }),
  ).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('combobox', { name: 'Chart' }).click();
  await page.getByRole('option', { name: 'Single results' }).click();
  await expect(page.getByRole('img', { name: /^Single results of 26 results; none beyond/ })).toBeVisible();
  await page
    .getByRole('button', { name: /^Decide on / })
    .first()
    .click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Record' }).click();
  await expect(dialog.getByText('Say what was done and found.')).toBeVisible();
  await dialog.getByLabel('What was done and found').fill('Sent the reserve to be ground through.');
  await dialog.getByRole('button', { name: 'Record' }).click();
  await expect(page.getByText(/Sent the reserve to be ground through\./)).toBeVisible();
  const out = await page.request.get(
    (await page.getByRole('link', { name: 'Export CSV' }).getAttribute('href')) ?? '',
  );
  expect((await out.text()).split('\r\n').length).toBe(27);
  // The concretes that name it, and the report of a period; days the wrong way round are refused before they are sent.
  const follows = page.getByRole('region', { name: 'PM-57' });
  await expect(follows).toContainText(/results at 28 d/);
  await expect(follows).toContainText(/chance alone by up to 0\.\d\d/);
  const period = page.getByRole('link', { name: 'Report of the period, PDF' });
  const report = await page.request.get((await period.getAttribute('href')) ?? '');
  expect(report.headers()['content-type']).toBe('application/pdf');
  expect((await report.body()).subarray(0, 5).toString()).toBe('%PDF-');
  const to = page.getByLabel('To', { exact: true });
  await to.fill('2020-01-01');
  await expect(page.getByText('The last day is before the first.')).toBeVisible();

  // The sheet of its newest shipment beside the own tests, and what is left of its portions.
  await page.getByRole('link', { name: 'GP 34' }).first().click();
  await page.waitForURL('**/lots/**');
  await page
    .getByRole('link', { name: /^PMF-\d+/ })
    .first()
    .click();
  await page.waitForURL('**/samples/**');
  await page.getByRole('link', { name: /Portions of the sample/ }).click();
  await expect(page.getByRole('img', { name: 'A: 700 g left of 3,390 g' })).toBeVisible();
  await page.goBack();
  await page.getByRole('link', { name: /Mill sheet beside own tests/ }).click();
  const sheet = page.getByRole('table', { name: 'Sheet beside own tests' });
  await expect(sheet.getByRole('row', { name: /^Surface by air permeability/ })).toContainText('investigate');
  await expectAccessible(page);
});
