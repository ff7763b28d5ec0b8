import type { PulsesRead, PulseOptions } from '@loose-pulley/core/physics/speed';
import { withWorker } from './call';
import type { PulsesApi } from './pulses.worker';

/** Reads a pulse file beside the page: one of 200,000 lines takes a while. */
export const readPulsesBeside = (text: string, options: PulseOptions): Promise<PulsesRead> =>
  withWorker<PulsesApi, PulsesRead>(
    () => new Worker(new URL('./pulses.worker.ts', import.meta.url), { type: 'module' }),
    async (api) => api.readPulses(text, options),
  );
