import { expect, type Page, test } from '@playwright/test';
import { expectAccessible, perform, signedIn, toLot } from './helpers';

/** Waits until the page is kept for where no network is, as it has this text in it. A page is kept with all its parts. */
async function pageKept(page: Page, text: string): Promise<void> {
  await expect
    .poll(() =>
      page.evaluate(async () => {
        const kept = await (await caches.open('bricole-field')).match(location.href);
        return (await kept?.text()) ?? '';
      }),
    )
    .toContain(text);
}

test('points of a floor are proposed, moved without a network, and what was read stands at them', async ({
  browser,
}) => {
  test.setTimeout(300_000);
  // A tablet in the building.
  const page = await signedIn(browser, 'laboratory', { width: 1024, height: 768 });
  page.setDefaultTimeout(60_000);
  await toLot(page, 'Waiting hall, ground floor');
  await page
    .getByRole('row', { name: /Zone 3/ })
    .getByRole('link')
    .first()
    .click();
  await page.waitForURL(/\/samples\//);
  const sampleId = page.url().split('/').at(-1) ?? '';
  // The café is short of holes: three more are marked.
  await perform(page, 'register-specimens', { sampleId, how: 'points', form: 'slab-hole', count: 3 });
  await page.goBack();
  await page.getByRole('link', { name: 'Plan of the level' }).click();
  await page.waitForURL(/\/field\/floors\//);
  const plan = page.getByTestId('plan');
  await expect(plan.getByRole('button', { name: /-H3, 92 %, does not hold/ })).toBeVisible();
  await expect(page.getByText('Zone 3, café: 1 of 4 placed')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Propose places' }).click();
  await expect(page.getByText('Not placed yet')).toHaveCount(0);
  await expect(page.getByText('Zone 3, café: 1 of 4 placed')).toHaveCount(0);
  // They are with the server: nothing waits on this device any more.
  await expect
    .poll(() =>
      page.evaluate(() =>
        Object.entries(localStorage).every(
          ([name, text]) => !name.startsWith('bricole.places') || text === '{}',
        ),
      ),
    )
    .toBe(true);
  // None of them lies over the heating.
  await expect(page.getByText(/lies in a corridor/)).toHaveCount(0);
  const cafe = plan.getByRole('button', { name: /-H4, not read/ }).last();
  await cafe.focus();
  await page.keyboard.press('Enter');
  const before = await cafe.getAttribute('transform');
  await pageKept(page, 'Waiting hall');
  await page.context().setOffline(true);
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByText('No network: 1 place is kept on this device and sent later.')).toBeVisible();
  // Loaded again with no network, the page is there and the place too.
  await page.reload();
  await expect(plan.getByRole('button', { name: /-H4, not read/ }).last()).not.toHaveAttribute(
    'transform',
    before ?? '',
  );
  await page.context().setOffline(false);
  await expect(page.getByText(/^No network/)).toHaveCount(0);
  await page.reload();
  await expect(plan.getByRole('button', { name: /-H4, not read/ }).last()).not.toHaveAttribute(
    'transform',
    before ?? '',
  );
  // What work has begun at stays where it is.
  const drilled = plan.getByRole('button', { name: /stays where it is/ });
  await expect(drilled).toHaveCount(8);
  await page.getByRole('button', { name: 'Lock it' }).click();
  await expect(page.getByText('The plan is locked: nothing of it is moved.')).toBeVisible();
  await page.close();
});

test('a hole is drilled where no network is, by who works in the field, and is with the server later', async ({
  browser,
}) => {
  const page = await signedIn(browser, 'field', { width: 390, height: 844 });
  page.setDefaultTimeout(60_000);
  await toLot(page, 'Waiting hall, ground floor');
  await page.getByRole('link', { name: 'Plan of the level' }).click();
  await page.waitForURL(/\/field\/floors\//);
  const look = async () => {
    const hole = page.getByTestId('plan').getByRole('button', { name: /-H2, not read/ });
    await hole.focus();
    await page.keyboard.press('Enter');
  };
  await look();
  await page.getByRole('button', { name: 'Begin: hole for humidity' }).click();
  const thickness = page.getByLabel(/^Thickness$/);
  await expect(thickness).toBeVisible();
  await expectAccessible(page);
  // The page goes along with the sheet in it.
  await pageKept(page, '"method\\":\\"slab-hole');
  await page.context().setOffline(true);
  await thickness.fill('5.5');
  await thickness.press('Enter');
  await expect(page.getByText('Not sent yet: readings of 1 sheet are kept on this device.')).toBeVisible();
  await page.reload();
  await look();
  await expect(thickness).toHaveValue('5.5');
  await page.context().setOffline(false);
  await expect(page.getByText(/^Not sent yet: readings/)).toHaveCount(0);
  await page.reload();
  await look();
  await expect(thickness).toHaveValue('5.5');
  await page.close();
});
