import { memo, useMemo } from 'react';
import { asPathPulleys } from '@loose-pulley/core/physics/geometry';
import { gearOutline } from '@loose-pulley/core/physics/gears';
import { FAULT_NAMES, memberWords, type MemberTurn } from '@loose-pulley/core/physics/train';
import { beltOutline } from '../draw/beltOutline';
import { BALLOON_PX, trainLabels } from './trainLabels';
import { trainLayout, USUAL_BELT, type BeltSizes, type PlacedMember } from './trainLayout';

const MARGIN_PX = 46;

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
const wordsOf = (member: MemberTurn['member']): string =>
  [memberWords(member), ...member.faults.map((fault) => FAULT_NAMES[fault])].join(', ');

/** A turn as the screen has it: anticlockwise is negative there. */
const turned = (phase: number, turns: number): string =>
  `rotate(${(-((phase - Math.PI / 2) * 180) / Math.PI - 360 * turns).toFixed(3)})`;

interface Props {
  readonly turns: readonly MemberTurn[];
  readonly members: readonly MemberTurn['member'][];
  readonly belts: BeltSizes;
  readonly widthPx: number;
  /** How far the motor has turned. */
  readonly motorTurns: number;
  readonly travelPerTurnMm: number | undefined;
  readonly chosenId: string | null;
  readonly problemId: string | undefined;
  readonly onChoose?: (memberId: string) => void;
}

/** From the motor to what moves the disc: true teeth, each turning the right way by the right ratio. */
export function TrainDrawing({
  turns,
  members,
  belts,
  widthPx,
  motorTurns,
  travelPerTurnMm,
  chosenId,
  problemId,
  onChoose,
}: Props) {
  const layout = useMemo(() => trainLayout(members, belts), [members, belts]);
  const { placed, left, right, bottom, top } = layout;
  const px = Math.min(7, (widthPx - 2 * MARGIN_PX) / Math.max(20, right - left), 300 / Math.max(20, top - bottom));
  const bare = ({ x, y }: PlacedMember): readonly [number, number] => [MARGIN_PX + (x - left) * px, (top - y) * px];
  const labels = trainLabels(
    placed.map((one, index) => ({
      x: bare(one)[0],
      y: bare(one)[1],
      reachPx: one.member.kind === 'rack' ? 34 : Math.max(one.radius, one.second) * px,
      words: `${wordsOf(one.member)}${one.known ? '' : ', size assumed'}`,
      // A rack lies over the last wheel: its word goes above it, and the wheel’s below.
      low: one.member.kind !== 'rack' && (placed[index + 1]?.member.kind === 'rack' || index % 2 === 1),
    })),
    widthPx,
  );
  // As high as the wheels and their words need.
  const highest = Math.min(0, ...labels.map(({ y }) => y - BALLOON_PX - 2));
  const lowest = Math.max((top - bottom) * px, ...labels.map(({ y }) => y + BALLOON_PX + 2));
  const heightPx = lowest - highest + 8;
  const at = (one: PlacedMember): readonly [number, number] => [bare(one)[0], bare(one)[1] - highest + 4];
  const turnsOf = (id: string): number => (turns.find(({ member }) => member.id === id)?.turns ?? 0) * motorTurns;
  // Each wheel is painted once and then only turned.
  const moving = motorTurns === 0 ? undefined : 'will-change-transform';
  return (
    <svg
      width={widthPx}
      height={heightPx}
      viewBox={`0 0 ${widthPx} ${heightPx}`}
      role="group"
      aria-label={`The train, ${members.length} members from the motor on`}
      className="max-w-full"
    >
      {placed.map((one, index) => {
        const { member, radius, moduleMm, phase, secondPhase } = one;
        const [x, y] = at(one);
        const driver = placed[index - 1];
        const faulty = member.faults.length > 0 || member.id === problemId;
        const stroke = faulty ? 'stroke-live' : 'stroke-ink';
        const shift = member.shift ?? 0;
        const slideMm = member.kind === 'rack' ? (travelPerTurnMm ?? 0) * motorTurns : 0;
        const size = member.kind === 'beltDrive' ? (belts[member.driveId ?? ''] ?? USUAL_BELT) : undefined;
        const outline =
          size && driver
            ? beltOutline(
                asPathPulleys({
                  motorRadiusMm: size.motorMm / 2,
                  drivenRadiusMm: size.drivenMm / 2,
                  centreDistanceMm: size.centreMm,
                  crossed: false,
                }),
                0,
                { x: at(driver)[0], y: at(driver)[1] },
                px,
              )
            : undefined;
        const words = wordsOf(member);
        return (
          <g
            key={member.id}
            role={onChoose ? 'button' : undefined}
            tabIndex={onChoose ? 0 : undefined}
            aria-pressed={onChoose ? member.id === chosenId : undefined}
            aria-label={onChoose ? `${index + 1} ${words}` : undefined}
            className={onChoose ? 'drawn-button' : undefined}
            onClick={() => onChoose?.(member.id)}
            onKeyDown={(event) => {
              if (!onChoose || (event.key !== 'Enter' && event.key !== ' ')) return;
              event.preventDefault();
              onChoose(member.id);
            }}
          >
            {outline && size && (
              <>
                <path d={outline.d} fill="none" className="stroke-rubber" strokeWidth="4" />
                <circle
                  cx={x}
                  cy={y}
                  r={(size.drivenMm / 2) * px}
                  className={`fill-sheet ${stroke}`}
                  strokeWidth="1.2"
                />
                <path
                  d={`M${x} ${y}V${y - (size.drivenMm / 2) * px}`}
                  className="stroke-soft"
                  transform={`rotate(${(-360 * turnsOf(member.id)).toFixed(2)} ${x} ${y})`}
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
                  transform={`rotate(${(-360 * turnsOf(member.id)).toFixed(2)} ${x} ${y})`}
                />
              </g>
            ) : member.teeth > 3 && !size ? (
              <g transform={`translate(${x} ${y})`}>
                <g transform={turned(phase, turnsOf(member.id))} className={moving}>
                  <Wheel
                    teeth={member.teeth}
                    moduleMm={moduleMm}
                    shift={shift}
                    px={px}
                    className={`${member.id === chosenId ? 'fill-zone2' : 'fill-sheet'} ${stroke}`}
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
                <g transform={turned(secondPhase, turnsOf(member.id))} className={moving}>
                  <Wheel
                    teeth={member.second}
                    moduleMm={moduleMm}
                    shift={0}
                    px={px}
                    className={`fill-zone1 ${stroke}`}
                  />
                </g>
              </g>
            )}
            {member.kind !== 'rack' && <circle cx={x} cy={y} r="2.4" className="fill-ink" />}
          </g>
        );
      })}
      {/* The numbers last, so that no wheel lies over a word; their lines first, so that none strikes one out. */}
      <g aria-hidden className="pointer-events-none">
        {placed.map((one, index) => {
          const [x, y] = at(one);
          const label = labels[index];
          return (
            label && (
              <path
                key={one.member.id}
                d={`M${label.x} ${label.y - highest + 4}L${x} ${y}`}
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
          const toY = label.y - highest + 4;
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
    </svg>
  );
}

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
