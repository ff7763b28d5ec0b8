import { memo, useMemo } from 'react';
import { gearOutline } from '@loose-pulley/core/physics/gears';
import { FAULT_NAMES, memberWords, type MemberTurn } from '@loose-pulley/core/physics/train';
import type { beltOutline } from '../draw/beltOutline';
import { BALLOON_PX, type PlacedLabel } from './trainLabels';
import type { BeltSizes, PlacedMember } from './trainLayout';

/** A wheel as a path at a scale: its first tooth upwards, y downwards as on the screen. */
const wheelPath = (teeth: number, moduleMm: number, shift: number, px: number): string =>
  `M${gearOutline({ teeth, moduleMm, shift }, {}, 4)
    .map(([x, y]) => `${(x * px).toFixed(2)} ${(-y * px).toFixed(2)}`)
    .join('L')}Z`;

const Wheel = memo(function Wheel({
  teeth,
  moduleMm,
  shift,
  px,
  className,
}: {
  readonly teeth: number;
  readonly moduleMm: number;
  readonly shift: number;
  readonly px: number;
  readonly className: string;
}) {
  const d = useMemo(() => wheelPath(teeth, moduleMm, shift, px), [teeth, moduleMm, shift, px]);
  return <path d={d} className={className} strokeWidth="1.1" strokeLinejoin="round" />;
});

/** A member as the drawing says it, with what is wrong with it. */
export const wordsOf = (member: MemberTurn['member']): string =>
  [memberWords(member), ...member.faults.map((fault) => FAULT_NAMES[fault])].join(', ');

/** A turn as the screen has it: anticlockwise is negative there. */
const turned = (phase: number, turns: number): string =>
  `rotate(${(-((phase - Math.PI / 2) * 180) / Math.PI - 360 * turns).toFixed(3)})`;

function Rack({
  x,
  y,
  px,
  moduleMm,
  slideMm,
  className,
}: {
  readonly x: number;
  readonly y: number;
  readonly px: number;
  readonly moduleMm: number;
  readonly slideMm: number;
  readonly className: string;
}) {
  const pitch = Math.PI * moduleMm * px;
  const shift = (((slideMm * px) % pitch) + pitch) % pitch;
  const teeth = Math.max(6, Math.round(190 / pitch));
  const start = x - (teeth / 2) * pitch + shift;
  const d = Array.from(
    { length: teeth },
    () =>
      `l${(pitch * 0.14).toFixed(2)} ${(2 * moduleMm * px).toFixed(2)}h${(pitch * 0.22).toFixed(2)}l${(pitch * 0.14).toFixed(2)} ${(-2 * moduleMm * px).toFixed(2)}h${(pitch * 0.5).toFixed(2)}`,
  ).join('');
  const up = y - moduleMm * px;
  return (
    <path d={`M${start} ${up}${d}v-12h${-teeth * pitch}Z`} className={`fill-sheet ${className}`} strokeWidth="1.1" />
  );
}

