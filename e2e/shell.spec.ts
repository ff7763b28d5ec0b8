import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { test as base, expect, type BrowserContext, type Page } from '@playwright/test';
import { openTicket, take, worksIn, kept } from './bench';

/* The app kept in the browser: without its server, beside a new build, and where nothing could be kept. */

const ROOT = join(import.meta.dirname, '..');

/** A built app that can be started, stopped, and built anew, at one address. */
interface House {
  readonly url: string;
  start(): Promise<void>;
  stop(): Promise<void>;
  /** Another build in its place: everything has another name, and the Log another heading. */
  buildAnew(): void;
}

const test = base.extend<{ readonly house: House }>({
  serviceWorkers: 'allow',
  house: async ({}, use, { workerIndex, parallelIndex }) => {
    mkdirSync(join(ROOT, '.tmp'), { recursive: true });
    const folder = mkdtempSync(join(ROOT, '.tmp/house-'));
    for (const part of ['app/dist', 'server/dist']) cpSync(join(ROOT, part), join(folder, part), { recursive: true });
    const port = Number(process.env.LOOSE_PULLEY_TEST_PORT) + 2000 + (workerIndex % 50) * 2 + parallelIndex;
    const url = `http://127.0.0.1:${port}`;
    let server: ChildProcess | undefined;
    const house: House = {
      url,
      async start() {
        let said = '';
        const child = spawn(process.execPath, [join(folder, 'server/dist/main.js'), '--port', String(port)]);
        child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
        server = child;
        const answers = async (): Promise<boolean> => {
          // One that has ended will never answer: say what it said.
          if (child.exitCode !== null) throw new Error(`The server of this test ended: ${said}`);
          return fetch(`${url}/health`).then(
            ({ ok }) => ok,
            () => false,
          );
        };
        while (!(await answers())) await new Promise((then) => setTimeout(then, 50));
      },
      async stop() {
        if (server?.exitCode !== null || server.signalCode !== null) return;
        const ended = new Promise((done) => server?.once('exit', done));
        server.kill('SIGKILL');
        await ended;
      },
      buildAnew() {
        const dist = join(folder, 'app/dist');
        renameSync(join(dist, 'assets'), join(dist, 'assets2'));
        for (const name of readdirSync(dist, { recursive: true, encoding: 'utf8' })) {
          const file = join(dist, name);
          if (/\.(gz|br)$/.test(name)) rmSync(file);
          else if (/\.(js|html|css|json)$/.test(name)) {
            // What is named by address is kept by a revision of its own.
            const text = readFileSync(file, 'utf8')
              .replaceAll('assets/', 'assets2/')
              .replace(/(revision"?:")\w/g, '$1z');
            writeFileSync(file, text.replaceAll('Bring it in', 'Bring it in, as built anew'));
          }
        }
      },
    };
    await house.start();
    await use(house);
    await house.stop();
    rmSync(folder, { recursive: true, force: true });
  },
  baseURL: ({ house }, use) => use(house.url),
});

/** Waits until the browser keeps the whole app and this page is served by it. */
const appKept = (page: Page): Promise<void> =>
  page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    if (!navigator.serviceWorker.controller)
      await new Promise((done) => navigator.serviceWorker.addEventListener('controllerchange', done, { once: true }));
  });

const uncaught = (context: BrowserContext): string[] => {
  const errors: string[] = [];
  context.on('weberror', (error) => errors.push(error.error().message));
  return errors;
};

test('with its server gone every page opens, works, and is kept to the same policy', async ({
  page,
  house,
  context,
}) => {
  const errors = uncaught(context);
  await openTicket(page, 'Pennerley T9 booth deck');
  const ticket = new URL(page.url()).pathname.replace('/measure', '');
  await appKept(page);
  await house.stop();

  const answer = await page.goto(`${ticket}/measure`);
  expect(answer?.fromServiceWorker()).toBe(true);
  const policy = answer?.headers()['content-security-policy'] ?? '';
  expect(policy).toContain("script-src 'self';");
  expect(policy).not.toContain('unsafe');
  await take(page, 'Motor pulley', '6.0');
  await take(page, 'Driven pulley', '24.8');
  await take(page, 'Shafts', '38.2');
  await kept(page);
  for (const path of ['/', '/log', '/knowledge', '/why', ...PAGES.map((name) => `${ticket}/${name}`)]) {
    await page.goto(path);
    await expect(page.getByRole('main').getByRole('heading').first(), path).toBeVisible();
    await expect(page.getByText(/could not be fetched|has broken/), path).toHaveCount(0);
  }
  // The chance is worked out beside the page, by a part of its own.
  await page.goto(`${ticket}/size`);
  expect(await worksIn(page)).toBeGreaterThan(0);
  expect(errors).toEqual([]);
});

