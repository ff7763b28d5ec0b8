import { useMemo } from 'react';
import { driveView, type DriveView } from '@loose-pulley/core/views/drive';
import { useBench } from '../../state/store/assumptions';
import { useDrive, useTicket } from './useTicket';

/** The drive on screen with everything that its readings and this bench give. Derived, never kept. */
export function useDriveView(): DriveView {
  const { ticket, past } = useTicket();
  return driveView(ticket, useDrive().drive, useBench(), past);
}

/** Every drive of the ticket, as the papers show them. */
export function useDriveViews(): readonly DriveView[] {
  const { ticket, past } = useTicket();
  const bench = useBench();
  return useMemo(() => ticket.drives.map((drive) => driveView(ticket, drive, bench, past)), [ticket, bench, past]);
}
