import { DRIVEN } from '../../base/loaders';
import type { Failure, Requirements } from '../../physics/evaluation';

import { formatPercent } from '../../base/units';
import type { Judgement, Zone } from './judge';
import type { Situation } from './situation';

/** The zones in words, as the ruler names them. */
export const ZONE_NAMES: Readonly<Record<Zone, string>> = {
  tooTight: 'too tight',
  firm: 'firm',
  snug: 'snug',
  easy: 'easy',
  slips: 'slips',
};

/** What fails first, in words that finish “most likely by …”. */
export const FAILURE_NAMES: Readonly<Record<Failure, string>> = {
  grip: 'slipping',
  slack: 'hanging slack',
  stretch: 'too much stretch',
  motor: 'overloading the motor',
  groove: 'not lying in the groove',
  speed: 'turning at the wrong speed',
};

/**
 * How comfortable a margin is, in a word. The steps are one and two standard uncertainties; no probability is claimed.
 *
 * @example marginWord(2.3) // 'ample'
 */
export function marginWord(margin: number): 'ample' | 'fair' | 'thin' | 'none' {
  if (margin >= 2) return 'ample';
  if (margin >= 1) return 'fair';
  return margin >= 0 ? 'thin' : 'none';
}

/** What the material is meant for, as the bench's own requirements say. @example stretchWords(DEFAULT_REQUIREMENTS) // '15.0 % to 20.0 %' */
export const stretchWords = ({ strainComfortable, strainMax }: Requirements): string =>
  strainComfortable === strainMax
    ? formatPercent(strainMax)
    : `${formatPercent(strainComfortable)} to ${formatPercent(strainMax)}`;

/**
 * The reasons for or against a belt, most telling first, each a plain sentence. What would fail first is said with the
 * chance, which knows how everything spreads; these are the figures at the best estimate.
 *
 * @example reasons(judge(situation, belt), situation)[0] // 'Stretch 9.1 %; such rubber is meant to work up to 15.0 % to 20.0 %.'
 */
export function reasons(judgement: Judgement, situation: Pick<Situation, 'driven' | 'demands'>): string[] {
  const moved = DRIVEN[situation.driven].word;
  const { requirements } = situation.demands;
  const { strain, running } = judgement;
  const said: string[] = [];
  if (strain <= 0) said.push(`It is ${formatPercent(-strain)} longer than its path and would hang.`);
  else said.push(`Stretch ${formatPercent(strain)}; such rubber is meant to work up to ${stretchWords(requirements)}.`);
  if (running && strain > 0) {
    const times = running.gripRatio.toFixed(2);
    said.push(
      running.gripRatio < requirements.gripMin
        ? `Once relaxed it slips on the ${running.grip.weaker}: it grips ${times} times the ${moved}’s need, and ${requirements.gripMin} is asked for.`
        : `Once relaxed it still grips ${times} times the ${moved}’s need; the ${running.grip.weaker} would slip first.`,
    );
    const left = running.motorLeftRatio.toFixed(2);
    said.push(
      running.motorLeftRatio < requirements.motorMin
        ? `Fresh, its load on the bushes leaves the motor ${left} times the ${moved}’s need; ${requirements.motorMin} is asked for.`
        : `Fresh, it leaves the motor ${left} times the need.`,
    );
    if (running.bendRatio < requirements.bendMin) {
      said.push(
        `It bends round ${running.bendRatio.toFixed(1)} sections; ${requirements.bendMin} or more is kinder. It will age faster, no more.`,
      );
    }
  } else if (!running) {
    said.push('The path alone gives only the stretch, and the grip for usual pulleys: measure both pulleys.');
  }
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
