import type { Loop } from '@loose-pulley/core/strip';
import { happen } from '../keeping/actions';
import { useAppDispatch } from '../store/store';
import { Button } from '../ui/Button';

/** Says that a temporary state is over. */
export function CloseLoop({
  loop,
  disabled,
  className,
}: {
  readonly loop: Loop;
  readonly disabled: boolean;
  readonly className?: string;
}) {
  const dispatch = useAppDispatch();
  return (
    <Button
      className={className}
      disabled={disabled}
      onClick={() => dispatch(happen({ type: 'loopPut', loop: { ...loop, closedAt: new Date().toISOString() } }))}
    >
      It is done
    </Button>
  );
}
