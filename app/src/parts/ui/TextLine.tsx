import type { InputHTMLAttributes, ReactNode } from 'react';
import { Field } from './Field';
import { useDraft, type HandOn } from './useDraft';

interface Props extends Omit<InputHTMLAttributes<HTMLInputElement>, 'value' | 'onChange'> {
  readonly label: string;
  readonly value: string;
  readonly hint?: string;
  /** What stands under the field, of the letters as they are typed: nothing moves once the field is left. */
  readonly below?: (text: string) => ReactNode;
  /** Called while typing, with a gesture that lasts until the field is left. */
  readonly onText: HandOn;
}

/** A line of words that keeps itself while it is typed. */
export function TextLine({ label, value, hint, onText, below, ...rest }: Props) {
  const draft = useDraft(value, onText);
  return (
    <>
      <Field label={label} hint={hint}>
        {(given) => <input {...given} className="field w-full text-lg" {...rest} {...draft} />}
      </Field>
      {below?.(draft.value)}
    </>
  );
}

/** Several lines of words that keep themselves. */
export function TextArea({
  label,
  value,
  onText,
  rows = 4,
  disabled,
}: Pick<Props, 'label' | 'value' | 'onText' | 'disabled'> & { readonly rows?: number }) {
  const draft = useDraft(value, onText);
  return (
    <Field label={label}>
      {(given) => (
        <textarea
          {...given}
          rows={rows}
          maxLength={8000}
          disabled={disabled}
          className="field w-full text-lg leading-snug"
          {...draft}
        />
      )}
    </Field>
  );
}
