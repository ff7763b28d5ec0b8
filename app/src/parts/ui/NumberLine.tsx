import { nanoid } from 'nanoid';
import { useRef, useState } from 'react';
import { Field } from './Field';
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
  /** Null where the field is emptied. Called while typing, with a gesture that lasts until the field is left. */
  readonly onNumber: (value: number | null, gesture: string) => void;
}

/** A number that keeps itself while it is typed. What cannot be taken stays in the field and is refused in words. */
export function NumberLine({ label, value, unit, min = 0, max, disabled, parse = parseNumber, onNumber }: Props) {
  const gesture = useRef('');
  const [text, setText] = useState<string | null>(null);
  const read = (typed: string): Result<number | null> => {
    if (typed.trim() === '') return { ok: true, value: null };
    const parsed = parse(typed);
    if (!parsed.ok || (parsed.value >= min && parsed.value <= max)) return parsed;
    return { ok: false, problem: `Read ${typed.trim()}. Allowed: ${min} to ${max} ${unit}.` };
  };
  const result = text === null ? null : read(text);
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
          value={text ?? (value === null ? '' : String(value))}
          className="field w-36 text-lg"
          onFocus={() => {
            gesture.current = nanoid(10);
          }}
          onChange={(event) => {
            setText(event.target.value);
            const typed = read(event.target.value);
            if (typed.ok && typed.value !== value) onNumber(typed.value, gesture.current);
          }}
          onBlur={() => {
            if (!refusal) setText(null);
          }}
        />
      )}
    </Field>
  );
}
