import { expect, type Page, test } from '@playwright/test';
import { expectAccessible, signedIn } from './helpers';

const PHONE = { width: 390, height: 844 };

/** The big button of the sample clock. */
function press(page: Page, event: string): Promise<void> {
  return page.getByRole('button', { name: new RegExp(`^${event}`) }).click();
}

function card(page: Page, title: string) {
  return page
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: new RegExp(`^${title}`) }) });
}

/** Opens the card of a test; a press before the page has come alive is made again. */
async function openCard(page: Page, title: string) {
  const own = card(page, title);
  const head = own.getByRole('button', { name: new RegExp(`^${title}`) });
  await expect(async () => {
    if ((await head.getAttribute('aria-expanded')) !== 'true') await head.click();
    await expect(own.getByRole('heading').first()).toBeVisible({ timeout: 1500 });
  }).toPass();
  return own;
}

async function completeWithReason(page: Page, title: string, reason: string): Promise<void> {
  const own = card(page, title);
  await own.getByRole('button', { name: 'Complete the run' }).click();
  for (const field of await own.getByLabel('Reason for going on').all()) await field.fill(reason);
  await own.getByRole('button', { name: 'Complete the run' }).click();
  await expect(own.getByText('This run is complete.')).toBeVisible();
}

test('a whole sample on a phone: a plan, a truck, a sheared slump, a leaked air test, specimens that change hands', async ({
  browser,
}) => {
  const page = await signedIn(browser, 'field', PHONE);
  // The minutes of the clocks are waited for by moving the page's own clock, which begins that much earlier.
  await page.clock.install({ time: Date.now() - 20 * 60_000 });
  // That clock is the day's: the server would put it right, so here it answers with the page's own time.
  await page.route('**/api/health', async (route) => {
    // A page that is being left has no time to tell, and nobody waits for the answer.
    const now = await page.evaluate(() => Date.now()).catch(() => undefined);
    await (now === undefined
      ? route.abort()
      : route.fulfill({ json: { ok: true, now, bearable: 30_000 } })
    ).catch(() => undefined);
  });
  await page.goto('/field');
  await page.getByRole('button', { name: 'New placement' }).click();
  await page.getByLabel('Mix').click();
  await page.getByRole('option', { name: /PM-45/ }).click();
  const element = `Apron bay Z${Date.now() % 10_000}`;
  await page.getByLabel('Element').fill(element);
  await page.getByLabel(/Volume/).fill('much');
  await page.getByRole('button', { name: 'Enter the placement' }).click();
  await expect(page.getByText('"much" is not a number.')).toBeVisible();
  await page.getByLabel(/Volume/).fill('34 yd³');
  await page.getByRole('button', { name: 'Enter the placement' }).click();
  await page.locator('section', { hasText: element }).getByRole('link', { name: 'The day' }).click();
  await page.waitForURL(/\/placements\//);
  const day = page.url();

  await page.getByRole('button', { name: 'Plan the samples' }).click();
  await page.getByRole('button', { name: 'Draw and lock' }).click();
  await expect(page.getByText('1 sample: at least one a day')).toBeVisible();
  await page.getByRole('button', { name: 'Truck on site' }).click();
  await page.getByLabel('Ticket', { exact: true }).fill('T-8101');
  await page.getByLabel(/^Volume/).fill('8.5 yd³');
  await page.getByRole('button', { name: 'Enter the truck' }).click();
  await expect(page.getByText('8.5 of 34 yd³').first()).toBeVisible();

  await page.getByRole('button', { name: 'First portion now' }).click();
  await page.waitForURL(/\/field\/[0-9a-f-]{36}$/);
  const address = page.url();
  await expect(page.getByText('Take the final portion')).toBeVisible();
  await page.clock.fastForward('05:00');
  await press(page, 'Final portion');
  await press(page, 'Composite remixed');
  await press(page, 'Thermometer in');
  await page.clock.fastForward('00:30');
  await press(page, 'Slump: fill starts');

  // Strokes are counted on the whole screen; a layer more or less would be found.
  await openCard(page, 'Slump');
  await card(page, 'Slump')
    .getByRole('button', { name: /Count strokes: 3 × 25/ })
    .click();
  const stroke = page.getByRole('button', { name: 'One stroke' });
  await stroke.click();
  // The other 74 at one go: each waited for by itself would take as long as the slump may.
  await stroke.evaluate(async (button: HTMLElement) => {
    for (let left = 74; left > 0; left -= 1) {
      button.click();
      // What a press does is drawn before the next.
      await null;
    }
  });
  await page.getByRole('button', { name: 'Keep these counts' }).click();
  await expect(card(page, 'Slump').getByLabel(/Strokes counted/)).toHaveValue('25 25 25');

  await page.clock.fastForward('01:00');
  await press(page, 'Lift starts');
  await page.clock.fastForward(4600);
  await press(page, 'Lift ends');
  // The press that was a mistake is taken back, and made again.
  await page.getByRole('button', { name: 'Take back: lift ends' }).click();
  await press(page, 'Lift ends');
  await press(page, 'Slump read');
  await card(page, 'Slump').getByRole('button', { name: 'Shear', exact: true }).click();
  await expect(card(page, 'Slump').getByText('A sheared portion gives no slump.')).toBeVisible();
  await completeWithReason(page, 'Slump', 'Sheared; made again on another portion.');
  await card(page, 'Slump').getByRole('button', { name: 'Repeat the test' }).click();
  await page.getByLabel('Why it is repeated').fill('The first portion sheared.');
  await page.getByRole('button', { name: 'Start another' }).click();
  const again = card(page, 'Slump, attempt 2');
  await expect(again).toBeVisible();

  await page.clock.fastForward('00:20');
  await press(page, 'Slump: fill starts');
  await page.clock.fastForward('01:10');
  await press(page, 'Lift starts');
  await page.clock.fastForward(4700);
  await press(page, 'Lift ends');
  await press(page, 'Slump read');
  await again.getByRole('button', { name: 'True', exact: true }).click();
  await again.getByRole('textbox', { name: /^Slump/ }).click();
  const keypad = page.getByRole('group', { name: 'Keypad' });
  await keypad.getByRole('button', { name: '4', exact: true }).click();
  await keypad.getByRole('button', { name: '½' }).click();
  await keypad.getByRole('button', { name: 'Take the reading' }).click();
  await expect(again.getByText(/In tolerance: 4.5 in/)).toBeVisible();
  await again.getByRole('button', { name: 'Complete the run' }).click();
  await expect(again.getByText('This run is complete.')).toBeVisible();

  await press(page, 'Temperature read');
  const temperature = card(page, 'Concrete temperature');
  const reading = temperature.getByRole('textbox', { name: 'Concrete temperature' });
  await reading.fill('21.5 °C');
  await reading.press('Enter');
  await expect(temperature.getByTestId('main-result')).toHaveText('71');
  await temperature.getByRole('button', { name: 'Complete the run' }).click();
  await expect(temperature.getByText('This run is complete.')).toBeVisible();

  // The air bowl was filled in time; the meter leaked, which is told at once, and the test is made again.
  await press(page, 'Air: fill starts');
  const air = await openCard(page, 'Air, volumetric');
  await air.getByRole('button', { name: /Before rolling/ }).click();
  await air.getByRole('button', { name: 'Yes', exact: true }).first().click();
  await expect(air.getByText('Liquid leaked: the reading is too high.')).toBeVisible();
  await completeWithReason(page, 'Air, volumetric', 'Leaked at the flange; cleaned and made again.');

  // What was stamped survives a reload and a lost network; what is pressed without it is sent when it is back.
  await page.reload();
  await expect(page.getByText('Read the temperature')).toBeVisible();
  await page.context().setOffline(true);
  // The density is weighed by somebody else: moulding goes on before it.
  await page.getByLabel('Something else happened').click();
  await page.getByRole('option', { name: 'Moulding starts' }).click();
  await expect(page.getByText('Not sent yet: kept on this device')).toBeVisible();
  await page.context().setOffline(false);
  await expect(page.getByText('Saved', { exact: true }).first()).toBeVisible();
  await page.clock.fastForward('06:00');
  await page.getByLabel('Something else happened').click();
  await page.getByRole('option', { name: 'Last specimen finished' }).click();
  await expectAccessible(page);

  await page.locator('#specimens').getByRole('button', { name: 'Make 5 cylinders' }).click();
  await expect(page.locator('#specimens').getByText(/-E$/)).toBeVisible();
  const labels = await page.request.get(`/api/labels?sample=${address.split('/').at(-1)}`);
  expect(labels.headers()['content-type']).toBe('application/pdf');
  expect((await labels.body()).subarray(0, 5).toString()).toBe('%PDF-');

  // The laboratory collects them: scanned, counted, with both names.
  const laboratory = await signedIn(browser, 'laboratory', PHONE);
  await laboratory.goto(`${day}/hand-over`);
  const made = await page.locator('#specimens a.mono').allTextContents();
  for (const label of made) {
    await laboratory.getByLabel('Scan or type a label').fill(label);
    await laboratory.getByLabel('Scan or type a label').press('Enter');
  }
  await laboratory.getByLabel('Counted by hand').fill('4');
  await laboratory.getByRole('button', { name: 'Take over 5 specimens' }).click();
  await expect(laboratory.getByText(/4 counted, 5 scanned/)).toBeVisible();
  await laboratory.getByLabel('Counted by hand').fill('5');
  await laboratory.getByRole('button', { name: 'Take over 5 specimens' }).click();
  await expect(laboratory.getByText(/5 collected, from .* to Teodor Marsh/)).toBeVisible();
  await laboratory.close();
  await page.close();
});

test('a reload without a network brings the clocks back, and what was stamped is sent when it returns', async ({
  browser,
}) => {
  const page = await signedIn(browser, 'field', PHONE);
  await page.goto('/field');
  await page.getByRole('link', { name: /^PMF-015/ }).click();
  await page.waitForURL(/\/field\//);
  // Kept by now: the page itself among the pages, its parts among the parts.
  await expect
    .poll(() =>
      page.evaluate(
        async () => (await (await caches.open('bricole-field')).match(location.href)) !== undefined,
      ),
    )
    .toBe(true);
  await page.context().setOffline(true);
  await page.reload();
  await expect(page.getByText('Start moulding')).toBeVisible();
  await press(page, 'Composite remixed');
  await expect(page.getByText('Not sent yet: kept on this device')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: /^Thermometer in/ })).toBeVisible();
  await page.context().setOffline(false);
  await expect(page.getByText('Saved', { exact: true }).first()).toBeVisible();
  // Where the server is slow to answer, a reload brings the page as it was kept: the next one brings it as it is.
  await expect(async () => {
    await page.reload();
    await expect(page.getByRole('button', { name: /^Thermometer in/ })).toBeVisible({ timeout: 10_000 });
  }).toPass({ timeout: 90_000 });
  await page.close();
});

