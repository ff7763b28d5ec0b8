import { OLD_STATES } from '@loose-pulley/core/physics/drive';
import { OLD_STATE_NAMES, type DriveRecord } from '@loose-pulley/core/record/stations';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { Select } from '../../parts/ui/Select';

/** How the old belt was found: what its length says of the path hangs on that. */
export function OldBeltState({ drive, canWrite }: { readonly drive: DriveRecord; readonly canWrite: boolean }) {
  const dispatch = useAppDispatch();
  return (
    <label className="flex flex-wrap items-center justify-between gap-2 border-b border-hair py-2">
      <span className="font-semibold">Old belt was</span>
      <Select
        value={drive.oldState}
        disabled={!canWrite}
        onChoose={(chosen) =>
          dispatch(
            recordEvent({
              type: 'driveChanged',
              driveId: drive.id,
              changes: { oldState: chosen as DriveRecord['oldState'] },
            }),
          )
        }
        look="line"
        options={OLD_STATES.map((state) => [state, OLD_STATE_NAMES[state]] as const)}
      />
    </label>
  );
}
