import { ok, refuse, type Result } from '../../base/units';
import { blankMember as blank, type MemberDraft } from './members';

const figure = (text: string | undefined): number => Number((text ?? '').replace(',', '.'));
/** Members stand between commas, or each begins with its own word; “mode gear” is one. */
const BETWEEN =
  /,(?!\d)|;|→|->|(?<!\b(?:mode|double|cam|worm|motor|big|large|small|idler))\s+(?=(?:motor|belt|worm|rack|rollers?|drum|cam|mode|gear|pinion|wheel|double)\b)/i;
const DOUBLE = /(\d+) ?(?:\/|on|and) ?(\d+)/;
const MODULE = /\b(?:m|module|mod)\.? ?(\d*[.,]?\d+)\b/;

/** Letters of a line: more than forty members take. */
const LETTERS_MAX = 1000;

/** One member as it is typed; undefined where it is none. */
function readMember(part: string): Result<MemberDraft> | undefined {
  const text = part.trim().toLowerCase();
  if (text === '') return undefined;
  const mod = MODULE.exec(text);
  const moduleMm = mod ? figure(mod[1]) : null;
  if (moduleMm !== null && !(moduleMm >= 0.05 && moduleMm <= 10))
    return refuse(
      `Read module ${mod?.[1]} in “${part.trim()}”. Small gears are of module 0.1 to 2; 0.05 to 10 are allowed.`,
    );
  const plain = (mod ? text.replace(mod[0], ' ') : text).trim().replace(/^(?:big|large|small|idler) /, '');
  const single = plain.replace(DOUBLE, '');
  const teeth = /(\d+) ?(?:t|teeth|tooth)?\b/.exec(single);
  const count = teeth ? Number(teeth[1]) : 0;
  const double = DOUBLE.exec(plain);
  const isGear = /^(?:gear|pinion|wheel|double)\b|^\d/.test(plain);
  // More figures than a member has are never dropped in silence.
  const figures = single.match(/\d+(?:[.,]\d+)?/g)?.length ?? 0;
  if (double ? !isGear || figures > 0 : figures > 1)
    return refuse(
      `Read more figures than one member has in “${part.trim()}”. A gear has one count, a double gear two, such as 32/10; put a comma between members.`,
    );
  const most = Math.max(count, ...(double ? [Number(double[1]), Number(double[2])] : [0]));
  if (most > 400) return refuse(`Read ${most} teeth in “${part.trim()}”. At most 400 are allowed.`);
  const known = (draft: MemberDraft) => ok({ ...draft, moduleMm });
  if (/^motor\b/.test(plain)) return known(blank('motor', { teeth: count }));
  if (/^belt\b/.test(plain)) return known(blank('beltDrive', { second: count }));
  if (/^worm\b/.test(plain) && count > 8)
    return refuse(`Read a worm of ${count} starts. Is it the worm and its gear? Type: worm, gear ${count}.`);
  if (/^worm\b/.test(plain)) return known(blank('worm', { teeth: count === 0 ? 1 : count }));
  if (/^rack\b/.test(plain)) {
    const bare = /^rack(?: (\d*[.,]?\d+))?/.exec(text);
    const own = moduleMm ?? (bare?.[1] ? figure(bare[1]) : null);
    if (own !== null && !(own >= 0.05 && own <= 10))
      return refuse(`Read module ${own} of the rack. 0.05 to 10 are allowed, such as rack 0.8.`);
    return ok(blank('rack', { moduleMm: own }));
  }
  if (/^(?:rollers?|drum)\b/.test(plain)) {
    const diameter = /(\d+(?:[.,]\d+)?)/.exec(plain);
    return ok(blank(/^drum/.test(plain) ? 'drum' : 'rollers', { diameterMm: diameter ? figure(diameter[1]) : null }));
  }
  if (/^(?:cam|mode)\b/.test(plain)) return known(blank('cam', { teeth: count }));
  if (isGear) {
    if (double) return known(blank('doubleGear', { teeth: Number(double[1]), second: Number(double[2]) }));
    if (count === 0) return refuse(`“${part.trim()}”: how many teeth? Such as gear 28.`);
    return known(blank('gear', { teeth: count }));
  }
  return refuse(
    `Read “${part.trim()}”. A train is such as: motor 8T, gear 32/10, gear 28, rack 0.8; or belt, worm, mode gear 40, rollers 8, drum 12.`,
  );
}

/**
 * Reads a train as it is typed, from the motor on.
 *
 * @returns its members, or what was read, what is allowed, what to do
 * @example readTrain('motor 8T, gear 32/10, gear 28, rack 0.8').value.length // 4
 */
export function readTrain(line: string): Result<readonly MemberDraft[]> {
  if (line.length > LETTERS_MAX)
    return refuse(`Read ${line.length} letters. A train is typed in ${LETTERS_MAX} at most: say it in two lines.`);
  const members: MemberDraft[] = [];
  for (const part of line.split(BETWEEN)) {
    const read = readMember(part);
    if (!read) continue;
    if (!read.ok) return read;
    members.push(read.value);
  }
  if (members.length === 0)
    return refuse('Type the train from the motor on, such as: motor 8T, gear 32/10, gear 28, rack 0.8.');
  if (members.length > 40) return refuse(`Read ${members.length} members. At most 40 fit.`);
  return ok(members);
}
