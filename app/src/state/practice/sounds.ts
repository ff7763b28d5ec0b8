/* What a machine is heard to do, made by the app. Its caption is what the hand says of it: nobody needs to hear it. */

interface Heard {
  readonly shape: OscillatorType;
  readonly hertz: readonly [from: number, to: number];
  readonly seconds: number;
  /** Sounded so often, one after the other. */
  readonly times: number;
  readonly volume: number;
}

const HEARD: Readonly<Record<string, Heard>> = {
  usual: { shape: 'triangle', hertz: [180, 150], seconds: 1.2, times: 1, volume: 0.08 },
  click: { shape: 'square', hertz: [1200, 300], seconds: 0.03, times: 4, volume: 0.12 },
  runsFree: { shape: 'triangle', hertz: [420, 440], seconds: 1.6, times: 1, volume: 0.08 },
  screech: { shape: 'sawtooth', hertz: [2300, 2700], seconds: 0.7, times: 1, volume: 0.03 },
  growl: { shape: 'sawtooth', hertz: [85, 70], seconds: 1.2, times: 1, volume: 0.1 },
};
const GAP_S = 0.15;
const MUTED = 'loose-pulley practice muted';

export function isMuted(): boolean {
  try {
    return localStorage.getItem(MUTED) !== null;
  } catch {
    return false;
  }
}
export function mute(muted: boolean): void {
  try {
    if (muted) localStorage.setItem(MUTED, '1');
    else localStorage.removeItem(MUTED);
  } catch {
    // A browser that lends no such store forgets it.
  }
}

let context: AudioContext | undefined;

/** Sounds what was heard; nothing where it is silent, muted, or the browser gives no sound. */
export function soundOf(what: string | undefined): void {
  const heard = HEARD[what ?? ''];
  if (!heard || isMuted()) return;
  try {
    context ??= new AudioContext();
    for (let i = 0; i < heard.times; i++) {
      const begin = context.currentTime + i * (heard.seconds + GAP_S);
      const tone = context.createOscillator();
      const volume = context.createGain();
      tone.type = heard.shape;
      tone.frequency.setValueAtTime(heard.hertz[0], begin);
      tone.frequency.linearRampToValueAtTime(heard.hertz[1], begin + heard.seconds);
      volume.gain.setValueAtTime(heard.volume, begin);
      volume.gain.exponentialRampToValueAtTime(0.001, begin + heard.seconds);
      tone.connect(volume).connect(context.destination);
      tone.start(begin);
      tone.stop(begin + heard.seconds);
    }
  } catch {
    // No audio here; the caption says the same.
  }
}
