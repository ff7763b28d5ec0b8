import { mkdtempSync, mkdirSync, writeFileSync } from 'node:fs';
import { get } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { afterEach, describe, expect, test } from 'vitest';
import { createApp } from './app';
import { listen, stop } from './listen';
import { readSettings } from './settings';

const staticDir = mkdtempSync(join(tmpdir(), 'pulley-'));
mkdirSync(join(staticDir, 'assets'));
writeFileSync(
  join(staticDir, 'index.html'),
  '<head></head><meta name="mode" content="__MODE__"><meta name="nonce" content="__NONCE__">',
);
writeFileSync(join(staticDir, 'assets', 'a-1.js'), `// ${'x'.repeat(4000)}`);
const demoFile = join(staticDir, 'demo.json');
writeFileSync(demoFile, '{"tickets":[]}');
const make = (mode: 'bench' | 'demo' = 'bench') => createApp({ mode, host: '127.0.0.1', staticDir, demoFile });
const ask = (app = make()) => {
  const agent = request(app);
  return (path: string, host = '127.0.0.1:4680') => agent.get(path).set('Host', host);
};

describe('the pages', () => {
  test('carry a policy without unsafe parts and a nonce that is new each time', async () => {
    const [one, two] = [await ask()('/t/abc/measure'), await ask()('/')];
    const policy = String(one.headers['content-security-policy']);
    expect(policy).toContain("default-src 'self'");
    expect(policy).not.toContain('unsafe');
    const nonce = /content="([^"]+)">$/.exec(one.text)?.[1] ?? '?';
    expect(policy).toContain(`'nonce-${nonce}'`);
    expect(two.text).not.toContain(nonce);
    expect(one.text).toContain('content="bench"');
    expect(one.headers['cache-control']).toBe('no-store');
    expect(one.headers['x-powered-by']).toBeUndefined();
  });
  test('built files are compressed and immutable; a missing one is a plain 404, not a page', async () => {
    const file = await ask()('/assets/a-1.js').set('Accept-Encoding', 'gzip');
    expect(file.headers['cache-control']).toContain('immutable');
    expect(file.headers['content-encoding']).toBe('gzip');
    expect((await ask()('/assets/gone.js')).status).toBe(404);
    expect((await ask()('/gone.png')).status).toBe(404);
  });
  test('the page has one address: its file’s own name leads there', async () => {
    const response = await ask(make('demo'))('/index.html');
    expect([response.status, response.headers.location]).toEqual([308, '/']);
  });
  test('what keeps the app for later knows the mode, and is asked for anew each time', async () => {
    writeFileSync(join(staticDir, 'sw.js'), 'keep("/shell?mode=__MODE__")');
    for (const mode of ['bench', 'demo'] as const) {
      const worker = await ask(make(mode))('/sw.js');
      expect(worker.text).toBe(`keep("/shell?mode=${mode}")`);
      expect([worker.headers['cache-control'], worker.type]).toEqual(['no-cache', 'text/javascript']);
    }
    expect((await ask()('/shell?mode=bench')).text).toContain('content="bench"');
  });
  test('what a page needs is named in its head', async () => {
    mkdirSync(join(staticDir, '.vite'), { recursive: true });
    writeFileSync(
      join(staticDir, '.vite/manifest.json'),
      JSON.stringify({
        'index.html': { file: 'assets/index-1.js' },
        'src/stations/size/SizePage.tsx': { file: 'assets/size-1.js', imports: ['index.html', '_ruler.js'] },
        '_ruler.js': { file: 'assets/ruler-1.js' },
      }),
    );
    const { text } = await ask()('/t/abc/size');
    expect(text.match(/href="\/assets\/[^"]+"/g)).toEqual(['href="/assets/size-1.js"', 'href="/assets/ruler-1.js"']);
    expect((await ask()('/t/abc/nowhere')).text).not.toContain('modulepreload');
    // Its list is not for the browser.
    expect((await ask()('/.vite/manifest.json')).status).toBe(404);
  });
  test('health answers', async () => expect((await ask()('/health')).body).toEqual({ ok: true, mode: 'bench' }));
  test('the demo data are there in the demo only', async () => {
    expect((await ask(make('demo'))('/demo/wrackline.json')).body).toEqual({ tickets: [] });
    expect((await ask()('/demo/wrackline.json')).status).toBe(404);
  });
});

