import { spawn, type ChildProcess } from 'node:child_process';
import { createServer } from 'node:net';
import { fileURLToPath } from 'node:url';
import { expect, test } from '@playwright/test';

const script = fileURLToPath(new URL('../scripts/run.mjs', import.meta.url));
const started: ChildProcess[] = [];
test.afterEach(() => started.splice(0).forEach((child) => child.kill('SIGKILL')));

/** Runs a command of the project's and collects what it prints. */
function start(...args: string[]) {
  const child = spawn(process.execPath, [script, ...args]);
  started.push(child);
  const seen = { text: '' };
  child.stdout.on('data', (chunk: Buffer) => (seen.text += chunk.toString()));
  child.stderr.on('data', (chunk: Buffer) => (seen.text += chunk.toString()));
  const ended = new Promise<number | null>((done) => child.on('exit', done));
  return { child, seen, ended };
}

/** Takes a port and keeps it. */
const occupy = (port: number) =>
  new Promise<() => void>((done) => {
    const server = createServer().listen(port, '127.0.0.1', () => done(() => server.close()));
  });

test('the demo prints its address, moves on from a taken port, and stops cleanly on Ctrl-C', async () => {
  const free = await occupy(4801);
  const { child, seen, ended } = start('demo', '--port', '4801');
  await expect.poll(() => seen.text, { timeout: 20_000 }).toContain('demo bench: http://127.0.0.1:4802/');
  const health = await fetch('http://127.0.0.1:4802/health');
  expect(await health.json()).toEqual({ ok: true, mode: 'demo' });
  child.kill('SIGINT');
  expect(await ended).toBe(0);
  free();
});

test('the bench’s own data keep to one port: taken, it is refused in words', async () => {
  const free = await occupy(4811);
  const { seen, ended } = start('start', '--port', '4811');
  expect(await ended).toBe(1);
  expect(seen.text).toContain('Port 4811 is taken. Your tickets belong to this address');
  free();
});
