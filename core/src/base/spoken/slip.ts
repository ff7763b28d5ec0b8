/** Whether two words differ by one letter added, lost or changed, or by two that changed places. @example oneSlipApart('mians', 'mains') // true */
export function oneSlipApart(a: string, b: string): boolean {
  if (Math.abs(a.length - b.length) > 1 || a === b) return false;
  let at = 0;
  while (at < a.length && a[at] === b[at]) at += 1;
  return (
    a.slice(at + 1) === b.slice(at + 1) ||
    a.slice(at + 1) === b.slice(at) ||
    a.slice(at) === b.slice(at + 1) ||
    `${a[at + 1] ?? ''}${a[at] ?? ''}${a.slice(at + 2)}` === b.slice(at)
  );
}
