import { useState } from 'react';
import { drivenSpeed, SPINDLE_TORQUE_NMM } from '@loose-pulley/core/speed';
import {
  judge,
  WEAKNESS_NAMES,
  ZONE_NAMES,
  type Candidate,
  type Limits,
  type Situation,
} from '@loose-pulley/core/sizing';
import { formatGramForce, formatLength, formatNewton, formatPercent, type LengthUnit } from '@loose-pulley/core/units';
import { Button } from '../ui/Button';

/** How far an ordinary tray comes out, and how fast its motor turns. From memory of the trade, no source; both can be dragged. */
const STROKE_MM = 140;
const MOTOR_RPM = 3000;

interface Dragged {
  readonly lengthMm: number;
  readonly thicknessMm: number;
  readonly hardness: number;
  readonly friction: number;
  readonly needN: number;
  readonly motorRpm: number;
}

/** One thing to drag, with its figure beside it. */
function Slider({
  label,
  said,
  value,
  least,
  most,
  step,
  onDrag,
}: {
  readonly label: string;
  readonly said: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly step: number;
  readonly onDrag: (value: number) => void;
}) {
  return (
    <label className="grid gap-1">
      <span className="flex justify-between gap-3">
        {label} <strong>{said}</strong>
      </span>
      <input
        type="range"
        className="min-h-11 w-full accent-live"
        value={value}
        min={least}
        max={most}
        step={step}
        aria-valuetext={said}
        onChange={(event) => onDrag(Number(event.target.value))}
      />
    </label>
  );
}

const figureOf = (name: string, value: string) => ({ name, value });

/** Length, section, hardness, friction and need to drag; what the drive makes of them answers while dragging. */
export function WhatIf({
  situation,
  picked,
  unit,
}: {
  readonly situation: Situation;
  readonly picked: Candidate;
  readonly unit: LengthUnit;
}) {
  const { catalogueBelt } = picked;
  const { limits } = situation;
  const start: Dragged = {
    lengthMm: catalogueBelt.innerLengthMm,
    thicknessMm: catalogueBelt.thicknessMm,
    hardness: limits.hardnessShoreA.best,
    friction: limits.friction[situation.motorSurface].best,
    needN: situation.trayPullN?.value ?? limits.trayPullN.best,
    motorRpm: situation.speed?.motorRpm ?? MOTOR_RPM,
  };
  const [changes, setChanges] = useState<Partial<Dragged>>({});
  const at: Dragged = { ...start, ...changes };
  const drag = (key: keyof Dragged) => (value: number) => setChanges((before) => ({ ...before, [key]: value }));
  const path = situation.path.value;
  const own: Limits = {
    ...limits,
    hardnessShoreA: { ...limits.hardnessShoreA, best: at.hardness },
    friction: {
      ...limits.friction,
      [situation.driveSurface]: { best: at.friction, std: 0.05 },
      [situation.motorSurface]: { best: at.friction, std: 0.05 },
    },
  };
  const belt = { shape: catalogueBelt.shape, thicknessMm: at.thicknessMm, innerLengthMm: at.lengthMm };
  const judgement = judge({ ...situation, limits: own, trayPullN: { value: at.needN, std: 0.05 * at.needN } }, belt);
  const running = judgement?.running;
  const speed =
    situation.drive &&
    drivenSpeed(situation.drive, belt, at.motorRpm, { hardnessShoreA: at.hardness, loadTorqueNmm: SPINDLE_TORQUE_NMM });
  const travelMm = situation.travelPerTurnMm?.value ?? limits.travelPerTurnMm.best;
  const figures = judgement
    ? [
        figureOf('Stretch', formatPercent(judgement.strain)),
        ...(running
          ? [
              figureOf('Pull of a strand, fresh', formatNewton(running.freshPullN)),
              figureOf('Belt lets go at', formatNewton(running.grip.beltPullN)),
              figureOf('Grip over need', `${running.gripRatio.toFixed(2)} times`),
              figureOf(
                'Load on the motor shaft',
                `${formatNewton(running.motorLoadN)} · ${formatGramForce(running.motorLoadN)}`,
              ),
              figureOf('Left of the motor, over need', `${running.motorLeftRatio.toFixed(2)} times`),
              figureOf('Smallest pulley', `${running.bendRatio.toFixed(1)} sections`),
              figureOf('Driven pulley', speed?.ok ? `${speed.value.rpm.toFixed(0)} rpm` : 'does not turn'),
              figureOf(
                `${STROKE_MM} mm of travel takes`,
                running.gripRatio < 1 || running.motorLeftRatio < 1
                  ? 'it does not open'
                  : `${(STROKE_MM / ((travelMm * at.motorRpm) / 60)).toFixed(1)} s`,
              ),
            ]
          : []),
      ]
    : [];
  return (
    <div className="grid gap-6 py-3 md:grid-cols-2">
      <div className="grid content-start gap-2">
        <Slider
          label="Inner length"
          said={`${formatLength(at.lengthMm, unit)} ${unit}`}
          value={at.lengthMm}
          least={Math.round(path * 0.7)}
          most={Math.round(path * 1.08)}
          step={0.5}
          onDrag={drag('lengthMm')}
        />
        <Slider
          label="Section"
          said={`${formatLength(at.thicknessMm, unit)} ${unit}`}
          value={at.thicknessMm}
          least={0.6}
          most={4}
          step={0.05}
          onDrag={drag('thicknessMm')}
        />
        <Slider
          label="Hardness"
          said={`${at.hardness} Shore A`}
          value={at.hardness}
          least={30}
          most={80}
          step={1}
          onDrag={drag('hardness')}
        />
        <Slider
          label="Friction"
          said={at.friction.toFixed(2)}
          value={at.friction}
          least={0.1}
          most={1.2}
          step={0.01}
          onDrag={drag('friction')}
        />
        <Slider
          label="Needed at the tray"
          said={formatNewton(at.needN)}
          value={at.needN}
          least={0.2}
          most={6}
          step={0.05}
          onDrag={drag('needN')}
        />
        <Slider
          label="The motor turns"
          said={`${at.motorRpm} rpm`}
          value={at.motorRpm}
          least={300}
          most={9000}
          step={50}
          onDrag={drag('motorRpm')}
        />
        <Button look="quiet" onClick={() => setChanges({})}>
          Back to this drive as it is
        </Button>
      </div>
      <div>
        {judgement ? (
          <>
            <p aria-live="polite" className="text-2xl font-bold first-letter:uppercase">
              {ZONE_NAMES[judgement.zone]}
            </p>
            <p className="text-soft">If it fails, by {WEAKNESS_NAMES[judgement.weakest]}.</p>
            <dl className="mt-2">
              {figures.map(({ name, value }) => (
                <div key={name} className="flex justify-between gap-3 border-t border-hair py-1.5">
                  <dt>{name}</dt>
                  <dd className="font-semibold">{value}</dd>
                </div>
              ))}
            </dl>
            {!running && <p>Measure both pulleys: with the path alone only the stretch answers.</p>}
          </>
        ) : (
          <p>No belt can lie so.</p>
        )}
      </div>
    </div>
  );
}
