import { expect, type Page, test } from '@playwright/test';
import { expectAccessible, handedOver, setPassword } from './helpers';

const { BRICOLE_LABORATORY_URL: URL_OF, BRICOLE_LABORATORY_LINK: LINK } = process.env;
/** A day within the year of a verification. */
const LATELY = new Date(Date.now() - 30 * 86_400_000).toISOString().slice(0, 10);
const MANAGER = { email: 'tamsin@harbourrow.example', password: 'moss kettle 41 barge' };

async function signIn(page: Page, { email, password }: typeof MANAGER): Promise<void> {
  await page.goto(`${URL_OF}/sign-in`);
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL('**/today');
}

/** Brings a list in that is all right. */
async function bring(page: Page, rows: readonly string[], button = 'From a list'): Promise<void> {
  await page.getByRole('button', { name: button, exact: true }).click();
  await page.getByLabel('or paste the rows').fill(rows.join('\n'));
  await page.getByRole('button', { name: `Bring in ${rows.length - 1}` }).click();
  await expect(page.getByText(`${rows.length - 1} brought in.`)).toBeVisible();
}

const step = (page: Page, title: RegExp) => page.getByRole('listitem').filter({ hasText: title });

test('from an empty installation to the first saved reading', async ({ browser }) => {
  if (!URL_OF || !LINK) throw new Error('npm test sets the laboratory up that this needs');
  const page = await (await browser.newContext()).newPage();
  await page.goto(`${URL_OF}/sign-in`);
  await expect(page.getByText('Harbour Row Testing')).toBeVisible();
  await expect(page.getByText('These are the laboratory’s own records.')).toBeVisible();
  await setPassword(page, LINK, 'tamsin reed row');
  await expect(page.getByText(/with your own name in it/)).toBeVisible();
  await setPassword(page, LINK, MANAGER.password);
  await page.waitForURL('**/sign-in');
  await signIn(page, MANAGER);

  // What to do first, in order, each with its state and the way there.
  await expect(page.getByRole('heading', { name: 'To begin with' })).toBeVisible();
  await expect(page.getByRole('listitem')).toHaveCount(6);
  await expectAccessible(page);
  await step(page, /Enter the people/)
    .getByRole('link', { name: 'Go there' })
    .click();
  await page.waitForURL('**/gear/people');
  await page.getByRole('button', { name: 'From a list' }).click();
  await page.getByLabel('or paste the rows').fill('name,email\nAsh Quill,ash@harbourrow.example');
  await expect(page.getByText(/Missing column: role/)).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await bring(page, [
    'name,email,role,title',
    'Ash Quill,ash@harbourrow.example,field,',
    'Bo Teasel,bo@harbourrow.example,reviewer,P.E.',
  ]);
  await expect(page.getByRole('row', { name: /Bo Teasel.*no password yet/ })).toBeVisible();
  const ash = page.getByRole('row', { name: /Ash Quill/ });
  await ash.getByRole('button', { name: 'Link to sign in' }).click();
  await page.getByRole('button', { name: 'Make the link' }).click();
  const link = await handedOver(page);
  await expectAccessible(page);

  await page.goto(`${URL_OF}/gear`);
  await bring(page, [
    'number,kind,name,place,verified_on,certificate',
    `TH-1,thermometer,Digital,Van,${LATELY},C-11`,
    'SC-1,slump mould,Cone,Van,,',
  ]);
  await bring(page, ['number,verified_on,certificate', `SC-1,${LATELY},C-12`], 'Verifications');
  await page.goto(`${URL_OF}/jobs`);
  await bring(page, ['number,name,owner,place,units', 'HR1,Harbour steps,Harbour trust,Port Merrow,US']);
  await page.getByRole('link', { name: /HR1/ }).click();
  const mixes = page.locator('section', { has: page.getByRole('heading', { name: 'Mixes' }) });
  await mixes.getByRole('button', { name: 'From a list' }).click();
  await page
    .getByLabel('or paste the rows')
    .fill('code,title,specified_strength,age_days\nHR-40,Steps,"4,000",28\nHR-50,Walls,plenty,28');
  await expect(page.getByText('"plenty" is not a number.')).toBeVisible();
  await page.getByRole('button', { name: 'Bring in 1' }).click();
  await expect(page.getByText('1 brought in.')).toBeVisible();
  await expect(mixes.getByText(/HR-40/)).toBeVisible();

  await page.goto(`${URL_OF}/today`);
  await expect(step(page, /Enter the first job/).getByRole('img', { name: 'done' })).toBeVisible();
  await step(page, /Confirm the limits/)
    .getByRole('button', { name: 'Lay aside' })
    .click();
  await expect(step(page, /Confirm the limits/).getByText(/^laid aside/)).toBeVisible();
  await step(page, /Make a backup/)
    .getByRole('button', { name: 'Lay aside' })
    .click();
  await expect(step(page, /Make a backup/).getByText(/^laid aside/)).toBeVisible();

  // The technician, on a phone, with the link that was handed over.
  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await setPassword(phone, link, 'heron lintel nine oats');
  await phone.waitForURL('**/sign-in');
  await signIn(phone, { email: 'ash@harbourrow.example', password: 'heron lintel nine oats' });
  await expect(phone.getByRole('heading', { name: 'To begin with' })).toHaveCount(0);
  await phone.goto(`${URL_OF}/field`);
  await phone.getByRole('button', { name: 'New placement' }).click();
  await phone.getByLabel('Mix').click();
  await phone.getByRole('option', { name: /HR-40/ }).click();
  await phone.getByLabel('Element').fill('Lower steps');
  await phone.getByLabel(/Volume/).fill('20 yd³');
  await phone.getByRole('button', { name: 'Enter the placement' }).click();
  await phone.locator('section', { hasText: 'Lower steps' }).getByRole('link', { name: 'The day' }).click();
  await phone.waitForURL(/\/placements\//);
  await phone.getByRole('button', { name: 'Plan the samples' }).click();
  await phone.getByRole('button', { name: 'Draw and lock' }).click();
  await phone.getByRole('button', { name: 'Truck on site' }).click();
  await phone.getByLabel('Ticket', { exact: true }).fill('T-1');
  await phone.getByLabel(/^Volume/).fill('8.5 yd³');
  await phone.getByRole('button', { name: 'Enter the truck' }).click();
  await phone.getByRole('button', { name: 'First portion now' }).click();
  await phone.waitForURL(/\/field\/[0-9a-f-]{36}$/);
  await phone.getByRole('button', { name: /^Final portion/ }).click();
  await expect(phone.getByRole('button', { name: /^Composite remixed/ })).toBeVisible();
  await phone.close();

  // All done or laid aside: nothing of it nags any more.
  await page.goto(`${URL_OF}/today`);
  await expect(
    page
      .getByRole('heading', { name: 'Today', exact: true })
      .or(page.getByText(/waiting|open/i))
      .first(),
  ).toBeVisible();
  await expect(page.getByRole('heading', { name: 'To begin with' })).toHaveCount(0);
  await page.goto(`${URL_OF}/gear/laboratory`);
  await expect(page.getByText('Everything it is made of runs', { exact: false })).toBeVisible();
  await expectAccessible(page);
  await page.close();
});
