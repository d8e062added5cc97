import { chromium } from '@playwright/test';

const origin = process.env.ORIGIN ?? 'http://127.0.0.1:4321';
const [who, patient, ...shots] = process.argv.slice(2);
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--use-gl=swiftshader'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
page.on('pageerror', (e) => console.error('page error', e.message));
page.on('console', (m) => {
  if (m.type() === 'error') console.error('console', m.text());
});
await page.goto(`${origin}/sign-in`);
await page.waitForLoadState('networkidle');
await page.getByLabel('E-mail').fill(`${who}@harbour.example`);
await page.getByLabel('Password').fill('low-tide-lantern');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.waitForURL(/today/);
await page.goto(origin + '/patients?q=' + encodeURIComponent(patient));
await page.waitForLoadState('networkidle');
await page
  .getByRole('link', { name: new RegExp(patient) })
  .first()
  .click();
await page.waitForLoadState('networkidle');
const open = page.getByRole('link', { name: /open|go on|continue/i }).first();
if (await open.count()) await open.click();
else {
  await page.getByRole('button', { name: /visit/i }).first().click();
}
await page.waitForURL(/visits/);
await page.waitForLoadState('networkidle');
for (const s of shots) {
  const [step, tab, name, act] = s.split('|');
  await page.evaluate((h) => {
    location.hash = h;
  }, step);
  await page.waitForTimeout(500);
  if (tab) {
    await page.getByRole('tab', { name: tab }).first().click();
    await page.waitForTimeout(400);
  }
  if (act)
    for (const a of act.split(';')) {
      const [kind, ...r] = a.split('=');
      const val = r.join('=');
      if (kind === 'button')
        await page
          .getByRole('button', { name: new RegExp(val) })
          .first()
          .click();
      if (kind === 'text') await page.getByText(val, { exact: true }).first().click();
      if (kind === 'fill') {
        const [l, v] = val.split('~');
        await page.getByLabel(new RegExp(l)).first().fill(v);
      }
      if (kind === 'key') await page.keyboard.press(val);
      if (kind === 'type') await page.keyboard.type(val, { delay: 30 });
      if (kind === 'option')
        await page
          .getByRole('option', { name: new RegExp(val) })
          .first()
          .click();
      if (kind === 'scroll') await page.mouse.wheel(0, Number(val));
      if (kind === 'wait') await page.waitForTimeout(Number(val));
    }
  await page.waitForTimeout(800);
  if (name) await page.screenshot({ path: `/tmp/w/look/${name}.png` });
}
console.log(page.url());
await browser.close();
