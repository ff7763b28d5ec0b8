import { useMemo } from 'react';
import type { DriveRecord } from '@loose-pulley/core/ticket';
import { happen } from '../keeping/actions';
import { useAppDispatch } from '../store/store';

const MOST_MM = 1000;
const held = (mm: number): number => Math.max(-MOST_MM, Math.min(MOST_MM, mm));

/** Moves a further pulley, by hand or key; a drag is one step to take back. */
export function useMovePulley(drive: DriveRecord, canWrite: boolean) {
  const dispatch = useAppDispatch();
  return useMemo(
    () =>
      canWrite
        ? (id: string, xMm: number, yMm: number): void => {
            const others = drive.others.map((one) =>
              one.id === id ? { ...one, xMm: held(xMm), yMm: held(yMm) } : one,
            );
            dispatch(happen({ type: 'driveChanged', driveId: drive.id, changes: { others } }, `move-${id}`));
          }
        : undefined,
    [drive, canWrite, dispatch],
  );
}
