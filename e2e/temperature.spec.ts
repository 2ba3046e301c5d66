import { expect, type Page, test } from '@playwright/test';
import { choose, expectAccessible, perform, signedIn, take, toStep } from './helpers';

const HOUR = 3_600_000;
/** Concrete that came round the sensors two days ago. */
const PLACED = Math.floor(Date.now() / 60_000) * 60_000 - 50 * HOUR;
const truth = (hour: number): number =>
  11 + 15 * (Math.max(hour, 0) / 11) ** 2 * Math.exp(2 * (1 - Math.max(hour, 0) / 11));

/** A file of a logger, a row every quarter of an hour; its clock is ahead by so many hours. */
function fileOf(
  hours: number,
  celsius: (hour: number) => number,
  { ahead = 0, stamp = (at: number) => new Date(at).toISOString() } = {},
): string {
  const rows = Array.from({ length: hours * 4 + 1 }, (_, row) => row / 4);
  return [
    'time,core',
    ...rows.map((hour) => `${stamp(PLACED + (hour + ahead) * HOUR)},${celsius(hour).toFixed(1)}`),
  ].join('\n');
}
/** As a logger of another land writes it: day first, without a zone, in the time of the job. */
function dayFirst(at: number): string {
  const parts = new Intl.DateTimeFormat('en-GB', {
    timeZone: 'America/New_York',
    dateStyle: 'short',
    timeStyle: 'short',
    hourCycle: 'h23',
  }).formatToParts(at);
  const of = (type: string): string => parts.find((part) => part.type === type)?.value ?? '';
  return `${of('day')}/${of('month')}/${of('year')} ${of('hour')}:${of('minute')}`;
}

/** Gives a file to one of the records of the sheet, and keeps it. */
async function keep(page: Page, label: string, name: string, text: string, order?: string): Promise<void> {
  const part = page.getByRole('region', { name: label, exact: true });
  await part
    .locator('input[type=file]')
    .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  if (order) {
    await part.getByRole('combobox', { name: 'Written as' }).click();
    await page.getByRole('option', { name: order }).click();
  }
  await part.getByRole('button', { name: 'Columns, dates and scale are right: read it' }).click();
  await part.getByRole('button', { name: 'Keep it with this run' }).click();
  await expect(part.getByText(`Kept: ${name}`)).toBeVisible();
}

/** A wall that was placed then, of the mix that has a curve, and its page. */
async function toWall(page: Page, title: string): Promise<void> {
  await page.goto('/jobs');
  await page.getByRole('link', { name: /PMF/ }).first().click();
  await page.waitForURL(/\/jobs\/[0-9a-f-]{36}/);
  const job = new URL(page.url()).pathname;
  const mix = page.locator('tr', { hasText: 'PM-38' }).locator('a[href^="/verdicts/"]').first();
  const specificationId = (await mix.getAttribute('href'))?.split('/').at(-1);
  await perform(page, 'create-lot', {
    jobId: job.split('/').at(-1),
    specificationId,
    startsAt: new Date(PLACED - HOUR).toISOString(),
    title,
    about: { location: 'Ticket hall' },
  });
  // No sample leads there: the job lists it by itself.
  await page.goto(job);
  await page.getByRole('link', { name: title }).first().click();
  await expect(page.getByRole('heading', { name: title })).toBeVisible();
}

