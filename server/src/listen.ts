import { createServer, type Server } from 'node:http';
import type { Express } from 'express';
import type { ServerSettings } from './settings';

const listenOn = (server: Server, port: number, host: string): Promise<void> =>
  new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, () => {
      server.off('error', reject);
      resolve();
    });
  });

const isTaken = (error: unknown): boolean => (error as { code?: string }).code === 'EADDRINUSE';

/**
 * Starts to listen. A taken port is moved from where the settings allow it, at most twenty ports on; otherwise it is
 * refused, since the browser keeps a bench's data by address.
 *
 * @returns the server and the port it got
 * @throws Error with a sentence for the bench
 */
export async function listen(app: Express, settings: ServerSettings): Promise<{ server: Server; port: number }> {
  const tries = settings.mayMove && settings.port !== 0 ? 20 : 1;
  for (let step = 0; step < tries; step++) {
    const server = createServer(app);
    try {
      await listenOn(server, settings.port + step, settings.host);
      const address = server.address();
      return { server, port: typeof address === 'object' && address ? address.port : settings.port };
    } catch (error) {
      if (!isTaken(error)) throw error;
    }
  }
  throw new Error(
    settings.mayMove
      ? `Ports ${settings.port} to ${settings.port + tries - 1} are all taken. Give one: npm run demo -- --port N`
      : `Port ${settings.port} is taken. Your tickets belong to this address, so it is not changed by itself. ` +
          'Is Loose Pulley running already? Stop what holds the port, or choose another with npm start -- --port N (that address keeps tickets of its own).',
  );
}

/** Stops taking calls, lets running ones end, and cuts what is left after a second. */
export function stop(server: Server): Promise<void> {
  return new Promise((resolve) => {
    const cut = setTimeout(() => server.closeAllConnections(), 1000);
    server.close(() => {
      clearTimeout(cut);
      resolve();
    });
    server.closeIdleConnections();
  });
}
