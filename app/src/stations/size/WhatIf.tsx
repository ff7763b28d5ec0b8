import { isTurned, DRIVEN } from '@loose-pulley/core/base/loaders';
import { useState } from 'react';
import {
  FAILURE_NAMES,
  hardnessOf,
  withHardness,
  pullPrior,
  torqueWords,
  ZONE_NAMES,
  type Candidate,
  type Priors,
  type Situation,
} from '@loose-pulley/core/belts/sizing';
import { formatLength, formatNewton, type LengthUnit } from '@loose-pulley/core/base/units';
import { Button } from '../../parts/ui/Button';
import { figuresOf, USUAL_MOTOR_RPM } from '@loose-pulley/core/views/drive';
import { Slider } from '../../parts/ui/Slider';

interface Dragged {
  readonly lengthMm: number;
  readonly thicknessMm: number;
  readonly hardness: number;
  readonly friction: number;
  /** N at a tray, N·mm at the motor of a spindle. */
  readonly need: number;
  readonly motorRpm: number;
}

/** One thing to drag, with its figure beside it. */
function DraggedLine({
  label,
  said,
  value,
  min,
  max,
  step,
  onDrag,
}: {
  readonly label: string;
  readonly said: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly onDrag: (value: number) => void;
}) {
  return (
    <div className="grid gap-1">
      <span className="flex justify-between gap-3">
        {label} <strong>{said}</strong>
      </span>
      <Slider label={label} value={value} min={min} max={max} step={step} valueText={said} onValue={onDrag} />
    </div>
  );
}

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
  const { priors, driven } = situation;
  const start: Dragged = {
    lengthMm: catalogueBelt.innerLengthMm,
    thicknessMm: catalogueBelt.thicknessMm,
    hardness: hardnessOf(catalogueBelt.shape, priors).best,
    friction: priors.friction[situation.motorSurface].best,
    need: isTurned(driven)
      ? priors.spindleTorqueNmm.best
      : (situation.trayPullN?.value ?? pullPrior(driven, priors).best),
    motorRpm: situation.demands.speed?.motorRpm ?? USUAL_MOTOR_RPM,
  };
  const [changes, setChanges] = useState<Partial<Dragged>>({});
  const at: Dragged = { ...start, ...changes };
  const drag = (key: keyof Dragged) => (value: number) => setChanges((before) => ({ ...before, [key]: value }));
  const path = situation.path.value;
  const own: Priors = {
    ...withHardness(priors, at.hardness),
    ...(isTurned(driven) && { spindleTorqueNmm: { ...priors.spindleTorqueNmm, best: at.need } }),
    friction: {
      ...priors.friction,
      [situation.drivenSurface]: { best: at.friction, std: 0.05 },
      [situation.motorSurface]: { best: at.friction, std: 0.05 },
    },
  };
  const { shape, widthMm } = catalogueBelt;
  const belt = {
    shape,
    ...(widthMm !== undefined && { widthMm }),
    thicknessMm: at.thicknessMm,
    innerLengthMm: at.lengthMm,
  };
  const { judgement, figures } = figuresOf(
    {
      ...situation,
      priors: own,
      ...(!isTurned(driven) && { trayPullN: { value: at.need, std: 0.05 * at.need } }),
    },
    belt,
    at.motorRpm,
  );
  const length = (mm: number): string => `${formatLength(mm, unit)} ${unit}`;
  const slider = (
    key: keyof Dragged,
    label: string,
    said: string,
    [min, max, step]: readonly [number, number, number],
  ) => ({
    key,
    label,
    said,
    min,
    max,
    step,
  });
  const sliders = [
    slider('lengthMm', 'Inner length', length(at.lengthMm), [Math.round(path * 0.7), Math.round(path * 1.08), 0.5]),
    slider('thicknessMm', 'Section', length(at.thicknessMm), [0.6, 4, 0.05]),
    slider('hardness', 'Hardness', `${at.hardness} Shore A`, [30, 80, 1]),
    slider('friction', 'Friction', at.friction.toFixed(2), [0.1, 1.2, 0.01]),
    slider(
      'need',
      `Needed at the ${DRIVEN[driven].word}`,
      isTurned(driven) ? torqueWords(at.need, undefined) : formatNewton(at.need),
      [0.1, 6, 0.05],
    ),
    slider('motorRpm', 'The motor turns', `${at.motorRpm} rpm`, [300, 9000, 50]),
  ];
  return (
    <div className="grid gap-6 py-3 md:grid-cols-2">
      <div className="grid content-start gap-2">
        {sliders.map(({ key, ...slider }) => (
          <DraggedLine key={key} {...slider} value={at[key]} onDrag={drag(key)} />
        ))}
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
            <p className="text-soft">If it fails, by {FAILURE_NAMES[judgement.weakest]}.</p>
            <dl className="mt-2">
              {figures.map(({ name, value }) => (
                <div key={name} className="flex justify-between gap-3 border-t border-hair py-1.5">
                  <dt>{name}</dt>
                  <dd className="font-semibold">{value}</dd>
                </div>
              ))}
            </dl>
            {!judgement.running && <p>Measure both pulleys. The path alone gives only the stretch.</p>}
          </>
        ) : (
          <p>No belt can lie so.</p>
        )}
      </div>
    </div>
  );
}