test('two people on one placement see each other’s readings without asking', async ({ browser }) => {
  const one = await signedIn(browser, 'field', PHONE);
  await one.goto('/field');
  await one.getByRole('link', { name: /^PMF-015/ }).click();
  await one.waitForURL(/\/field\//);
  const two = await signedIn(browser, 'laboratory');
  await two.goto(one.url());
  const theirs = await openCard(two, 'Ticket and delivery');
  const mine = await openCard(one, 'Ticket and delivery');
  await mine.getByLabel(/Asked for and signed by/).fill('nobody asked');
  await mine.getByLabel(/Asked for and signed by/).press('Enter');
  await expect(theirs.getByLabel(/Asked for and signed by/)).toHaveValue('nobody asked');
  await two.close();
  await one.close();
});

test('a placement tells its day: trucks, samples, weather, what is allowed next', async ({ browser }) => {
  const page = await signedIn(browser, 'laboratory');
  await page.goto('/field');
  await page
    .locator('section')
    .filter({ hasNotText: 'in the cold' })
    .getByRole('link', { name: 'The day' })
    .last()
    .click();
  await page.waitForURL(/\/placements\//);
  await expect(page.getByRole('img', { name: /3 trucks, 1 samples, 3 weather readings/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Read the weather' }).click();
  await page.waitForURL(/\/runs\//);
  await page.getByLabel('Air temperature').fill('91');
  await page.getByLabel('Relative humidity').fill('28');
  await page.getByLabel('Wind', { exact: true }).fill('14');
  await page.getByLabel('Wind', { exact: true }).press('Enter');
  await page
    .getByRole('button', { name: /^.*Concrete/ })
    .first()
    .click();
  await page.getByLabel('Concrete temperature', { exact: true }).fill('86');
  await page.getByLabel('Concrete temperature', { exact: true }).press('Enter');
  await expect(page.getByText('Protection of the surface is called for.')).toBeVisible();
  await page.close();
});
