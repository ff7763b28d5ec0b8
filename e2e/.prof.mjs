import { chromium } from '@playwright/test';
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu','--no-first-run','--disable-background-networking','--disable-component-update','--disable-sync'] });
const ctx = await browser.newContext({ viewport: { width: 1280, height: 800 } });
const page = await ctx.newPage();
await page.goto('http://127.0.0.1:4690/t/demo-0147/measure'); await page.waitForTimeout(1500);
const s = await ctx.newCDPSession(page); await s.send('Network.enable'); await s.send('Network.setCacheDisabled', { cacheDisabled: true });
for (let k=0;k<3;k++){
await page.goto('about:blank');
await page.goto('http://127.0.0.1:4690/t/demo-0147/measure', { waitUntil: 'commit' });
const t = await page.evaluate(() => new Promise(done => { const m = {}; const look = () => { for (const [n,q] of [['root','#root *'],['h1','h1'],['field','aside[aria-label="Readings"] input:not(:disabled)']]) if (!m[n] && document.querySelector(q)) m[n] = performance.now(); m.field ? done({ ...m, ...window.__m }) : requestAnimationFrame(look); }; look(); }));
const res = await page.evaluate(() => performance.getEntriesByType('resource').map(r => [r.name.split('/').pop(), Math.round(r.startTime), Math.round(r.responseEnd), r.encodedBodySize]));
console.log(t); if (k==2) console.table(res);
}
await browser.close();