describe('the Host header', () => {
  test('of a stranger is refused', async () => expect((await ask()('/', 'evil.example')).status).toBe(421));
  test('on all addresses, those of this machine are answered and names are not', async () => {
    const open = createApp({ mode: 'bench', host: '0.0.0.0', staticDir, demoFile });
    expect((await ask(open)('/', '192.168.1.20:4680')).status).toBe(200);
    expect((await ask(open)('/', '[fe80::1]:4680')).status).toBe(200);
    expect((await ask(open)('/', 'evil.example')).status).toBe(421);
  });
  test('a loopback of the other kind is its own address', async () => {
    const six = createApp({ mode: 'bench', host: '::1', staticDir, demoFile });
    expect((await ask(six)('/', '[::1]:4680')).status).toBe(200);
  });
  test('localhost is sent to the one address', async () => {
    const response = await ask()('/t/1?drive=B', 'localhost:4680');
    expect(response.status).toBe(308);
    expect(response.headers.location).toBe('http://127.0.0.1:4680/t/1?drive=B');
  });
});

describe('settings', () => {
  test('have one fixed port for the bench, and one that may move for the demo', () => {
    expect(readSettings([])).toEqual({ mode: 'bench', host: '127.0.0.1', port: 4680, mayMove: false });
    expect(readSettings(['--demo'])).toMatchObject({ mode: 'demo', port: 4690, mayMove: true });
  });
  test.each([
    [['--port', 'x'], 'read “x”'],
    [['--port'], 'needs a value'],
    [['--port', ''], '--port needs a value'],
    [['--port', '0x50'], 'read “0x50”'],
    [['--port', '70000'], 'read “70000”'],
    [['--host', ' '], '--host needs a value'],
    [['--colour'], '“--colour” is not known'],
    [['demo'], '“demo” is not known'],
  ])('%j is refused in words', (args, words) => expect(() => readSettings(args)).toThrow(words));
});

describe('listening', () => {
  const servers: Array<Awaited<ReturnType<typeof listen>>> = [];
  const start = async (port: number, mayMove: boolean) => {
    const started = await listen(make(), { mode: 'bench', host: '127.0.0.1', port, mayMove });
    servers.push(started);
    return started.port;
  };
  afterEach(async () => {
    await Promise.all(servers.splice(0).map(({ server }) => stop(server)));
  });
  test('a taken port is refused for the bench and moved from for the demo', async () => {
    const taken = await start(0, false);
    await expect(start(taken, false)).rejects.toThrow(`Port ${taken} is taken`);
    expect(await start(taken, true)).toBeGreaterThan(taken);
  });
  test('stopping does not wait for a browser that keeps its line open', async () => {
    const { server, port } = await listen(make(), { mode: 'bench', host: '127.0.0.1', port: 0, mayMove: false });
    await new Promise((done) =>
      get({ port, host: '127.0.0.1', headers: { Connection: 'keep-alive' } }, (res) => res.resume().on('end', done)),
    );
    await stop(server);
    expect(server.listening).toBe(false);
  });
});

