/** A key, as it is written on the keyboard. */
export function KeyCap({ children }: { readonly children: string }) {
  return (
    <kbd
      aria-hidden
      className="inline-block min-w-6 border border-b-2 border-current px-1 text-center text-xs leading-5 font-medium opacity-70"
    >
      {children.toUpperCase()}
    </kbd>
  );
}
