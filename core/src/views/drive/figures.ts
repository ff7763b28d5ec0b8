import { DRIVEN } from '../../base/loaders';
import { strokeTimeS, type Belt } from '../../physics/drive';

import { hardnessOf, judge, torqueWords, type Judgement, type Situation } from '../../belts/sizing';
import { drivenSpeed } from '../../physics/speed';
import { formatGramForce, formatNewton, formatPercent } from '../../base/units';

/** How far an ordinary tray comes out, and how fast its motor turns. From memory of the trade, no source; both can be dragged. */
const STROKE_MM = 140;
export const USUAL_MOTOR_RPM = 3000;

export interface Figure {
  readonly name: string;
  readonly value: string;
}

const capital = (word: string): string => `${word.slice(0, 1).toUpperCase()}${word.slice(1)}`;

/**
 * What a drive makes of a belt of any length, sold or not: its judgement, and every figure in words.
 *
 * @example figuresOf(situation, belt, 3000).figures[0] // { name: 'Stretch', value: '9.1 %' }
 */
export function figuresOf(
  situation: Situation,
  belt: Belt,
  motorRpm?: number,
): { readonly judgement: Judgement | undefined; readonly figures: readonly Figure[] } {
  const { priors, driven } = situation;
  const judgement = judge(situation, belt);
  if (!judgement) return { judgement, figures: [] };
  const stretch = { name: 'Stretch', value: formatPercent(judgement.strain) };
  const { running } = judgement;
  if (!running) return { judgement, figures: [stretch] };
  const { gearing } = running;
  const speed =
    motorRpm !== undefined &&
    situation.drive &&
    drivenSpeed(situation.drive, belt, motorRpm, {
      hardnessShoreA: hardnessOf(belt.shape, priors).best,
      // The need is told at the motor; the driven shaft takes it by the ratio of the radii.
      loadTorqueNmm: (running.needNmm * running.drivenRadiusMm) / running.motorRadiusMm,
    });
  const moves = running.fails === 0 || (running.gripRatio >= 1 && running.motorLeftRatio >= 1);
  return {
    judgement,
    figures: [
      stretch,
      { name: 'Pull of a strand, fresh', value: formatNewton(running.freshPullN) },
      { name: 'Belt slips at', value: formatNewton(running.grip.beltPullN) },
      {
        name: `${capital(DRIVEN[driven].word)} held back with`,
        value: torqueWords(running.grip.slipTorqueNmm, gearing),
      },
      { name: 'Grip over need', value: `${running.gripRatio.toFixed(2)} times` },
      {
        name: 'Load on the motor shaft',
        value: `${formatNewton(running.motorLoadN)} · ${formatGramForce(running.motorLoadN)}`,
      },
      { name: 'Motor torque left, over need', value: `${running.motorLeftRatio.toFixed(2)} times` },
      { name: 'Smallest pulley', value: `${running.bendRatio.toFixed(1)} sections` },
      // Revolutions are told only of a motor whose own are known.
      ...(speed
        ? [{ name: 'Driven pulley', value: speed.ok ? `${speed.value.rpm.toFixed(0)} rpm` : 'does not turn' }]
        : []),
      ...(gearing && motorRpm !== undefined
        ? [
            {
              name: `${STROKE_MM} mm of travel takes`,
              value: moves
                ? `${strokeTimeS(STROKE_MM, gearing.travelPerTurnMm, motorRpm).toFixed(1)} s`
                : 'it does not open',
            },
          ]
        : []),
    ],
  };
}
