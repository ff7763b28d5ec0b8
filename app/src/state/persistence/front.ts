import { bench } from '../boot';

/*
 * The first screen of the Bench as it was seen last, shown by `public/front.js` until the app has looked for itself. It
 * is dropped with the first change of any ticket or setting, so that it never says what is no longer true.
 */
const KEY = `loose-pulley front ${bench}`;
/** Rows of a list that a first screen can show. */
const ROWS = 12;
const MAX_LETTERS = 200_000;

/** Whether the page shows it, and the app has yet to take over. */
export const showsFront = (): boolean => document.getElementById('root')?.hasChildNodes() ?? false;

export function forgetFront(): void {
  try {
    localStorage.removeItem(KEY);
  } catch {
    // A browser that lends no such store keeps none.
  }
}

/** Keeps what the Bench shows now. What only the app can answer is left out of reach in it. */
export function keepFront(): void {
  const root = document.getElementById('root')?.cloneNode(true) as HTMLElement | undefined;
  const build = document.querySelector<HTMLScriptElement>('script[type=module]')?.src;
  if (!root || !build) return;
  // A clock that stands still would be read as one that runs.
  root.querySelectorAll('[aria-label="Timers"]').forEach((one) => one.remove());
  root.querySelectorAll('[data-ticking]').forEach((one) => one.replaceChildren());
  root.querySelectorAll(`main ul > li:nth-child(n + ${ROWS + 1})`).forEach((row) => row.remove());
  root
    .querySelectorAll('button, input:not([data-first]), select, textarea')
    .forEach((one) => one.setAttribute('inert', ''));
  // What is typed there before the app runs, the app takes; what stood there is not kept.
  root.querySelector('[data-first]')?.removeAttribute('value');
  root.querySelectorAll('[style]').forEach((one) => one.removeAttribute('style'));
  const html = root.innerHTML;
  if (html.length > MAX_LETTERS) return;
  const { theme } = document.documentElement.dataset;
  try {
    localStorage.setItem(KEY, JSON.stringify({ build, day: new Date().toDateString(), theme, html }));
  } catch {
    // Full, or not lent: nothing is lost.
  }
}
