import type { CycleResult } from '@loose-pulley/core/work/proving';

/** A tone for each verdict, so that counting can be done blind: higher is better, bad is low and long. */
const TONES: Readonly<Record<CycleResult, readonly [hertz: number, seconds: number]>> = {
  good: [880, 0.07],
  slow: [587, 0.1],
  helped: [330, 0.16],
  bad: [196, 0.28],
};

let context: AudioContext | undefined;

/** Sounds a verdict. Where the browser gives no sound, counting goes on silently. */
export function sound(result: CycleResult): void {
  try {
    context ??= new AudioContext();
    const [hertz, seconds] = TONES[result];
    const tone = context.createOscillator();
    const volume = context.createGain();
    tone.frequency.value = hertz;
    volume.gain.setValueAtTime(0.15, context.currentTime);
    volume.gain.exponentialRampToValueAtTime(0.001, context.currentTime + seconds);
    tone.connect(volume).connect(context.destination);
    tone.start();
    tone.stop(context.currentTime + seconds);
  } catch {
    // No audio here; the figures say the same.
  }
}
