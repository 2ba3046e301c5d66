import { chromium } from '@playwright/test';

const [base, who, ...shots] = process.argv.slice(2);
const b = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
const mails = {
  field: 'orla@saltmarsh.example',
  laboratory: 'teodor@saltmarsh.example',
  reviewer: 'wren@saltmarsh.example',
  manager: 'isbet@saltmarsh.example',
  client: 'harrow@portmerrow.example',
};
const ctx = await b.newContext({ viewport: { width: 1280, height: 800 } });
const page = await ctx.newPage();
page.on('console', (m) => {
  if (['error', 'warning'].includes(m.type())) console.log('CONSOLE', m.text().slice(0, 400));
});
page.on('pageerror', (e) => console.log('PAGEERROR', e.message.slice(0, 600)));
await page.goto(`${base}/sign-in`);
if (who !== 'none') {
  await page.getByLabel('E-mail').fill(mails[who]);
  await page.getByLabel('Password').fill('quay-lantern-tide');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL('**/today');
}
for (const s of shots) {
  const [path, file, size] = s.split('|');
  if (size === 'phone') await page.setViewportSize({ width: 390, height: 844 });
  else await page.setViewportSize({ width: 1280, height: size === 'full' ? 1700 : 800 });
  if (path.startsWith('click:')) {
    await page.getByText(path.slice(6)).first().click();
  } else if (path.startsWith('eval:')) {
    await page.evaluate(path.slice(5));
  } else await page.goto(`${base}${path}`);
  await page.waitForLoadState('networkidle').catch(() => {});
  await page.waitForTimeout(600);
  if (file) await page.screenshot({ path: `/tmp/s/${file}.png`, fullPage: size === 'long' });
  console.log(page.url());
}
await b.close();