/** A member as it is drawn: what it is, how far it has turned, and what is wrong with it. */
export function MemberShape({
  one: { member, radius, moduleMm, phase, secondPhase },
  px,
  x,
  y,
  outline,
  size,
  stroke,
  slideMm,
  moving,
  turns,
  chosen,
  faulty,
}: {
  readonly one: PlacedMember;
  readonly px: number;
  readonly x: number;
  readonly y: number;
  /** Of a belt: its outline from the member before, and its pulleys. */
  readonly outline: ReturnType<typeof beltOutline> | undefined;
  readonly size: BeltSizes[string] | undefined;
  readonly stroke: string;
  readonly slideMm: number;
  readonly moving: string | undefined;
  readonly turns: number;
  readonly chosen: boolean;
  readonly faulty: boolean;
}) {
  const shift = member.shift ?? 0;
  return (
    <>
      {outline && size && (
        <>
          <path d={outline.d} fill="none" className="stroke-rubber" strokeWidth="4" />
          <circle cx={x} cy={y} r={(size.drivenMm / 2) * px} className={`fill-sheet ${stroke}`} strokeWidth="1.2" />
          <path
            d={`M${x} ${y}V${y - (size.drivenMm / 2) * px}`}
            className="stroke-soft"
            transform={`rotate(${(-360 * turns).toFixed(2)} ${x} ${y})`}
          />
        </>
      )}
      {member.kind === 'rack' ? (
        <Rack x={x} y={y} px={px} moduleMm={moduleMm} slideMm={slideMm} className={stroke} />
      ) : member.kind === 'worm' ? (
        <path
          d={`M${x - 14} ${y - 6}h28v12h-28ZM${x - 10} ${y + 6}l6 -12m2 12l6 -12m2 12l6 -12`}
          className={`fill-sheet ${stroke}`}
          strokeWidth="1.2"
        />
      ) : member.kind === 'rollers' || member.kind === 'drum' ? (
        <g>
          <circle cx={x} cy={y} r={radius * px} className={`fill-zone2 ${stroke}`} strokeWidth="1.4" />
          <path
            d={`M${x} ${y}V${y - radius * px}`}
            className={stroke}
            transform={`rotate(${(-360 * turns).toFixed(2)} ${x} ${y})`}
          />
        </g>
      ) : member.teeth > 3 && !size ? (
        <g transform={`translate(${x} ${y})`}>
          <g transform={turned(phase, turns)} className={moving}>
            <Wheel
              teeth={member.teeth}
              moduleMm={moduleMm}
              shift={shift}
              px={px}
              className={`${chosen ? 'fill-zone2' : 'fill-sheet'} ${stroke}`}
            />
            {/* The mark of the first tooth: it shows which way, and how far. */}
            <path d={`M-3 ${-radius * px + 12}h6l-3 -7Z`} className={faulty ? 'fill-live' : 'fill-ink'} />
            {member.faults.includes('cracked') && (
              <path
                d={`M0 0L${radius * px * 0.3} ${-radius * px * 0.4}L${radius * px * 0.2} ${-radius * px * 0.7}L${radius * px * 0.5} ${-radius * px}`}
                className="fill-none stroke-live"
                strokeWidth="2.2"
              />
            )}
          </g>
        </g>
      ) : (
        !size && <circle cx={x} cy={y} r={radius * px} className={`fill-sheet ${stroke}`} strokeWidth="1.4" />
      )}
      {(member.kind === 'doubleGear' || size) && member.second > 3 && (
        <g transform={`translate(${x} ${y})`}>
          <g transform={turned(secondPhase, turns)} className={moving}>
            <Wheel teeth={member.second} moduleMm={moduleMm} shift={0} px={px} className={`fill-zone1 ${stroke}`} />
          </g>
        </g>
      )}
    </>
  );
}

/** The numbers last, so that no wheel lies over a word; their lines first, so that none strikes one out. */
export function TrainLabels({
  placed,
  labels,
  at,
  dy,
  problemId,
  chosenId,
}: {
  readonly placed: readonly PlacedMember[];
  readonly labels: readonly PlacedLabel[];
  readonly at: (one: PlacedMember) => readonly [number, number];
  readonly dy: number;
  readonly problemId: string | undefined;
  readonly chosenId: string | null;
}) {
  return (
    <g aria-hidden className="pointer-events-none">
      {placed.map((one, index) => {
        const [x, y] = at(one);
        const label = labels[index];
        return (
          label && (
            <path
              key={one.member.id}
              d={`M${label.x} ${label.y + dy}L${x} ${y}`}
              className="stroke-soft"
              strokeWidth="0.8"
            />
          )
        );
      })}
      {placed.map((one, index) => {
        const { member, known } = one;
        const label = labels[index];
        const faulty = member.faults.length > 0 || member.id === problemId;
        if (!label) return null;
        const toY = label.y + dy;
        return (
          <g key={member.id}>
            <circle
              cx={label.x}
              cy={toY}
              r={BALLOON_PX}
              strokeWidth={member.id === chosenId ? 2.4 : 1.4}
              className={`fill-sheet ${faulty || member.id === chosenId ? 'stroke-live' : 'stroke-ink'}`}
            />
            <text x={label.x} y={toY + 5} textAnchor="middle" className="fill-ink text-[14px] font-semibold">
              {member.number > 0 ? member.number : index + 1}
            </text>
            <text
              x={label.x + BALLOON_PX + 5}
              y={toY + 5}
              paintOrder="stroke"
              strokeWidth="5"
              className={`stroke-sheet text-[14px] ${faulty ? 'fill-live' : 'fill-ink'}`}
            >
              {wordsOf(member)}
              {known ? '' : ', size assumed'}
            </text>
          </g>
        );
      })}
    </g>
  );
}
