/** Whose data the app works on: the bench's own, or the invented archive. */
export type Mode = 'bench' | 'demo';

/** How the server runs. */
export interface ServerSettings {
  readonly mode: Mode;
  readonly host: string;
  readonly port: number;
  /** Whether a taken port may be exchanged for the next free one: the demo's may, the bench's data hang on it. */
  readonly mayMove: boolean;
}

export const BENCH_PORT = 4680;
export const DEMO_PORT = 4690;
export const LOOPBACK = '127.0.0.1';

/**
 * Reads the command line: `--demo`, `--host NAME`, `--port N`.
 *
 * @throws RangeError naming the option and showing the value
 * @example readSettings(['--demo']) // { mode: 'demo', host: '127.0.0.1', port: 4690, mayMove: true }
 */
export function readSettings(args: readonly string[]): ServerSettings {
  const valueAfter = (option: string): string | undefined => {
    const index = args.indexOf(option);
    if (index < 0) return undefined;
    const value = args[index + 1];
    if (value === undefined || value.trim() === '' || value.startsWith('--'))
      throw new RangeError(`${option} needs a value after it.`);
    return value;
  };
  const known = new Set(['--demo', '--host', '--port']);
  const stray = args.find((arg, index) => !known.has(arg) && !['--host', '--port'].includes(args[index - 1] ?? ''));
  if (stray !== undefined) throw new RangeError(`“${stray}” is not known. Known: --demo, --host NAME, --port N.`);
  const mode: Mode = args.includes('--demo') ? 'demo' : 'bench';
  const portText = valueAfter('--port');
  const port = portText === undefined ? (mode === 'demo' ? DEMO_PORT : BENCH_PORT) : Number(portText);
  if ((portText !== undefined && !/^\d{1,5}$/.test(portText)) || port > 65_535) {
    throw new RangeError(`--port needs a whole number from 0 to 65535; read “${portText}”.`);
  }
  return { mode, host: valueAfter('--host') ?? LOOPBACK, port, mayMove: mode === 'demo' };
}
