import { launch } from './stage.mjs';
const url = 'http://127.0.0.1:4890';
const b = await launch();
const p = await b.newPage({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce', locale: 'en-GB' });
p.on('pageerror', e => console.log('PAGEERROR', e.message));
p.on('console', m => m.type()==='error' && console.log('CONSOLE', m.text()));
await p.goto(url);
await p.getByRole('button', { name: /^Open a ticket/ }).click();
await p.getByLabel('Machine').fill('Oberquist C5 carousel');
await p.getByRole('button', { name: 'Open the ticket' }).click();
await p.getByRole('navigation', { name: 'Stations' }).waitFor();
const tid = p.url().match(/t\/([^/]+)/)[1];
await p.keyboard.press('Alt+4'); await p.waitForTimeout(500);
const f = p.getByRole('textbox', { name: /^What was found or done/ });
const echo = async (l) => { await f.fill(l); await p.waitForTimeout(150); const t = await p.getByRole('region', { name: 'What was done' }).innerText(); console.log('>', l, '\n   ', t.replace(/\n+/g, ' / ').slice(0, 420)); };
for (const l of ['belts oily', 'drive pulley acetne swab clean']) { await echo(l); await f.press('Enter'); await p.waitForTimeout(300); }
await p.screenshot({ path: '/tmp/look/c1.png' });
for (const l of ['1']) { await p.keyboard.press('1'); await p.waitForTimeout(300); }
await p.screenshot({ path: '/tmp/look/c2.png' });
console.log((await p.getByRole('region', { name: 'What was done' }).innerText()).replace(/\n+/g,' / ').slice(0,600));
await p.setViewportSize({ width: 390, height: 844 }); await p.waitForTimeout(300);
await p.screenshot({ path: '/tmp/look/c3.png' });
await p.setViewportSize({ width: 1280, height: 800 });
console.log(tid);
await b.close();
