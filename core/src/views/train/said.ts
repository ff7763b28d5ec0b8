import { FAULT_NAMES, memberWords, squareWords } from '../../physics/train';
import type { Ticket } from '../../record/ticket';
import { capital } from '../../base/units';

const SURFACES: Readonly<Record<string, string>> = {
  unknown: '',
  tacky: 'clean and tacky',
  glazed: 'glazed',
  nicked: 'nicked',
  hard: 'gone hard',
};
const LINKS = { unknown: '', engaged: 'engaged', off: 'off its pin', none: 'there is none' } as const;
const WAY = { binds: 'binds', lifts: 'lifts', clamps: 'the clamp asks', clicks: 'clicks' } as const;
const mm = (value: number): string => String(Math.round(value * 100) / 100);

/**
 * What was measured and tried of the gears, the rollers and the tray, each in one line for the bench sheet; nothing where
 * nothing was.
 * For instance “Roller driven: Ø 8, 8.1 mm, clean and tacky.”
 */
export function trainSaid({
  train: { members, trials, rollers, square, places = [] },
}: Pick<Ticket, 'train'>): readonly string[] {
  const told = members
    .filter(
      ({ teeth, faults, reference, kind }) =>
        kind !== 'beltDrive' && (teeth > 0 || faults.length > 0 || reference !== ''),
    )
    .map((member) =>
      [memberWords(member), member.faults.map((one) => FAULT_NAMES[one]).join(', '), member.reference]
        .filter((words) => words !== '')
        .join(': '),
    );
  const tried = trials.map(({ memberId, teeth, what, right, earlyMm }) => {
    const member = members.find(({ id }) => id === memberId);
    const where = `${teeth > 0 ? '+' : ''}${teeth} ${Math.abs(teeth) === 1 ? 'tooth' : 'teeth'} from its mark`;
    return [
      `${member ? memberWords(member) : 'a gear'}, ${where}`,
      [what, earlyMm === null ? '' : `${mm(earlyMm)} mm early`, right ? 'right' : '']
        .filter((words) => words !== '')
        .join(', '),
    ]
      .filter((words) => words !== '')
      .join(': ');
  });
  const rolls = rollers.list.map(({ name, diametersMm, surface }) =>
    [
      `roller ${name}`.trim(),
      [diametersMm.length > 0 ? `Ø ${diametersMm.map(mm).join(', ')} mm` : '', SURFACES[surface] ?? '']
        .filter((words) => words !== '')
        .join(', '),
    ]
      .filter((words) => words !== '')
      .join(': '),
  );
  const more = [
    rollers.pullBackN === null ? '' : `a disc pulled back against the running rollers: ${mm(rollers.pullBackN)} N`,
    LINKS[rollers.link] === '' ? '' : `link between the rollers: ${LINKS[rollers.link]}`,
    square.leftMm === null || square.rightMm === null
      ? ''
      : `tray clearances: left ${mm(square.leftMm)} mm, right ${mm(square.rightMm)} mm. ${squareWords(square)}`,
  ];
  const onWay = places.map(({ kind, atMm, overMm, forceN }) =>
    [
      `${WAY[kind]} at ${mm(atMm)} mm`,
      overMm === null ? '' : `over ${mm(overMm)} mm`,
      forceN === null ? '' : `${mm(forceN)} N more`,
    ]
      .filter((words) => words !== '')
      .join(', '),
  );
  return [...told, ...tried, ...rolls, ...more, ...onWay]
    .filter((line) => line !== '')
    .map((line) => `${capital(line)}${/[.!?]$/.test(line) ? '' : '.'}`);
}