test('two loggers of one place are laid over one another', async ({ browser }) => {
  const page = await signedIn(browser, 'laboratory');
  page.setDefaultTimeout(45_000);
  await toWall(page, 'Wall grid H, two loggers');
  await page.getByRole('button', { name: 'Record temperatures' }).click();
  await page.waitForURL(/\/runs\//);
  await choose(page, 'Concrete, in a specimen or a member');
  await toStep(page, 'Read it out');
  // What is no record is told in words, and nothing of the run is lost.
  const first = page.getByRole('region', { name: 'Record', exact: true });
  await first
    .locator('input[type=file]')
    .setInputFiles({ name: 'note.csv', mimeType: 'text/csv', buffer: Buffer.from('no record at all') });
  await expect(first.getByRole('alert')).toContainText('Export it as CSV');
  await keep(page, 'Record', 'first.csv', fileOf(48, truth));
  await expect(page.getByTestId('main-result')).toHaveText('78.8');
  // The second writes day and month as they cannot be told apart by their numbers alone, and its clock is 40 min ahead.
  await keep(
    page,
    'Record of a second logger',
    'second.csv',
    fileOf(48, (hour) => truth(hour) + 0.9, { ahead: 40 / 60, stamp: dayFirst }),
    'date and time, day first',
  );
  const two = page.getByRole('region', { name: 'Two sensors' });
  await expect(two.getByText('40 min')).toBeVisible();
  await expect(two.getByText('1.62 °F')).toBeVisible();
  await expect(
    page.getByText('The clock of the second record is 40 min ahead, by its shape alone.'),
  ).toBeVisible();
  // Nobody said what they are: nothing tells which is right.
  await expect(two.getByText('Nothing tells which of the two is right', { exact: false })).toBeVisible();
  await two.getByLabel('Show it as its clock stamped it, too').check();
  await expectAccessible(page);
  // The stand-in on the site is read out over its line, in place of the first.
  await first.getByRole('button', { name: 'Read out TL-01' }).click();
  await expect(first.getByText('Kept: TL-01 read out.csv')).toBeVisible();
  await expect(first.getByRole('cell', { name: 'surface' })).toBeVisible();
  await page.close();
});

test('a maturity question is answered, and answers nothing by itself', async ({ browser }) => {
  const page = await signedIn(browser, 'laboratory');
  page.setDefaultTimeout(45_000);
  await toWall(page, 'Wall grid H, second lift');
  await page.getByRole('button', { name: 'Strength by maturity' }).click();
  await page.waitForURL(/\/runs\//);
  await choose(page, 'Forms of walls and columns');
  await take(page, { required: '1800', where: 'Second lift' });
  await choose(page, 'The same');
  await page.locator('[data-field=placedAt]').fill(
    await page.evaluate((at) => {
      const there = new Date(at);
      return new Date(at - there.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
    }, PLACED),
  );
  await page.locator('[data-field=placedAt]').press('Enter');
  await toStep(page, 'Read the record');
  await take(page, { outlook: '55' });
  await keep(page, 'Record', 'lift.csv', fileOf(36, truth));
  await expect(page.getByText(/^Not yet\./)).toContainText('Expected in');
  await expect(page.getByRole('img', { name: /may be counted on at/ })).toBeVisible();
  // It waits in the field until then.
  const sheet = page.url();
  await page.goto('/today');
  await expect(page.getByText('Read the maturity again: Second lift')).not.toHaveCount(0);
  await page.goto(sheet);
  await toStep(page, 'Read the record');
  // Warm days later the number is there, and it holds: no test was made in the member.
  await keep(
    page,
    'Record',
    'lift later.csv',
    fileOf(49, () => 37),
  );
  await expect(page.getByText(/^Hold: by its maturity/)).toContainText('no supplementary test was made');
  await toStep(page, 'Confirm it by a test');
  await choose(page, 'Cylinders cast in place');
  await take(page, { supplementaryStrength: '1910' });
  await expect(page.getByText(/^Criterion reached/)).toContainText('The engineer’s release is needed');
  await expectAccessible(page);
  await page.close();
});

test('early breaks, and what a warm place makes of them', async ({ browser }) => {
  const page = await signedIn(browser, 'laboratory');
  page.setDefaultTimeout(45_000);
  await page.goto('/jobs');
  await page.getByRole('link', { name: /PMF/ }).first().click();
  await page.locator('tr', { hasText: 'PM-38' }).locator('a[href^="/verdicts/"]').first().click();
  await expect(page.getByRole('heading', { name: '28 days from 7' })).toBeVisible();
  await expect(page.getByText('A prediction, not a test result', { exact: false })).toBeVisible();
  await page.goto('/gear');
  await page.getByRole('link', { name: 'Two curing places' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'from then on it lags' })).toBeVisible();
  await expectAccessible(page);
  // And how warm a member gets: bare it cracks, under thick insulation it stays inside.
  await page.goto('/gear');
  await page.getByRole('link', { name: 'How warm a member gets' }).click();
  const said = page.getByRole('status');
  const cover = async (word: string): Promise<void> => {
    await page.getByRole('combobox', { name: 'Covered by' }).click();
    await page.getByRole('option', { name: word }).click();
  };
  await cover('Bare, some wind');
  await expect(said).toContainText('Likely to crack');
  await cover('Thick insulation');
  // Taken off after a week its face would get cold at once.
  await expect(said).toContainText('Likely to crack');
  await page.getByRole('slider', { name: 'Cover off after' }).press('End');
  await expect(said).toContainText('It stays inside');
  await expectAccessible(page);
  await page.close();
});
