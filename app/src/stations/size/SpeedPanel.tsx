import { isTurned } from '@loose-pulley/core/base/loaders';
import { ButtonLink } from '../../parts/ui/ButtonLink';
import { useState } from 'react';
import { drivenSpeed } from '@loose-pulley/core/physics/speed';
import {
  hardnessOf,
  SPINDLE_TOLERANCE_PERCENT,
  type Candidate,
  type Ranking,
  type Situation,
} from '@loose-pulley/core/belts/sizing';
import { signedPercent, type LengthUnit } from '@loose-pulley/core/base/units';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { NumberLine } from '../../parts/ui/NumberLine';
import { BeltName } from '../../parts/ui/SectionSign';
import { PulseReader } from './PulseReader';
import type { DriveRecord, SpeedRecord } from '@loose-pulley/core/record/stations';

const SHOWN = 6;
/** No revolutions are made up: until the motor's are known a belt is held against the one the drive was made with. */
const FIRST: SpeedRecord = { motorRpm: null, targetRpm: null, tolerancePercent: SPINDLE_TOLERANCE_PERCENT };

/** One belt's speed: in revolutions where the motor's are known, and beside what is wanted or was made. */
function SpeedRow({
  candidate: { catalogueBelt, judgement },
  situation,
  speed,
  loadNmm,
  unit,
}: {
  readonly candidate: Candidate;
  readonly situation: Situation;
  readonly speed: SpeedRecord;
  readonly loadNmm: number;
  readonly unit: LengthUnit;
}) {
  const found =
    situation.drive &&
    drivenSpeed(situation.drive, catalogueBelt, speed.motorRpm ?? 1, {
      hardnessShoreA: hardnessOf(catalogueBelt.shape, situation.priors).best,
      loadTorqueNmm: loadNmm,
    });
  const off = judgement.running?.speedOff;
  const tolerance = speed.tolerancePercent / 100;
  return (
    <tr className="border-b border-hair">
      <td className="py-1.5">
        <BeltName shape={catalogueBelt.shape} size={beltLabel(catalogueBelt, unit).size} />
      </td>
      {found?.ok ? (
        <>
          <td className="text-right">{speed.motorRpm === null ? '–' : `${found.value.rpm.toFixed(1)} rpm`}</td>
          <td className="text-right">{off === undefined ? '–' : signedPercent(off)}</td>
          <td className="text-right">{(100 * found.value.creep).toFixed(2)} %</td>
          <td className="text-right font-semibold">
            {off === undefined ? '–' : Math.abs(off) <= tolerance ? 'within' : off > 0 ? 'too fast' : 'too slow'}
          </td>
        </>
      ) : (
        <td colSpan={4} className="text-right text-soft">
          {found?.problem}
        </td>
      )}
    </tr>
  );
}

/** Where speed matters: what is wanted, what each belt would give with thickness and creep, and what is measured. */
export function SpeedPanel({
  drive,
  situation,
  ranking,
  unit,
  canWrite,
}: {
  readonly drive: DriveRecord;
  readonly situation: Situation;
  readonly ranking: Ranking;
  readonly unit: LengthUnit;
  readonly canWrite: boolean;
}) {
  const { ticket } = useTicket();
  const dispatch = useAppDispatch();
  const [loadNmm, setLoadNmm] = useState<number | null>(situation.priors.spindleTorqueNmm.best);
  const spindle = isTurned(situation.driven);
  const speed = drive.speed ?? (spindle ? FIRST : null);
  const rpmKnown = speed?.motorRpm != null && speed.targetRpm != null;
  const set = (next: SpeedRecord | null, gesture?: string) =>
    dispatch(recordEvent({ type: 'driveChanged', driveId: drive.id, changes: { speed: next } }, gesture));
  const field = (key: keyof SpeedRecord, label: string, fieldUnit: string, least: number, most: number) =>
    speed && (
      <NumberLine
        label={label}
        unit={fieldUnit}
        min={least}
        max={most}
        value={speed[key]}
        disabled={!canWrite}
        onNumber={(value, gesture) =>
          (value !== null || key !== 'tolerancePercent') && set({ ...speed, [key]: value }, `${gesture}-${key}`)
        }
      />
    );
  return (
    <>
      {!speed && (
        <div className="grid justify-items-start gap-2 py-3">
          <p className="text-soft">A loading belt does not care; a spindle, a turntable or a tape does.</p>
          <Button disabled={!canWrite} onClick={() => set(FIRST)}>
            Speed matters on this drive
          </Button>
        </div>
      )}
      {speed && (
        <div className="grid gap-3 py-3">
          <div className="flex flex-wrap gap-4">
            {field('motorRpm', 'The motor turns, if known', 'rpm', 1, 100_000)}
            {field('targetRpm', 'Wanted of the driven pulley, if known', 'rpm', 1, 100_000)}
            {field('tolerancePercent', 'It may be off by', '%', 0.01, 50)}
            <NumberLine
              label="The driven shaft takes"
              unit="N·mm"
              max={1000}
              value={loadNmm}
              onNumber={(value) => setLoadNmm(value)}
            />
          </div>
          {!situation.drive ? (
            <p>Measure both pulleys and their distance: a string says nothing of speed.</p>
          ) : (
            <div className="overflow-x-auto">
              <table className="w-full border-collapse text-[15px]">
                <caption className="py-1 text-left text-sm text-soft">
                  With the stretched thickness on both pulleys, less creep under load. Uneven bands are refused where
                  speed matters.
                </caption>
                <thead>
                  <tr className="border-b border-hair text-left text-sm text-soft">
                    <th className="py-1 font-normal">belt</th>
                    <th className="text-right font-normal">turns at</th>
                    <th className="text-right font-normal">
                      {rpmKnown ? 'off by' : 'beside the belt it was made with'}
                    </th>
                    <th className="text-right font-normal">creep</th>
                    <th className="text-right font-normal">so</th>
                  </tr>
                </thead>
                <tbody>
                  {ranking.candidates.slice(0, SHOWN).map((one) => (
                    <SpeedRow
                      key={one.catalogueBelt.id}
                      candidate={one}
                      situation={situation}
                      speed={speed}
                      loadNmm={loadNmm ?? 0}
                      unit={unit}
                    />
                  ))}
                </tbody>
              </table>
            </div>
          )}
          <div className="flex flex-wrap items-center gap-3">
            <ButtonLink to={`/t/${ticket.id}/strobe${speed.targetRpm === null ? '' : `?rpm=${speed.targetRpm}`}`}>
              Strobe disc, to print
            </ButtonLink>
            {!spindle && (
              <Button look="quiet" disabled={!canWrite} onClick={() => set(null)}>
                Speed does not matter here
              </Button>
            )}
          </div>
          {speed.targetRpm === null ? (
            <p className="text-soft">Say what is wanted of the driven pulley to read pulses against it.</p>
          ) : (
            <PulseReader targetRpm={speed.targetRpm} tolerancePercent={speed.tolerancePercent} />
          )}
        </div>
      )}
    </>
  );
}
