import { useMemo } from 'react';
import { asPathPulleys } from '@loose-pulley/core/physics/geometry';
import type { MemberTurn } from '@loose-pulley/core/physics/train';
import { beltOutline } from '../draw/beltOutline';
import { MemberShape, TrainLabels, wordsOf } from './TrainMarks';
import { BALLOON_PX, trainLabels } from './trainLabels';
import { trainLayout, USUAL_BELT, type BeltSizes, type PlacedMember } from './trainLayout';

const MARGIN_PX = 46;

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
        const { member } = one;
        const [x, y] = at(one);
        const driver = placed[index - 1];
        const faulty = member.faults.length > 0 || member.id === problemId;
        const stroke = faulty ? 'stroke-live' : 'stroke-ink';
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
            <MemberShape
              {...{ one, px, x, y, outline, size, stroke, slideMm, moving, faulty }}
              turns={turnsOf(member.id)}
              chosen={member.id === chosenId}
            />
            {member.kind !== 'rack' && <circle cx={x} cy={y} r="2.4" className="fill-ink" />}
          </g>
        );
      })}
      <TrainLabels {...{ placed, labels, at, problemId, chosenId }} dy={4 - highest} />
    </svg>
  );
}
