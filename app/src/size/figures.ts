import { strokeTimeS, type Belt } from '@loose-pulley/core/drive';
import { formatNeed, judge, type Judgement, type Situation } from '@loose-pulley/core/sizing';
import { drivenSpeed, SPINDLE_TORQUE_NMM } from '@loose-pulley/core/speed';
import { formatGramForce, formatNewton, formatPercent } from '@loose-pulley/core/units';
import { capital } from '../ui/capital';
import { DRIVEN_WORDS } from '@loose-pulley/core/loaders';

/** How far an ordinary tray comes out, and how fast its motor turns. From memory of the trade, no source; both can be dragged. */
const STROKE_MM = 140;
export const MOTOR_RPM = 3000;

export interface Figure {
  readonly name: string;
  readonly value: string;
}

/** What a drive makes of a belt of any length, bought or not: its judgement, and every figure in words. */
export function figuresOf(
  situation: Situation,
  belt: Belt,
  motorRpm: number,
): { readonly judgement: Judgement | undefined; readonly figures: readonly Figure[] } {
  const { limits, driven = 'tray' } = situation;
  const judgement = judge(situation, belt);
  if (!judgement) return { judgement, figures: [] };
  const stretch = { name: 'Stretch', value: formatPercent(judgement.strain) };
  const { running } = judgement;
  if (!running) return { judgement, figures: [stretch] };
  const speed =
    situation.drive &&
    drivenSpeed(situation.drive, belt, motorRpm, {
      hardnessShoreA: limits.hardnessShoreA.best,
      loadTorqueNmm: SPINDLE_TORQUE_NMM,
    });
  const travelMm = situation.travelPerTurnMm?.value ?? limits.travelPerTurnMm.best;
  const opens = running.gripRatio >= 1 && running.motorLeftRatio >= 1;
  return {
    judgement,
    figures: [
      stretch,
      { name: 'Pull of a strand, fresh', value: formatNewton(running.freshPullN) },
      { name: 'Belt lets go at', value: formatNewton(running.grip.beltPullN) },
      { name: `${capital(DRIVEN_WORDS[driven])} held back with`, value: formatNeed(running.trayPullN, driven) },
      { name: 'Grip over need', value: `${running.gripRatio.toFixed(2)} times` },
      {
        name: 'Load on the motor shaft',
        value: `${formatNewton(running.motorLoadN)} · ${formatGramForce(running.motorLoadN)}`,
      },
      { name: 'Left of the motor, over need', value: `${running.motorLeftRatio.toFixed(2)} times` },
      { name: 'Smallest pulley', value: `${running.bendRatio.toFixed(1)} sections` },
      { name: 'Driven pulley', value: speed?.ok ? `${speed.value.rpm.toFixed(0)} rpm` : 'does not turn' },
      ...(driven === 'spindle'
        ? []
        : [
            {
              name: `${STROKE_MM} mm of travel takes`,
              value: opens ? `${strokeTimeS(STROKE_MM, travelMm, motorRpm).toFixed(1)} s` : 'it does not open',
            },
          ]),
    ],
  };
}
