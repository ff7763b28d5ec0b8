import type { OpeningShift } from '@loose-pulley/core/shop/day';

/** Hours as they are typed: `9-12:30, 13-17:30`, or nothing for a closed day. Null where they cannot be read. */
export function parseHours(text: string): readonly OpeningShift[] | null {
  if (text.trim() === '' || /^closed$/i.test(text.trim())) return [];
  const shifts: OpeningShift[] = [];
  for (const part of text.split(/,|;|and/)) {
    const [, fromHour, fromMinute = '0', toHour, toMinute = '0'] =
      /^\s*(\d{1,2})(?:[:.](\d\d))?\s*(?:-|–|to)\s*(\d{1,2})(?:[:.](\d\d))?\s*$/.exec(part) ?? [];
    if (fromHour === undefined || toHour === undefined) return null;
    const shift = {
      fromMin: Number(fromHour) * 60 + Number(fromMinute),
      toMin: Number(toHour) * 60 + Number(toMinute),
    };
    const before = shifts.at(-1);
    if (shift.fromMin >= shift.toMin || shift.toMin > 1440 || (before && shift.fromMin < before.toMin)) return null;
    shifts.push(shift);
  }
  return shifts.length > 4 ? null : shifts;
}
