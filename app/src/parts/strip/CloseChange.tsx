import { capital } from '@loose-pulley/core/base/units';
import type { TemporaryChange } from '@loose-pulley/core/work/strip';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { Button } from '../ui/Button';

/** Says that a temporary change is reversed; the button names what that takes. */
export function CloseChange({
  change,
  disabled,
  className,
}: {
  readonly change: TemporaryChange;
  readonly disabled: boolean;
  readonly className?: string;
}) {
  const dispatch = useAppDispatch();
  return (
    <Button
      className={className}
      disabled={disabled}
      onClick={() =>
        dispatch(recordEvent({ type: 'temporaryChangePut', change: { ...change, closedAt: new Date().toISOString() } }))
      }
    >
      {capital(change.closes.split(/[,;]/)[0] ?? change.closes)}
    </Button>
  );
}
