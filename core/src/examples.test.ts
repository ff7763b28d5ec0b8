import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from 'vitest';
import { doors, FIXTURES } from '../fixtures/inExamples';

/* Examples in doc comments and docs are run: one that has gone stale fails here. */

const HERE = import.meta.dirname;

interface Example {
  readonly place: string;
  readonly file: string;
  readonly code: string;
  readonly wanted: string;
}

/** One line of code, two slashes, and what it comes to; several on a line are parted by semicolons. */
const examples: readonly Example[] = readdirSync(HERE, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
  .flatMap((file) =>
    [...readFileSync(join(HERE, file), 'utf8').matchAll(/@example (.+)/g)].flatMap(([, line = '']) =>
      line
        .replace(/\s*\*\/\s*$/, '')
        .split(/;\s+(?=[a-zA-Z]+\()/)
        .flatMap((one) => {
          const [code, wanted] = one.split(' // ');
          if (!code) return [];
          return [{ place: `${file}: ${code}`, file, code, wanted: (wanted ?? 'undefined').replace(/;$/, '') }];
        }),
    ),
  );

/** What code gives with everything in scope that core hands out, what its file has of its own, and the booth deck. */
async function valueOf(code: string, file: string): Promise<unknown> {
  const own = (await import(join(HERE, file))) as object;
  const scope: Readonly<Record<string, unknown>> = { ...(await doors()), ...FIXTURES, ...own };
  const names = Object.keys(scope).filter((name) => name !== 'default');
  // Examples are run as they stand: that is what this test is for.
  // eslint-disable-next-line @typescript-eslint/no-implied-eval
  const run = new Function(...names, `return (${code});`) as (...args: unknown[]) => unknown;
  return run(...names.map((name) => scope[name]));
}

const isOk = (one: unknown): one is { readonly ok: true; readonly value: unknown } =>
  typeof one === 'object' && one !== null && 'ok' in one && one.ok === true && 'value' in one;

/** As near as the figures that are written: 1.27 is anything that is written so, 3.14… anything that begins so. */
function alike(value: unknown, wanted: unknown, written: string): boolean {
  if (typeof wanted === 'number' && typeof value === 'number') {
    const places = /^-?\d+\.(\d+)$/.exec(written)?.[1]?.length ?? 0;
    return Math.abs(value - wanted) <= 0.5001 * 10 ** -places;
  }
  if (Array.isArray(wanted))
    return Array.isArray(value) && wanted.every((one, index) => alike(value[index], one, String(one)));
  if (typeof wanted === 'object' && wanted !== null)
    return Object.entries(wanted).every(([key, one]) =>
      alike((value as Record<string, unknown> | undefined)?.[key], one, String(one)),
    );
  // A dot dot dot stands for the rest.
  if (typeof wanted === 'string' && wanted.includes('…') && typeof value === 'string')
    return value === wanted || wanted.split('…').every((part) => value.includes(part));
  return value === wanted;
}

/** What is wrong with an example; nothing where it holds. “refuses: …” is a refusal, by how its sentence begins. */
async function wrongWith({ place, file, code, wanted }: Example): Promise<string | undefined> {
  const refusal = /^refuses: (.*)$/.exec(wanted)?.[1];
  try {
    const got = await valueOf(code, file);
    if (refusal !== undefined) {
      const { ok, problem } = got as { readonly ok: boolean; readonly problem?: string };
      return !ok && problem?.startsWith(refusal.replace(/…$/, ''))
        ? undefined
        : `${place} does not refuse so: ${problem}`;
    }
    const begins = /^(-?\d+\.\d+)…$/.exec(wanted)?.[1];
    if (begins !== undefined) return String(got).startsWith(begins) ? undefined : `${place} gives ${String(got)}`;
    const expected = await valueOf(wanted, file);
    // A result is told by its value.
    const value = isOk(got) && !isOk(expected) ? got.value : got;
    return alike(value, expected, wanted.trim()) ? undefined : `${place} gives ${JSON.stringify(value)}, not ${wanted}`;
  } catch (error) {
    return `${place} // ${wanted}: ${String(error)}`;
  }
}

test('every example in a doc comment is code, and gives what it says', async () => {
  const wrong = await Promise.all(examples.map(wrongWith));
  expect(wrong.filter((one) => one !== undefined)).toEqual([]);
  expect(examples.length).toBeGreaterThan(250);
});
