import { ButtonLink } from '../../parts/ui/ButtonLink';
import { useState } from 'react';
import { drivenSpeed } from '@loose-pulley/core/speed';
import type { Ranking, Situation } from '@loose-pulley/core/sizing';
import { beltLabel, type LengthUnit } from '@loose-pulley/core/units';
import { recordEvent } from '../../state/persistence/actions';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { NumberLine } from '../../parts/ui/NumberLine';
import { BeltName } from '../../parts/ui/SectionSign';
import { PulseReader } from './PulseReader';
import type { DriveRecord, SpeedRecord } from '@loose-pulley/core/stations';

const SHOWN = 6;
const USUAL: SpeedRecord = { motorRpm: 2400, targetRpm: 300, tolerancePercent: 1 };

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
  const { speed } = drive;
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
        onNumber={(value, gesture) => value !== null && set({ ...speed, [key]: value }, `${gesture}-${key}`)}
      />
    );
  return (
    <>
      {!speed && (
        <div className="grid justify-items-start gap-2 py-3">
          <p className="text-soft">A tray does not care; a spindle, a turntable or a tape does.</p>
          <Button disabled={!canWrite} onClick={() => set(USUAL)}>
            Speed matters on this drive
          </Button>
        </div>
      )}
      {speed && (
        <div className="grid gap-3 py-3">
          <div className="flex flex-wrap gap-4">
            {field('motorRpm', 'The motor turns', 'rpm', 1, 100_000)}
            {field('targetRpm', 'Wanted of the driven pulley', 'rpm', 1, 100_000)}
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
                    <th className="text-right font-normal">off by</th>
                    <th className="text-right font-normal">creep</th>
                    <th className="text-right font-normal">so</th>
                  </tr>
                </thead>
                <tbody>
                  {ranking.candidates.slice(0, SHOWN).map(({ catalogueBelt }) => {
                    const found =
                      situation.drive &&
                      drivenSpeed(situation.drive, catalogueBelt, speed.motorRpm, {
                        hardnessShoreA: situation.priors.hardnessShoreA.best,
                        loadTorqueNmm: loadNmm ?? 0,
                      });
                    const off = found?.ok ? 100 * (found.value.rpm / speed.targetRpm - 1) : NaN;
                    return (
                      <tr key={catalogueBelt.id} className="border-b border-hair">
                        <td className="py-1.5">
                          <BeltName shape={catalogueBelt.shape} size={beltLabel(catalogueBelt, unit).size} />
                        </td>
                        {found?.ok ? (
                          <>
                            <td className="text-right">{found.value.rpm.toFixed(1)} rpm</td>
                            <td className="text-right">
                              {off > 0 ? '+' : '−'}
                              {Math.abs(off).toFixed(2)} %
                            </td>
                            <td className="text-right">{(100 * found.value.creep).toFixed(2)} %</td>
                            <td className="text-right font-semibold">
                              {Math.abs(off) <= speed.tolerancePercent ? 'within' : off > 0 ? 'too fast' : 'too slow'}
                            </td>
                          </>
                        ) : (
                          <td colSpan={4} className="text-right text-soft">
                            {found?.problem}
                          </td>
                        )}
                      </tr>
                    );
                  })}
                </tbody>
              </table>
            </div>
          )}
          <div className="flex flex-wrap items-center gap-3">
            <ButtonLink to={`/t/${ticket.id}/strobe?rpm=${speed.targetRpm}`}>Strobe disc, to print</ButtonLink>
            <Button look="quiet" disabled={!canWrite} onClick={() => set(null)}>
              Speed does not matter here
            </Button>
          </div>
          <PulseReader targetRpm={speed.targetRpm} tolerancePercent={speed.tolerancePercent} />
        </div>
      )}
    </>
  );
}
