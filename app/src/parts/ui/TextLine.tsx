import { useId, type InputHTMLAttributes, type ReactNode } from 'react';
import { useDraft } from './useDraft';

interface Props extends Omit<InputHTMLAttributes<HTMLInputElement>, 'value' | 'onChange'> {
  readonly label: string;
  readonly value: string;
  readonly hint?: string;
  /** Called while typing, with a gesture that lasts until the field is left. */
  readonly onText: (text: string, gesture: string) => void;
}

/** A field under its label. */
function Labelled({
  id,
  label,
  children,
}: {
  readonly id: string;
  readonly label: string;
  readonly children: ReactNode;
}) {
  return (
    <div className="grid content-start gap-1">
      <label htmlFor={id} className="text-sm text-soft">
        {label}
      </label>
      {children}
    </div>
  );
}

/** A line of words that keeps itself while it is typed. */
export function TextLine({ label, value, hint, onText, ...rest }: Props) {
  const id = useId();
  const draft = useDraft(value, onText);
  return (
    <Labelled id={id} label={label}>
      <input
        id={id}
        className="field w-full text-lg"
        {...rest}
        {...draft}
        aria-describedby={hint ? `${id}-hint` : undefined}
      />
      {hint && (
        <p id={`${id}-hint`} className="text-sm text-soft">
          {hint}
        </p>
      )}
    </Labelled>
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
  const id = useId();
  const draft = useDraft(value, onText);
  return (
    <Labelled id={id} label={label}>
      <textarea
        id={id}
        rows={rows}
        maxLength={8000}
        disabled={disabled}
        className="field w-full text-lg leading-snug"
        {...draft}
      />
    </Labelled>
  );
}
