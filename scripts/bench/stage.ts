import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { Browser, Page } from '@playwright/test';
import { launch, serve } from '../stage.mjs';
import { root } from '../setup.mjs';
import { median } from './report';

declare global {
  interface Window {
    /** Ends once what was just changed is on the screen. */
    painted(): Promise<void>;
    repaints: number[];
    tasks: number[];
    seconds?: number;
  }
}

/** The app on the demo and on an empty bench, a bare page to hold them against, and a browser. */
export interface Stage {
  readonly page: Page;
  readonly browser: Browser;
  /** Where files are made. */
  readonly work: string;
  readonly bareUrl: string;
  readonly demoUrl: string;
  readonly benchUrl: string;
  /** Time from navigation to an element that can be used, as the page's own clock has it. */
  readonly usable: (url: string, selector: string) => Promise<number>;
  /**
   * Pages opened in turn with the bare one, so that a machine that slows down slows both.
   *
   * @returns the time of the bare page, then of each, and how much longer each took
   */
  readonly besideBare: (
    pages: ReadonlyArray<readonly [url: string, selector: string]>,
    times?: number,
  ) => Promise<{
    readonly bareMs: number;
    readonly opened: ReadonlyArray<{ readonly openMs: number; readonly by: string }>;
  }>;
  close(): Promise<void>;
}

/** A field that a reading can be typed into. */
export const FIELD = 'aside[aria-label="Readings"] input:not(:disabled)';

export async function openStage(): Promise<Stage> {
  const work = join(root, '.tmp/bench');
  rmSync(work, { recursive: true, force: true });
  mkdirSync(work, { recursive: true });
  const [vite, { default: express }, { default: compression }] = await Promise.all([
    import('vite'),
    import('express'),
    import('compression'),
  ]);
  await vite.build({
    root: join(root, 'scripts/bare'),
    logLevel: 'silent',
    build: { outDir: join(work, 'bare'), emptyOutDir: true },
  });
  const bare = express()
    .use(compression())
    .use(express.static(join(work, 'bare')))
    .listen(4822, '127.0.0.1');
  const [demo, empty] = [await serve(4820, '--demo'), await serve(4821)];
  const browser: Browser = await launch();
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  await context.addInitScript(() => {
    window.painted = () =>
      new Promise((painted) => {
        requestAnimationFrame(() => {
          const channel = new MessageChannel();
          channel.port1.onmessage = () => painted();
          channel.port2.postMessage(0);
        });
      });
  });
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Network.enable');
  await session.send('Network.setCacheDisabled', { cacheDisabled: true });
  const bareUrl = 'http://127.0.0.1:4822/';
  async function usable(url: string, selector: string): Promise<number> {
    await page.goto('about:blank');
    await page.goto(url, { waitUntil: 'commit' });
    return page.evaluate(
      (query) =>
        new Promise<number>((done) => {
          const look = () =>
            document.querySelector(query)
              ? requestAnimationFrame(() => done(performance.now()))
              : requestAnimationFrame(look);
          look();
        }),
      selector,
    );
  }
  return {
    page,
    browser,
    work,
    bareUrl,
    demoUrl: demo.url,
    benchUrl: empty.url,
    usable,
    async besideBare(pages, times = 11) {
      const taken: number[][] = [[], ...pages.map(() => [])];
      for (let turn = 0; turn < times; turn++) {
        taken[0]?.push(await usable(bareUrl, '#usable'));
        for (const [index, [url, selector]] of pages.entries()) taken[index + 1]?.push(await usable(url, selector));
      }
      const [bareMs = NaN, ...rest] = taken.map(median);
      return {
        bareMs,
        opened: rest.map((openMs) => ({ openMs, by: `${(openMs / bareMs).toFixed(1)} × the bare page` })),
      };
    },
    async close() {
      await browser.close();
      bare.close();
      for (const { stop } of [demo, empty]) stop();
    },
  };
}

/** Notes, for each key-press from now on, how long the next painted frame took. */
export const watchRepaints = (page: Page): Promise<void> =>
  page.evaluate(() => {
    window.repaints = [];
    addEventListener(
      'keydown',
      () => {
        const start = performance.now();
        void window.painted().then(() => window.repaints.push(performance.now() - start));
      },
      true,
    );
  });
