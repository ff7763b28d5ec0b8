import { OLD_STATES } from '@loose-pulley/core/physics/drive';
import { OLD_STATE_NAMES, type DriveRecord } from '@loose-pulley/core/record/stations';
import { recordEvent } from '../../state/persistence/actions';
import { useAppDispatch } from '../../state/store/hooks';

/** How the old belt was found: what its length says of the path hangs on that. */
export function OldBeltState({ drive, canWrite }: { readonly drive: DriveRecord; readonly canWrite: boolean }) {
  const dispatch = useAppDispatch();
  return (
    <label className="flex flex-wrap items-center justify-between gap-2 border-b border-hair py-2">
      <span className="font-semibold">Old belt was</span>
      <select
        value={drive.oldState}
        disabled={!canWrite}
        className="min-h-11 border-b border-ink bg-transparent"
        onChange={(event) =>
          dispatch(
            recordEvent({
              type: 'driveChanged',
              driveId: drive.id,
              changes: { oldState: event.target.value as DriveRecord['oldState'] },
            }),
          )
        }
      >
        {OLD_STATES.map((state) => (
          <option key={state} value={state}>
            {OLD_STATE_NAMES[state]}
          </option>
        ))}
      </select>
    </label>
  );
}
