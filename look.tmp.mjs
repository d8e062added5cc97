import { chromium } from '@playwright/test';
const [user, ...specs] = process.argv.slice(2);
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
page.on('pageerror', (e) => console.error('page error:', e.message));
page.on('console', (m) => m.type() === 'error' && console.error('console:', m.text()));
const o = process.env.ORIGIN ?? 'http://127.0.0.1:4321';
await page.goto(o + '/sign-in'); await page.waitForLoadState('networkidle');
await page.getByLabel('E-mail').fill(user + '@harbour.example');
await page.getByLabel('Password').fill('low-tide-lantern');
await page.getByRole('button', { name: 'Sign in' }).click(); await page.waitForURL(/today/);
for (const spec of specs) {
  const [path, name, acts = ''] = spec.split('|');
  if (path.startsWith('?')) { await page.goto(o + '/patients?q=' + path.slice(1)); await page.getByRole('table').getByRole('link').first().click(); await page.waitForURL(/patients\/[0-9a-f]/); }
  else if (path !== '.') await page.goto(o + path);
  await page.waitForLoadState('networkidle');
  for (const act of acts.split(';').filter(Boolean)) {
    const [k, ...r] = act.split('='); const v = r.join('=');
    try {
    if (k === 'link') await page.getByRole('link', { name: v }).first().click();
    else if (k === 'button') await page.getByRole('button', { name: v }).first().click();
    else if (k === 'tab') await page.getByRole('tab', { name: v }).first().click();
    else if (k === 'text') await page.getByText(v).first().click();
    else if (k === 'fill') { const [l, x] = v.split('~'); await page.getByLabel(l).first().fill(x); }
    else if (k === 'scroll') await page.mouse.wheel(0, Number(v));
    else if (k === 'to') await page.getByRole('heading', { name: v }).first().scrollIntoViewIfNeeded();
    else if (k === 'wait') await page.waitForTimeout(Number(v));
    else if (k === 'click') await page.locator(v).first().click();
    } catch (e) { console.error(act, e.message.split('\n')[0]); }
    await page.waitForLoadState('networkidle');
  }
  await page.waitForTimeout(500);
  await page.screenshot({ path: `/tmp/w/shots/${name}.png` });
  console.log(name, page.url());
}
await browser.close();