describe('the parts counter of the demo', () => {
  const belt = (innerLengthMm: number) => ({ shape: 'square', thicknessMm: 1.2, widthMm: null, innerLengthMm });
  const line = (innerLengthMm: number, quantity = 1) => ({ lineId: 'l1', belt: belt(innerLengthMm), quantity });
  const post = (path: string, body: object, app = make('demo')) =>
    request(app).post(`/counter/${path}`).set('Host', '127.0.0.1:4680').send(body);
  interface Offer {
    readonly state: string;
    readonly inStock: number;
    readonly substitute: { readonly belt: { readonly innerLengthMm: number } } | null;
  }
  const offer = async (mm: number, quantity = 1): Promise<Offer> =>
    ((await post('quote', { lines: [line(mm, quantity)] })).body as Offer[])[0] as Offer;
  test('says the same of the same belt; what is sold out or few has another offered, and is not sent by itself', async () => {
    expect(await offer(116)).toEqual(await offer(116));
    const states = new Map<string, number>();
    // Each size at a counter of its own: one alone is asked only so often.
    for (let mm = 60; mm < 120; mm += 1) states.set((await offer(mm, 200)).state, mm);
    expect(new Set(states.keys())).toEqual(new Set(['few', 'soldOut']));
    const gone = states.get('soldOut') ?? 0;
    expect((await offer(gone)).substitute?.belt.innerLengthMm).toBe(gone + 4);
    expect((await post('orders', { number: 'o1', lines: [line(gone)] })).status).toBe(409);
  });
  test('an order is on its way until its day, then here, in bags that may hold another belt', async () => {
    // A size of which there are enough.
    let mm = 60;
    while ((await offer(mm)).state !== 'has') mm += 1;
    const lines = [line(mm, 2)];
    const { reference } = (await post('orders', { number: 'o2', lines })).body as { readonly reference: string };
    expect((await post(`orders/${reference}`, { lines })).body).toMatchObject({ state: 'onItsWay' });
    const { bags } = (await post(`orders/${reference}?hurry=1`, { lines })).body as {
      readonly bags: ReadonlyArray<{ readonly count: number; readonly readsDoubledMm: number }>;
    };
    expect(bags[0]?.count).toBe(2);
    const lengthMm = 2 * (bags[0]?.readsDoubledMm ?? 0) - 4 * 1.2;
    expect([mm, mm - 4]).toContain(Math.round(lengthMm));
  });
  test('asked twice with one number it is one order; a reference it never gave is not known; asked too often it says so', async () => {
    const app = make('demo');
    let mm = 60;
    while ((await offer(mm)).state !== 'has') mm += 1;
    const order = async (number: unknown) => post('orders', { number, lines: [line(mm)] }, app);
    const first = (await order('o7')).body as { readonly reference: string };
    expect((await order('o7')).body).toEqual(first);
    // A list that has changed since is no other order: what was ordered is said.
    const more = { number: 'o7', lines: [line(mm, 5), { ...line(mm + 4), lineId: 'l2' }] };
    expect((await post('orders', more, app)).body).toMatchObject({ reference: first.reference, lines: [line(mm)] });
    expect((await order(undefined)).status).toBe(400);
    const forged = first.reference.replace(/..$/, (seal) => (seal === 'AA' ? 'BB' : 'AA'));
    expect((await post(`orders/${forged}`, { lines: [line(mm)] }, app)).status).toBe(404);
    const all = await Promise.all(Array.from({ length: 60 }, () => post('quote', { lines: [line(mm)] }, app)));
    expect(all.some(({ status }) => status === 429)).toBe(true);
  });
  test('what it cannot read, does not know, or is closed for is said; on a bench there is none', async () => {
    for (const body of [
      {},
      { lines: [] },
      { lines: [{ lineId: '../x', belt: belt(116), quantity: 1 }] },
      { lines: [line(116, -1)] },
      { lines: [line(116, 1.5)] },
      { lines: [line(116), line(118)] },
    ])
      expect((await post('quote', body)).status).toBe(400);
    expect((await post('orders/CB-NOTHING!', { lines: [line(116)] })).status).toBe(404);
    expect((await post('quote', { lines: [line(66.6)] })).status).toBe(503);
    expect((await post('quote', { lines: [line(116)] }, make('bench'))).status).toBe(404);
  });
});
