/**
 * Whether two words differ by one letter: left out, put in, another, or two that changed places.
 *
 * @example oneLetterOff('acetnoe', 'acetone') // true
 */
export function oneLetterOff(a: string, b: string): boolean {
  if (a === b || Math.abs(a.length - b.length) > 1) return false;
  let at = 0;
  while (at < a.length && a[at] === b[at]) at++;
  const [restA, restB] = [a.slice(at), b.slice(at)];
  return (
    restA.slice(1) === restB.slice(1) ||
    restA === restB.slice(1) ||
    restA.slice(1) === restB ||
    (restA.length > 1 && restA[0] === restB[1] && restA[1] === restB[0] && restA.slice(2) === restB.slice(2))
  );
}
