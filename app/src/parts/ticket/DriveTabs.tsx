import { nanoid } from 'nanoid';
import { Link, useLocation, useNavigate, useSearchParams } from 'react-router';
import type { Ticket } from '@loose-pulley/core/record/ticket';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { Button } from '../ui/Button';
import { cx } from '../ui/cx';

const LETTERS = 'ABCDEFGHIJKLMNOPQRST';

/** The drives of the machine, by letter and what they drive. They are links, so that the back button walks them. */
export function DriveTabs({ ticket, canWrite }: { readonly ticket: Ticket; readonly canWrite: boolean }) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const [search] = useSearchParams();
  const current = ticket.drives.find(({ name }) => name === search.get('drive')) ?? ticket.drives[0];
  const add = (): void => {
    const name = [...LETTERS].find((letter) => !ticket.drives.some((drive) => drive.name === letter));
    if (!name) return;
    if (dispatch(recordEvent({ type: 'driveAdded', driveId: nanoid(12), name })))
      void navigate(`${pathname}?drive=${name}`);
  };
  return (
    <nav aria-label="Drives of this machine" className="flex flex-wrap items-end">
      {ticket.drives.map((drive) => (
        <Link
          key={drive.id}
          to={`${pathname}?drive=${drive.name}`}
          aria-current={drive === current ? 'true' : undefined}
          className={cx(
            'flex min-h-11 items-center px-3 whitespace-nowrap',
            drive === current ? 'border-b-[3px] border-ink font-semibold' : 'border-b-[3px] border-transparent',
          )}
        >
          Drive {drive.name}
          {drive.role && `, ${drive.role}`}
        </Link>
      ))}
      {ticket.drives.length > 1 &&
        canWrite &&
        current &&
        current.readings.length === 0 &&
        current.tries.length === 0 && (
          <Button
            look="quiet"
            onClick={() => {
              if (dispatch(recordEvent({ type: 'driveRemoved', driveId: current.id }))) void navigate(pathname);
            }}
          >
            − drive {current.name}
          </Button>
        )}
      {canWrite && ticket.drives.length < LETTERS.length && (
        <Button look="quiet" onClick={add} className="text-soft">
          + drive
        </Button>
      )}
    </nav>
  );
}
