import { root } from './setup.mjs';

/**
 * Core as the scripts use it: its TypeScript, loaded by Vite as it stands, without the screen.
 *
 * @returns how to load a room or a file, and how to end it
 */
export async function openCore() {
  const vite = await import('vite');
  const dev = await vite.createServer({
    configFile: false,
    root,
    logLevel: 'silent',
    server: { middlewareMode: true, hmr: false, ws: false },
    appType: 'custom',
    optimizeDeps: { noDiscovery: true },
  });
  return {
    room: (name) => dev.ssrLoadModule(`/core/src/${name}/index.ts`),
    file: (path) => dev.ssrLoadModule(path),
    close: () => dev.close(),
  };
}
