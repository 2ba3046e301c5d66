import { expect, test } from '@playwright/test';
import { expectAccessible, signedIn, toStep } from './helpers';

// Eight cells of a calorimeter followed over their line, read out, judged, and laid over the shipment of another plant.
test('cells are followed live, read out, a mark is put elsewhere, and a curve is laid over another', async ({
  browser,
}) => {
  test.setTimeout(180_000);
  const page = await signedIn(browser, 'laboratory');
  page.setDefaultTimeout(30_000);
  await page.goto('/today');
  await page
    .getByRole('link', { name: /^Read out the calorimeter/ })
    .first()
    .click();
  await page.waitForURL('**/runs/**');
  await toStep(page, 'Let it run');
  await expect(page.getByText(/rows, 2\d\.\d h, a stand-in/)).toBeVisible();
  await expect(page.getByRole('img', { name: /^Power to a gram over hours: 1 as it came/ })).toBeVisible();
  await page.getByRole('button', { name: 'Read out HC-01' }).click();
  await expect(page.getByText('Kept: HC-01 read out.csv')).toBeVisible();
  await toStep(page, 'Read the curve');
  await expect(page.getByRole('table', { name: 'Series of sulfate' })).toContainText('yes, the least');
  await expect(page.getByRole('img', { name: /8 plasticized, maximum at/ })).toBeVisible();
  await expectAccessible(page);
  // The mark of the first cell is pulled, and stays with its reason.
  const main = page
    .getByRole('table', { name: 'Marks of cell 1' })
    .getByRole('row', { name: /^Main maximum/ });
  await expect(main).toBeVisible();
  await page.evaluate(() => scrollTo(0, 0));
  // The topmost point of the first curve: looked for by the hand that the pointer becomes.
  const held = await page.evaluate(async () => {
    const canvas = document.querySelector('canvas') as HTMLCanvasElement;
    const box = canvas.getBoundingClientRect();
    for (let y = box.top + 4; y < box.top + box.height / 2; y += 6)
      for (let x = box.left + 40; x < box.left + box.width / 2; x += 6) {
        canvas.dispatchEvent(new MouseEvent('mousemove', { clientX: x, clientY: y, bubbles: true }));
        await new Promise((done) => requestAnimationFrame(done));
        if (canvas.style.cursor === 'grab') return { x, y };
      }
    return null;
  });
  if (!held) throw new Error('no mark was found');
  await page.mouse.move(held.x, held.y);
  await page.mouse.down();
  await page.mouse.move(held.x + 25, held.y, { steps: 5 });
  await page.mouse.up();
  const moved = page.getByRole('region', { name: 'Mark put elsewhere' });
  await moved.getByLabel('Why').fill('The shoulder in front of it is the aluminate');
  await moved.getByRole('button', { name: 'Put it there' }).click();
  await expect(page.getByText(/^found at \d+\.\d+: The shoulder in front of it/)).toBeVisible();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();

  // The shipment of the other plant, a week old, with its curves over one another.
  await page.goto('/today');
  await page.getByRole('link', { name: 'Let the needle fall', exact: true }).first().click();
  await page.waitForURL('**/runs/**');
  await page.getByRole('link', { name: 'GP 34' }).click();
  await page.waitForURL('**/samples/**');
  await page
    .getByRole('link', { name: /Heat of hydration/ })
    .first()
    .click();
  await page.waitForURL('**/runs/**');
  await page.getByRole('link', { name: 'Lay others over it' }).click();
  await page.waitForURL('**/beside**');
  await expect(page.getByRole('table', { name: 'Off the first' })).toContainText(
    'As near as two cells of one mix.',
  );
  await expectAccessible(page);
});
