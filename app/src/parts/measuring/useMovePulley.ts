import { useMemo } from 'react';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import type { DriveRecord } from '@loose-pulley/core/record/stations';

const MAX_MM = 1000;
const held = (mm: number): number => Math.max(-MAX_MM, Math.min(MAX_MM, mm));

/** Moves a idler, by hand or key; a drag is one step to take back. */
export function useMovePulley(drive: DriveRecord, canWrite: boolean) {
  const dispatch = useAppDispatch();
  return useMemo(
    () =>
      canWrite
        ? (id: string, xMm: number, yMm: number): void => {
            const idlers = drive.idlers.map((one) =>
              one.id === id ? { ...one, xMm: held(xMm), yMm: held(yMm) } : one,
            );
            dispatch(recordEvent({ type: 'driveChanged', driveId: drive.id, changes: { idlers } }, `move-${id}`));
          }
        : undefined,
    [drive, canWrite, dispatch],
  );
}
