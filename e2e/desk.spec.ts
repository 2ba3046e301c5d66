import { expect, test } from '@playwright/test';
import { handedOver, setPassword, signedIn } from './helpers';

// What is done at a desk: gear, limits, people, jobs, reasons, amendments, low tests.

test('a machine past its date withholds the go-ahead, and going on takes a reason', async ({ browser }) => {
  const page = await signedIn(browser, 'laboratory');
  await page.goto('/gear');
  await expect(page.getByRole('heading', { name: /not to be used/ })).toBeVisible();
  await page.getByLabel('Find').fill('press');
  await expect(page.getByRole('cell', { name: 'PR-02' })).toBeVisible();
  await expect(page.getByRole('cell', { name: 'TH-01' })).toHaveCount(0);

  await page.goto('/today');
  await page.getByRole('link', { name: /^Break PMF-041-D$/ }).click();
  await page.getByRole('button', { name: 'Start: cylinder compression' }).click();
  await page.waitForURL(/\/runs\//);
  await page.getByRole('button', { name: /^PR-02/ }).click();
  await expect(page.getByText(/PR-02 was last verified on/)).toBeVisible();
  await expect(page.getByText(/^Hold: 1 to settle/)).toBeVisible();
  await expect(page.getByLabel('Reason for going on')).toBeVisible();
  await page.getByRole('button', { name: /^PR-01/ }).click();
  await expect(page.getByText(/PR-02 was last verified on/)).toHaveCount(0);
  await page.getByRole('tab', { name: 'Plan' }).click();
  await expect(page.getByText('352 to 528 lbf/s')).toBeVisible();
  await page.reload();
  await page.getByRole('tab', { name: 'History' }).click();
  await expect(page.getByText('Testing machine: PR-02')).toBeVisible();
  await page.close();
});

test('a manager confirms a limit, with what it was checked against; its history stays', async ({
  browser,
}) => {
  const page = await signedIn(browser, 'manager');
  await page.goto('/gear/limits');
  await page.getByLabel('Find a limit').fill('Tolerance at 28 d');
  const row = page.getByRole('row', { name: /Tolerance at 28 d/ });
  await expect(row.getByText('recalled')).toBeVisible();
  await row.getByRole('button', { name: 'Confirm' }).click();
  await page.getByLabel('Edition').fill('the copy of 2031');
  await page.getByRole('dialog').getByRole('button', { name: 'Confirm' }).click();
  await expect(page.getByText('Say what you checked, or why you set it.')).toBeVisible();
  await expect(page.getByLabel('Edition')).toHaveValue('the copy of 2031');
  await page.getByLabel('Note').fill('Table of tolerances, read by two.');
  await page.getByRole('dialog').getByRole('button', { name: 'Confirm' }).click();
  await expect(row.getByText(/Isbet Dunmore: confirmed. Table of tolerances, read by two./)).toBeVisible();
  await page.close();
});

test('a new person signs in, and no longer once access is taken away', async ({ browser }) => {
  const manager = await signedIn(browser, 'manager');
  await manager.goto('/gear/people');
  await manager.getByRole('button', { name: 'Add a person' }).click();
  await manager.getByLabel('Name').fill('Sedge Holloway');
  await manager.getByLabel('E-mail').fill('sedge@saltmarsh.example');
  await manager.getByLabel('Role').click();
  await manager.getByRole('option', { name: 'Field technician' }).click();
  await manager.getByRole('button', { name: 'Add', exact: true }).click();
  const link = await handedOver(manager);
  const row = manager.getByRole('row', { name: /Sedge Holloway/ });
  await expect(row).toBeVisible();

  const page = await (await browser.newContext()).newPage();
  await setPassword(page, link, 'short');
  await expect(page.getByText('Password: at least 10 characters.')).toBeVisible();
  await setPassword(page, link, 'reed-bed-at-dawn');
  await page.waitForURL('**/sign-in');
  await page.getByLabel('E-mail').fill('sedge@saltmarsh.example');
  await page.getByLabel('Password').fill('reed-bed-at-dawn');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL('**/today');
  await expect(page.getByRole('link', { name: /^Break / })).toHaveCount(0);
  // The link opens once.
  const late = await (await browser.newContext()).newPage();
  await late.goto(link);
  await expect(late.getByText('This link opens nothing')).toBeVisible();
  await late.close();
  // Signed out from afar, and in again: the password stays.
  await manager.reload();
  await expect(row.getByText('signed in on one device')).toBeVisible();
  await row.getByRole('button', { name: 'Sign out everywhere' }).click();
  await expect(row.getByText('may sign in')).toBeVisible();
  await page.goto('/jobs');
  await expect(page).toHaveURL(/\/sign-in/);
  await page.getByLabel('E-mail').fill('sedge@saltmarsh.example');
  await page.getByLabel('Password').fill('reed-bed-at-dawn');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL('**/jobs');
  await row.getByRole('button', { name: 'Take access away' }).click();
  await expect(row.getByText('no access')).toBeVisible();
  await page.goto('/jobs');
  await expect(page).toHaveURL(/\/sign-in/);
  await manager.close();
});

test('a job begins from nothing: job, mix, placement; a code used again is a new version', async ({
  browser,
}) => {
  const page = await signedIn(browser, 'manager');
  await page.goto('/jobs');
  await page.getByRole('button', { name: 'New job' }).click();
  await page.getByLabel('Number').fill('PMZ');
  await page.getByLabel('Name').fill('Port Merrow boathouse');
  await page.getByLabel('Owner').fill('Port Merrow Harbour Trust');
  await page.getByRole('textbox', { name: 'Place' }).fill('Slip 4, Port Merrow');
  await page.getByLabel('Time zone').fill('Port/Merrow');
  await page.getByRole('button', { name: 'Enter the job' }).click();
  await expect(page.getByText(/choose one as Area\/City/)).toBeVisible();
  await page.getByLabel('Time zone').fill('America/New_York');
  await page.getByRole('button', { name: 'Enter the job' }).click();
  await page.waitForURL(/\/jobs\/[0-9a-f-]{36}$/);
  await expect(page.getByText('No mix yet.')).toBeVisible();
  for (const strength of ['4,150', '29.5 MPa']) {
    await page.getByRole('button', { name: 'New mix' }).click();
    await page.getByLabel('Code').fill('PB-1');
    await page.getByLabel('What it is for').fill('Slip walls');
    await page.getByLabel(/Specified strength/).fill(strength);
    await page.getByRole('button', { name: 'Enter the mix' }).click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
  await expect(page.getByText('PB-1 v2')).toBeVisible();
  await expect(page.getByText('4,150 psi at 28 d')).toBeVisible();
  await expect(page.getByText('29.5 MPa at 28 d')).toBeVisible();
  await page.close();
});

test('a reviewer accepts recorded reasons, signs, amends, and the next revision replaces the first', async ({
  browser,
}) => {
  const page = await signedIn(browser, 'reviewer');
  await page.goto('/reports');
  await page.getByRole('link', { name: 'PMF-R039 rev 0' }).click();
  await expect(page.getByText('Before it can be signed')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Sign', exact: true })).toBeDisabled();
  await page.getByRole('link', { name: 'the sample', exact: true }).click();
  for (let left = 3; left > 0; left -= 1) {
    await expect(page.getByRole('button', { name: 'Accept' })).toHaveCount(left);
    await page.getByRole('button', { name: 'Accept' }).first().click();
  }
  await expect(page.getByText('Reasons to accept')).toHaveCount(0);
  await page.getByRole('link', { name: 'PMF-R039 rev 0' }).click();
  await page.getByRole('button', { name: 'Sign', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Sign', exact: true }).click();
  await expect(page.getByText(/Signed by Wren Castellow/)).toBeVisible();
  await expect(page.getByText(/Reason recorded: Press stood idle/).first()).toBeVisible();

  await page.getByRole('button', { name: 'Amend' }).click();
  await page.getByLabel('Kind of change').click();
  await page.getByRole('option', { name: 'client data' }).click();
  await page.getByLabel('Why').fill('The owner asked for the truck number.');
  await page.getByRole('button', { name: 'Open the amendment' }).click();
  await expect(page.getByText(/Amendment opened by Wren Castellow/)).toBeVisible();
  await page.getByRole('link', { name: 'its sample' }).click();
  await page.getByRole('button', { name: 'New revision' }).click();
  await page.getByLabel('What is new or changed').fill('Truck number added.');
  await page.getByRole('button', { name: 'Prepare the revision' }).click();
  await expect(page.getByRole('heading', { name: 'PMF-R039 rev 1' })).toBeVisible();
  await expect(page.getByText(/Truck number added/)).toBeVisible();
  await page.close();
});

test('a low test carries its follow-up; keys and colours answer', async ({ browser }) => {
  const page = await signedIn(browser, 'laboratory');
  await page.goto('/verdicts');
  await page.locator('section', { hasText: 'PM-38' }).getByRole('link', { name: 'Open' }).click();
  await expect(page.getByRole('heading', { name: /Low test PMF-037/ })).toBeVisible();
  const step = page.getByRole('listitem').filter({ hasText: 'Look at the neighbours' });
  await step.getByRole('button', { name: 'Record' }).click();
  await page.getByLabel('What was done and found').fill('Samples before and after are as usual.');
  await page.getByRole('dialog').getByRole('button', { name: 'Record' }).click();
  await expect(page.getByText(/Teodor Marsh: Samples before and after are as usual./)).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Teodor Marsh' }).click();
  await page.getByRole('menuitem', { name: 'Colours: Full sun' }).click();
  await expect(page.locator('body')).toHaveCSS('background-color', 'rgb(255, 255, 255)');
  await page.close();
});
