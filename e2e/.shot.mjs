import { chromium } from '@playwright/test';
const [base, ...jobs] = process.argv.slice(2);
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--headless',
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
for (const job of jobs) {
  const [path, file, w = '1280', h = '800', mode = ''] = job.split('|');
  const ctx = await browser.newContext({ viewport: { width: +w, height: +h }, reducedMotion: 'reduce' });
  const page = await ctx.newPage();
  page.on('console', (m) => {
    if (['error', 'warning'].includes(m.type())) console.log(m.text());
  });
  page.on('pageerror', (e) => console.log('PAGEERROR', e.message));
  await page.goto(base + path);
  await page.waitForTimeout(900);
  if (mode.includes('lamp')) {
    await page.getByRole('button', { name: 'Lamp' }).click();
  }
  if (mode.includes('print')) await page.emulateMedia({ media: 'print' });
  await page.waitForTimeout(300);
  await page.screenshot({ path: file, fullPage: mode.includes('full') });
  await ctx.close();
}
await browser.close();
