import { useId, type ReactNode } from 'react';

/** What a control takes over from its field, so that all of it is told together. */
interface Given {
  readonly id: string;
  readonly 'aria-invalid'?: true;
  readonly 'aria-describedby'?: string;
}

/** A control under its label, with what helps and what was refused; they are heard with it. */
export function Field({
  label,
  hint,
  refusal,
  children,
}: {
  readonly label: ReactNode;
  readonly hint?: string | undefined;
  readonly refusal?: string | null;
  readonly children: (given: Given) => ReactNode;
}) {
  const id = useId();
  const about = [...(hint ? [`${id}-hint`] : []), ...(refusal ? [`${id}-refusal`] : [])].join(' ');
  return (
    <div className="grid content-start gap-1">
      <label htmlFor={id} className="text-sm text-soft">
        {label}
      </label>
      {children({ id, ...(refusal && { 'aria-invalid': true }), ...(about && { 'aria-describedby': about }) })}
      {hint && (
        <p id={`${id}-hint`} className="text-sm text-soft">
          {hint}
        </p>
      )}
      {refusal && (
        <p id={`${id}-refusal`} role="alert" className="text-sm text-live">
          {refusal}
        </p>
      )}
    </div>
  );
}