const PAGES = [
  ...['takeIn', 'find', 'strip', 'measure', 'size', 'clean', 'rebuild', 'prove', 'handBack'],
  ...['timeline', 'sheet', 'letter', 'labels', 'tag', 'strobe', 'template', 'slip'],
];

test('a new build waits until it is asked for, and never mixes with the old', async ({ page, house, context }) => {
  const errors = uncaught(context);
  await openTicket(page, 'Pennerley T9 booth deck');
  await appKept(page);
  const other = await context.newPage();
  await other.goto('/');
  await house.stop();
  house.buildAnew();
  await house.start();
  await page.evaluate(async () => (await navigator.serviceWorker.ready).update());

  const notice = page.getByRole('status', { name: 'New version' });
  await expect(notice).toContainText('A new version of Loose Pulley is ready');
  const names = () =>
    page.evaluate(() => performance.getEntriesByType('resource').map(({ name }) => new URL(name).pathname));
  const old = page.getByText('Bring it in', { exact: true });
  const anew = page.getByText('Bring it in, as built anew');
  // Links and loading again stay with the version that is open.
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  await expect(old).toBeVisible();
  await page.reload();
  await expect(old).toBeVisible();
  expect((await names()).filter((name) => name.includes('assets2'))).toEqual([]);

  await notice.getByRole('button', { name: 'Load it now' }).click();
  await expect(anew).toBeVisible();
  expect((await names()).filter((name) => name.startsWith('/assets/'))).toEqual([]);
  await expect(notice).toHaveCount(0);
  // The other tab is not taken along; it is told.
  await expect(other.getByRole('status', { name: 'New version' })).toContainText(
    'Another tab has loaded a new version',
  );
  await other.getByRole('button', { name: 'Load it now' }).click();
  await expect(other.getByRole('status', { name: 'New version' })).toHaveCount(0);
  await other.getByRole('link', { name: 'Log', exact: true }).click();
  await expect(other.getByText('Bring it in, as built anew')).toBeVisible();
  expect(errors).toEqual([]);
});

test('the browser would install it as an app', async ({ page, context }) => {
  await page.goto('/');
  await appKept(page);
  const session = await context.newCDPSession(page);
  const { errors } = await session.send('Page.getAppManifest');
  expect(errors).toEqual([]);
  const { installabilityErrors } = await session.send('Page.getInstallabilityErrors');
  expect(installabilityErrors.filter(({ errorId }) => errorId !== 'in-incognito')).toEqual([]);
});

test('the Bench stands as it was seen last before the app has run, and never once something has changed', async ({
  page,
}) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await kept(page);
  const front = () => page.evaluate(() => localStorage.getItem('loose-pulley front bench'));
  await page.goto('/');
  await expect.poll(front).toContain('Pennerley T9 booth deck');
  await appKept(page);

  // Without the app's own scripts what was seen last is there, its links with it.
  const script = /\/assets\/.*\.js/;
  await page.route(script, () => undefined);
  await page.context().route(script, () => undefined);
  await page.evaluate(async () => {
    for (const one of await navigator.serviceWorker.getRegistrations()) await one.unregister();
  });
  await page.goto('/', { waitUntil: 'commit' });
  const row = page.getByRole('link', { name: /0001 Pennerley T9 booth deck/ });
  await expect(row).toHaveAttribute('href', /^\/t\//);
  await page.unrouteAll();
  await page.context().unrouteAll();

  await page.goto('/');
  await page
    .getByRole('link', { name: /0001 Pennerley T9 booth deck/ })
    .first()
    .click();
  await page.getByRole('link', { name: /5 Measure/ }).click();
  await take(page, 'Motor pulley', '6.0');
  await kept(page);
  expect(await front()).toBeNull();
});

test.describe('where nothing could be kept', () => {
  test.use({ serviceWorkers: 'block' });

  test('a page that cannot be fetched leaves head, foot and export, and is tried again', async ({ page, house }) => {
    await openTicket(page, 'Pennerley T9 booth deck');
    await take(page, 'Motor pulley', '6.0');
    await kept(page);
    await house.stop();
    await page.getByRole('link', { name: /Rebuild/ }).click();
    const broken = page.getByRole('alert');
    await expect(broken).toContainText('This page could not be fetched');
    await expect(page.getByRole('navigation', { name: 'Stations' })).toBeVisible();
    await expect(page.getByRole('link', { name: 'Bench', exact: true })).toBeVisible();
    await expect(page.getByText('Saved on this computer')).toBeVisible();
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      broken.getByRole('button', { name: /^Export/ }).click(),
    ]);
    expect(file.suggestedFilename()).toBe('0001-pennerley-t9-booth-deck.json');
    expect(readFileSync(await file.path(), 'utf8')).toContain('"motorDiameter"');

    await house.start();
    await broken.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByRole('heading', { name: 'Rebuild' })).toBeVisible();
    await expect(broken).toHaveCount(0);
  });
});
