import { formatPercent } from '../units';
import type { Judgement, Weakness, Zone } from './judge';
import { DRIVEN_WORDS, type Driven } from '../loaders';

/** The zones in words, as the ruler names them. */
export const ZONE_NAMES: Readonly<Record<Zone, string>> = {
  tooTight: 'too tight',
  firm: 'firm',
  snug: 'snug',
  easy: 'easy',
  slips: 'slips',
};

/** What gives first, in words that finish “if it fails, it will be by …”. */
export const WEAKNESS_NAMES: Readonly<Record<Weakness, string>> = {
  grip: 'slipping',
  slack: 'hanging slack',
  stretch: 'too much stretch',
  motor: 'loading the motor',
  groove: 'not lying in the groove',
};

/**
 * How comfortable a margin is, in a word. The steps are one and two standard uncertainties; no odds are claimed.
 *
 * @example marginWord(2.3) // 'ample'
 */
export function marginWord(margin: number): 'ample' | 'fair' | 'thin' | 'none' {
  if (margin >= 2) return 'ample';
  if (margin >= 1) return 'fair';
  return margin >= 0 ? 'thin' : 'none';
}

/**
 * The reasons for or against a belt, most telling first, each a plain sentence.
 *
 * @param driven what the belt moves, by its name on the machine
 * @example reasons(judgement)[0] // 'Stretch 7.4 %, within the 15 to 20 % that such rubber is meant for.'
 */
export function reasons(judgement: Judgement, driven: Driven = 'tray'): string[] {
  const moved = DRIVEN_WORDS[driven];
  const { strain, running, zone, weakest, margin } = judgement;
  const said: string[] = [];
  if (strain <= 0) said.push(`It is ${formatPercent(-strain)} longer than its path and would hang.`);
  else said.push(`Stretch ${formatPercent(strain)}; such rubber is meant to work up to 15 or 20 %.`);
  if (running && strain > 0) {
    const times = running.gripRatio.toFixed(1);
    const weaker = running.grip.weaker === 'motor' ? 'motor' : 'drive';
    said.push(
      running.gripRatio < 1
        ? `Once relaxed it slips on the ${weaker} pulley at ${times} of the ${moved}’s need.`
        : `Once relaxed it still grips ${times} times the ${moved}’s need; the ${weaker} pulley would slip first.`,
    );
    said.push(
      running.motorLeftRatio < 1
        ? `Fresh, its load on the bushes leaves the motor less than the ${moved} needs.`
        : `Fresh, it leaves the motor ${running.motorLeftRatio.toFixed(1)} times the need.`,
    );
    if (running.bendRatio < 6) {
      said.push(
        `It bends round ${running.bendRatio.toFixed(1)} sections; about 6 is kinder. It will age faster, no more.`,
      );
    }
  } else if (!running) {
    said.push('With the path alone the stretch is known, not the grip: measure both pulleys for that.');
  }
  const gives = WEAKNESS_NAMES[weakest];
  if (zone === 'tooTight' || zone === 'slips') said.push(`It would fail by ${gives}.`);
  else said.push(`Its margin is ${marginWord(margin)}; if it fails, it will be by ${gives}.`);
  return said;
}

/** An office band, the stretchiest thing that goes on a pulley, gives about four times its length; nothing gives more. */
const MAX_STRETCH_RATIO = 4;

/**
 * Says why a belt cannot go on at all, where it cannot: shorter than rubber can be stretched.
 *
 * @returns a sentence, or undefined where it can be put on, well or badly
 * @example cannotGoOn(judge(situation, { shape: 'square', thicknessMm: 1.2, innerLengthMm: 20 })) // 'It would have to …'
 */
export function cannotGoOn(judgement: Judgement): string | undefined {
  const times = 1 + judgement.strain;
  if (times <= MAX_STRETCH_RATIO) return undefined;
  return `It would have to stretch to ${times.toFixed(1)} times its length; even an office band gives up at about ${MAX_STRETCH_RATIO}. Check the size and its unit.`;
}
