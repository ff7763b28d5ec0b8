import { spawn, type ChildProcess } from 'node:child_process';
import { createServer, type AddressInfo } from 'node:net';
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

/** Takes whatever port is free, and keeps it. */
const occupy = () =>
  new Promise<{ readonly port: number; readonly free: () => void }>((done) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      done({ port, free: () => void server.close() });
    });
  });

test('the demo prints its address, moves on from a taken port, and stops cleanly on Ctrl-C', async () => {
  const { port, free } = await occupy();
  const { child, seen, ended } = start('demo', '--port', String(port));
  const address = () => /demo bench: http:\/\/127\.0\.0\.1:(\d+)\//.exec(seen.text)?.[1];
  await expect.poll(address).toBeDefined();
  expect(Number(address())).toBeGreaterThan(port);
  const health = await fetch(`http://127.0.0.1:${address()}/health`);
  expect(await health.json()).toEqual({ ok: true, mode: 'demo' });
  child.kill('SIGINT');
  expect(await ended).toBe(0);
  free();
});

test('the bench’s own data keep to one port: taken, it is refused in words', async () => {
  const { port, free } = await occupy();
  const { seen, ended } = start('start', '--port', String(port));
  expect(await ended).toBe(1);
  expect(seen.text).toContain(`Port ${port} is taken. Your tickets belong to this address`);
  free();
});
