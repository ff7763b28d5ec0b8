/**
 * The day so many months after another; the last of the month where that month has no such day. Days as `2027-05-01`.
 *
 * @example monthsLater('2026-11-30', 3) // '2027-02-28'
 */
export function monthsLater(day: string, months: number): string {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  const last = new Date(Date.UTC(year, month + months, 0)).getUTCDate();
  return new Date(Date.UTC(year, month - 1 + months, Math.min(date, last))).toISOString().slice(0, 10);
}
