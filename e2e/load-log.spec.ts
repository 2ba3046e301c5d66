import { expect, type Page, test } from '@playwright/test';
import { loadAt } from '../src/testing/load-curves';
import { signedIn } from './helpers';

/** A log as an indicator with a decimal comma writes it: kN, ten readings a second, one dip. */
function pressFile(): string {
  const points = [
    [0, 0],
    [3, 0],
    [14, 29_500],
    [40, 40_700],
    [40.4, 39_300],
    [42, 40_900],
    [66, 51_600],
    [84, 56_850],
    [84.8, 49_000],
    [87, 6000],
  ] as const;
  const rows = ['Zeit;Kraft [kN];Weg'];
  for (let tenth = 0; tenth <= 870; tenth += 1) {
    const t = tenth / 10;
    const load = loadAt(points, t) * 0.0044482216;
    rows.push(`${t.toFixed(1)};${load.toFixed(3)};${(t / 100).toFixed(3)}`.replaceAll('.', ','));
  }
  return rows.join('\r\n');
}

async function toStep(page: Page, title: string): Promise<void> {
  await page
    .getByRole('button', { name: new RegExp(title) })
    .first()
    .click();
}

test('a load log of the press is read, confirmed, analysed and kept, and says what it found', async ({
  browser,
}) => {
  const page = await signedIn(browser, 'laboratory');
  await page.goto('/gear/storage');
  // A specimen of which nobody else's test wants anything.
  await page
    .getByRole('figure', { name: 'Places of Moist room' })
    .getByRole('link', { name: '028-B' })
    .click();
  await page.getByRole('link', { name: 'To the bench' }).click();
  await page.getByRole('button', { name: 'Start: cylinder compression' }).click();
  await page.waitForURL(/\/runs\//);
  await page.getByRole('button', { name: /^PR-01/ }).click();
  await toStep(page, 'Load to failure');
  await expect(page.getByText('Measure the specimen first: the rate is a stress.')).toBeVisible();
  await toStep(page, 'Two diameters');
  await page
    .getByLabel(/^Diameter/)
    .nth(0)
    .fill('4.01');
  await page
    .getByLabel(/^Diameter/)
    .nth(0)
    .press('Enter');
  await page
    .getByLabel(/^Diameter/)
    .nth(1)
    .fill('4.00');
  await page
    .getByLabel(/^Diameter/)
    .nth(1)
    .press('Enter');
  await toStep(page, 'Load to failure');

  const choose = (name: string, text: string) =>
    page
      .locator('input[type=file]')
      .first()
      .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  await choose('holiday.txt', 'nothing of a press');
  await expect(page.getByText('No two columns of numbers were found in its first rows.')).toBeVisible();
  await choose('press.csv', pressFile());
  await expect(page.getByLabel('Load in', { exact: true })).toHaveText('kN');
  await expect(page.getByLabel('Decimal comma')).toBeChecked();
  await page.getByRole('button', { name: 'Columns and units are right: analyse' }).click();
  await expect(page.getByText('! Valid with a remark')).toBeVisible();
  await expect(page.getByText(/^56,8\d\d lbf at 84\.0 s$/)).toBeVisible();
  await expect(page.getByText(/Dropped by 3\.4 % from 40,7\d\d lbf at 40\.0 s and recovered/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep it with this run' }).click();
  await expect(page.getByText('Load log kept: ! Valid with a remark.')).toBeVisible();
  await expect(page.getByLabel('Maximum load')).toHaveValue('56850');
  await expect(page.getByText(/The load dropped and recovered: at 40,700 lbf by 3\.4 %/)).toBeVisible();

  // The next file of this machine is read as the last one was.
  await choose('again.csv', pressFile());
  await expect(page.getByText(/As this machine’s files were written the last time/)).toBeVisible();
  await page.close();
});
