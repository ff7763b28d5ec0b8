import { nanoid } from 'nanoid';
import { squareWords, type Square } from '@loose-pulley/core/physics/train';
import { parseNumber } from '@loose-pulley/core/base/units';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { NumberLine } from '../../parts/ui/NumberLine';
import { Check } from '../../parts/ui/Check';

/** How a tray goes back into its track, and that a disc lies even: common practice, no source. */
const STEPS = [
  'Lock or catch where it was when it came off',
  'Square to both guides before it is pushed',
  'Both sides pushed alike, by their edges',
  'Both catches heard',
  'Disc even in its recess: front',
  'Disc even in its recess: left',
  'Disc even in its recess: right',
] as const;

/** Square or not: clearances left and right, and the typed steps of its way back. */
export function SquarePanel() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const { square } = ticket.train;
  const put = (changes: Partial<Square>, gesture?: string) =>
    dispatch(recordEvent({ type: 'squarePut', square: { ...square, ...changes } }, gesture));
  const line = (key: 'leftMm' | 'rightMm' | 'spacingMm', label: string) => (
    <NumberLine
      label={label}
      unit="mm"
      value={square[key]}
      min={key === 'spacingMm' ? 1 : 0}
      max={key === 'spacingMm' ? 600 : 100}
      parse={parseNumber}
      disabled={!canWrite}
      onNumber={(value, gesture) => put({ [key]: value }, gesture)}
    />
  );
  const words = squareWords(square);
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap gap-3">
        {line('leftMm', 'Clearance at the left')}
        {line('rightMm', 'Clearance at the right')}
        {line('spacingMm', 'Guides apart')}
      </div>
      {words && <p className="font-semibold">{words}</p>}
      {square.steps.length === 0 ? (
        <Button
          className="justify-self-start"
          disabled={!canWrite}
          onClick={() => put({ steps: STEPS.map((what) => ({ id: nanoid(10), what, done: false })) })}
        >
          Put it back, step by step
        </Button>
      ) : (
        <ul>
          {square.steps.map((step) => (
            <li key={step.id}>
              <Check
                checked={step.done}
                disabled={!canWrite}
                className="border-b border-hair"
                onCheck={(checked) =>
                  put({
                    steps: square.steps.map((one) => (one.id === step.id ? { ...one, done: checked } : one)),
                  })
                }
              >
                {step.what}
              </Check>
            </li>
          ))}
        </ul>
      )}
      <p className="text-[15px] text-soft">Never force a tray: what does not go is not where it belongs.</p>
    </div>
  );
}
