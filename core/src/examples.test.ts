import { readdirSync, readFileSync } from 'node:fs';
import { join, sep } from 'node:path';
import { expect, test } from 'vitest';

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
          return code && wanted ? [{ place: `${file}: ${code}`, file, code, wanted: wanted.replace(/;$/, '') }] : [];
        }),
    ),
  );

/** Names of things that are described in words: `drive`, `situation`. What is called, or written in capitals, is code. */
const STANDS_FOR = /(?<![.\w'])(?!true|false|null|undefined)[a-z]\w*(?!\w*\s*[(:])(?!\w)/;
const isCode = (code: string): boolean => !STANDS_FOR.test(code.replace(/'[^']*'/g, "''"));

/** The value of an expression; nothing where it is told in words and not in code. */
function valueOf(code: string, scope: Readonly<Record<string, unknown>>): { readonly value: unknown } | undefined {
  const names = Object.keys(scope);
  let made: (...args: unknown[]) => unknown;
  try {
    // Examples are run as they stand: that is what this test is for.
    // eslint-disable-next-line @typescript-eslint/no-implied-eval
    made = new Function(...names, `return (${code});`) as typeof made;
  } catch {
    return undefined;
  }
  try {
    return { value: made(...names.map((name) => scope[name])) };
  } catch (error) {
    // A name that stands for something described elsewhere; anything else is the example's own fault.
    if (error instanceof ReferenceError) return undefined;
    throw error;
  }
}

async function scopeOf(file: string): Promise<Record<string, unknown>> {
  const [wing = '', room = ''] = file.split(sep);
  const door = (await import(join(HERE, wing, room, 'index.ts'))) as object;
  const own = (await import(join(HERE, file))) as object;
  return { ...door, ...own };
}

const isOk = (one: unknown): one is { readonly ok: true; readonly value: unknown } =>
  typeof one === 'object' && one !== null && 'ok' in one && one.ok === true && 'value' in one;

/** As near as the figures that are written: 1.27 is anything that is written so. */
function alike(value: unknown, wanted: unknown, written: string): boolean {
  if (typeof wanted === 'number' && typeof value === 'number') {
    const places = /^-?\d+\.(\d+)$/.exec(written)?.[1]?.length ?? 0;
    return Math.abs(value - wanted) <= 0.5001 * 10 ** -places;
  }
  if (Array.isArray(wanted)) {
    return Array.isArray(value) && wanted.every((one, index) => alike(value[index], one, String(one)));
  }
  if (typeof wanted === 'object' && wanted !== null) {
    return Object.entries(wanted).every(([key, one]) =>
      alike((value as Record<string, unknown> | undefined)?.[key], one, String(one)),
    );
  }
  return value === wanted;
}

test('examples in doc comments that are code give what they say', async () => {
  let ran = 0;
  const stale: string[] = [];
  for (const { place, file, code, wanted } of examples) {
    const expected = valueOf(wanted, {});
    if (!expected || !isCode(code)) continue;
    const got = valueOf(code, await scopeOf(file));
    if (!got) continue;
    ran += 1;
    // A result is told by its value.
    const value = isOk(got.value) && !isOk(expected.value) ? got.value.value : got.value;
    if (!alike(value, expected.value, wanted.trim())) {
      stale.push(`${place} gives ${JSON.stringify(value)}, not ${wanted}`);
    }
  }
  expect(stale).toEqual([]);
  expect(ran).toBeGreaterThan(60);
});
