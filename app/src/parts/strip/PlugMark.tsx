/** A plug from above with pin 1 or the stripe on its side: the shape says what the words say. */
export function PlugMark({ side }: { readonly side: 'left' | 'right' }) {
  const stripe = side === 'left' ? 4 : 44;
  return (
    <svg width="52" height="24" role="img" aria-label={`pin 1 or stripe to the ${side}`} className="shrink-0">
      <path d="M1 6h50v12H1Z" className="fill-sheet stroke-ink" strokeWidth="1.3" />
      <path d={`M${stripe + 2} 1v22`} className="stroke-live" strokeWidth="4" />
      {[12, 20, 28, 36].map((x) => (
        <circle key={x} cx={x + 2} cy="12" r="1.6" className="fill-ink" />
      ))}
    </svg>
  );
}
