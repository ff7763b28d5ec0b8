import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createApp } from './app';
import { listen, stop } from './listen';
import { LOOPBACK, readSettings } from './settings';

/** A host as it stands in an address: one of version 6 in brackets; every address by the loopback. */
function inAddress(host: string): string {
  if (host === '0.0.0.0' || host === '::') return LOOPBACK;
  return host.includes(':') ? `[${host}]` : host;
}

async function main(): Promise<void> {
  const here = dirname(fileURLToPath(import.meta.url));
  const settings = readSettings(process.argv.slice(2));
  const app = createApp({
    mode: settings.mode,
    host: settings.host,
    staticDir: join(here, '../../app/dist'),
    demoFile: join(here, 'wrackline.json'),
  });
  const { server, port } = await listen(app, settings);
  console.log(
    `Loose Pulley${settings.mode === 'demo' ? ', demo bench' : ''}: http://${inAddress(settings.host)}:${port}/`,
  );
  if (settings.host !== LOOPBACK) {
    console.log(
      'Over a network the browser gives less: two tabs cannot see each other, and camera and caliper ports stay shut.',
    );
  }
  console.log('Stop with Ctrl-C.');
  let stopping = false;
  const end = (): void => {
    if (stopping) return;
    stopping = true;
    void stop(server).then(() => process.exit(0));
  };
  process.on('SIGINT', end);
  process.on('SIGTERM', end);
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});
