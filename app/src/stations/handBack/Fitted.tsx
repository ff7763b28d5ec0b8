import { beltLabel } from '@loose-pulley/core/base/shapes';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch, useUnit } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { SectionSign } from '../../parts/ui/SectionSign';
import { TextLine } from '../../parts/ui/TextLine';
import { FITTED_BECAUSE, FITTED_BECAUSE_NAMES, type FittedBecause, type Try } from '@loose-pulley/core/record/stations';
import { Select } from '../../parts/ui/Select';

/** The belts that went in: size, where from, what the label said, and why. From the tries judged right. */
export function Fitted() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const unit = useUnit();
  const fitted = ticket.drives.flatMap((drive) =>
    drive.tries.filter(({ verdict }) => verdict === 'right').map((one) => ({ drive, one })),
  );
  return (
    <section aria-label="Belts fitted" className="grid gap-2">
      <h3 className="text-sm text-soft">Fitted, from the tries judged right</h3>
      {fitted.length === 0 && <p className="text-soft">No belt is judged right yet.</p>}
      {fitted.map(({ drive, one }) => {
        const put = (changes: Partial<Pick<Try, 'source' | 'label' | 'because'>>, gesture?: string) =>
          dispatch(recordEvent({ type: 'tryLabelled', driveId: drive.id, tryId: one.id, changes }, gesture));
        return (
          <div key={one.id} className="grid gap-2 border-b border-hair pb-3">
            <p className="text-lg">
              Drive {drive.name}
              {drive.role && `, ${drive.role}`}: <SectionSign shape={one.shape} /> {beltLabel(one, unit).size}{' '}
              <span className="text-soft">{beltLabel(one, unit).words}</span>
            </p>
            <div className="grid items-end gap-3 md:grid-cols-3">
              <TextLine
                label="Where it came from"
                value={one.source}
                maxLength={200}
                disabled={!canWrite}
                onText={(source, gesture) => put({ source }, `${gesture}-source`)}
              />
              <TextLine
                label="What its label said"
                value={one.label}
                maxLength={200}
                disabled={!canWrite}
                onText={(label, gesture) => put({ label }, `${gesture}-label`)}
              />
              <label className="grid gap-1 text-sm text-soft">
                Fitted because
                <Select
                  value={one.because}
                  disabled={!canWrite}
                  onChoose={(chosen) => put({ because: chosen as FittedBecause })}
                  className="text-lg"
                  options={FITTED_BECAUSE.map((because) => [because, FITTED_BECAUSE_NAMES[because]] as const)}
                />
              </label>
            </div>
          </div>
        );
      })}
    </section>
  );
}
