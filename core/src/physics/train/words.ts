import type { GearFault, Member, MemberKind } from './schema';

export const MEMBER_NAMES: Readonly<Record<MemberKind, string>> = {
  motor: 'motor',
  beltDrive: 'belt drive',
  gear: 'gear',
  doubleGear: 'double gear',
  worm: 'worm',
  rack: 'rack',
  cam: 'mode gear',
  rollers: 'rollers',
  drum: 'wire drum',
};
export const FAULT_NAMES: Readonly<Record<GearFault, string>> = {
  worn: 'worn',
  cracked: 'cracked',
  toothMissing: 'a tooth missing',
  slipsOnShaft: 'slips on its shaft',
};

/** A member as it is called on the drawing. @example memberWords({ ...members[0], kind: 'doubleGear', teeth: 32, second: 10 }) // 'double gear 32/10' */
export function memberWords({ kind, name, teeth, second, moduleMm, diameterMm }: Member): string {
  const called = name === '' ? MEMBER_NAMES[kind] : name;
  switch (kind) {
    case 'motor':
      return teeth > 0 ? `${called}, ${teeth} teeth` : called;
    case 'doubleGear':
      return `${called} ${teeth}/${second}`;
    case 'gear':
    case 'cam':
      return teeth > 0 ? `${called} ${teeth}` : called;
    case 'worm':
      return `${called}, ${teeth === 1 ? '1 start' : `${teeth} starts`}`;
    case 'rack':
      return moduleMm === null ? called : `${called}, module ${moduleMm}`;
    case 'rollers':
    case 'drum':
      return diameterMm === null ? called : `${called} Ø ${diameterMm}`;
    case 'beltDrive':
      return called;
  }
}
