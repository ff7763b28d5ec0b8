import { Field } from './Field';
import { useDraft } from './useDraft';
import { useUnsaved } from './useUnsaved';
import { parseNumber, type Result } from '@loose-pulley/core/base/units';

interface Props {
  readonly label: string;
  readonly value: number | null;
  readonly unit: string;
  readonly min?: number;
  readonly max: number;
  readonly disabled?: boolean;
  /** How what is typed becomes a number in the unit. */
  readonly parse?: (text: string) => Result<number>;
  /**
   * Null where the field is emptied. Called when the typing rests, with a gesture that lasts until the field is left; what
   * its document answers later says whether the figure was taken.
   */
  readonly onNumber: (value: number | null, gesture: string) => unknown;
}

/** A number that keeps itself while it is typed. What cannot be taken stays in the field and is refused in words. */
export function NumberLine({ label, value, unit, min = 0, max, disabled, parse = parseNumber, onNumber }: Props) {
  const read = (typed: string): Result<number | null> => {
    if (typed.trim() === '') return { ok: true, value: null };
    const parsed = parse(typed);
    if (!parsed.ok || (parsed.value >= min && parsed.value <= max)) return parsed;
    return { ok: false, problem: `Read ${typed.trim()}. Allowed: ${min} to ${max} ${unit}.` };
  };
  const shown = value === null ? '' : String(value);
  const draft = useDraft(
    shown,
    (text, gesture) => {
      const typed = read(text);
      if (!typed.ok) return false;
      if (typed.value === value) return true;
      const answer = onNumber(typed.value, gesture);
      return answer instanceof Promise ? answer.then(Boolean) : true;
    },
    (text) => !read(text).ok,
  );
  const result = draft.value === shown ? null : read(draft.value);
  const refusal = result && !result.ok ? result.problem : null;
  useUnsaved('enter', refusal !== null);
  return (
    <Field label={`${label}, ${unit}`} refusal={refusal}>
      {(given) => (
        <input
          {...given}
          inputMode="decimal"
          autoComplete="off"
          disabled={disabled}
          className="field w-36 text-lg"
          {...draft}
        />
      )}
    </Field>
  );
}
