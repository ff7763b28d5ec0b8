import { useState } from 'react';
import { Input } from '../../parts/ui/Input';

/** A small figure in a table, taken as it is typed; what is no number stays and is not taken. */
export function Percent({
  label,
  value,
  max,
  onChange,
}: {
  readonly label: string;
  readonly value: number;
  readonly max: number;
  readonly onChange: (value: number) => void;
}) {
  const [text, setText] = useState<string | null>(null);
  const wrong = text !== null && !(Number(text.replace(',', '.')) >= 0 && text.trim() !== '');
  return (
    <Input
      aria-label={label}
      aria-invalid={wrong}
      inputMode="decimal"
      autoComplete="off"
      value={text ?? String(value)}
      className="w-16 px-2 text-right aria-invalid:text-live"
      onChange={(event) => {
        setText(event.target.value);
        const number = Number(event.target.value.replace(',', '.'));
        if (event.target.value.trim() !== '' && number >= 0 && number <= max) onChange(number);
      }}
      onBlur={() => setText(null)}
    />
  );
}
