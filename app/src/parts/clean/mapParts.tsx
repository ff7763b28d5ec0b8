import type { KeyboardEvent, ReactNode } from 'react';
import type { PlaceView } from '@loose-pulley/core/views/clean';
import { marksAt, type PlaceMark } from './marks';

const BALLOON_PX = 13;

/** Signs: a hatched patch for dirt, a tick for clean, a drop for oil, a clock line, a bar for what stays dry. */
export function Sign({ mark, x, y }: { readonly mark: PlaceMark; readonly x: number; readonly y: number }) {
  const stroke = mark.live ? 'stroke-live' : 'stroke-ink';
  const at = `translate(${x} ${y})`;
  switch (mark.sign) {
    case 'dirt':
      return (
        <path
          transform={at}
          d="M0 0h12v10h-12Z M0 5L5 0M0 10L10 0M5 10L12 3"
          className={`fill-none ${stroke}`}
          strokeWidth="1.1"
        />
      );
    case 'clean':
      return <path transform={at} d="M1 5L5 9L12 0" className={`fill-none ${stroke}`} strokeWidth="1.8" />;
    case 'oil':
      return (
        <path transform={at} d="M6 0C9 4 10 6 10 7.5A4 4 0 0 1 2 7.5C2 6 3 4 6 0Z" className="fill-ink stroke-ink" />
      );
    case 'clock':
      return (
        <path
          transform={at}
          d="M0 5A5.5 5.5 0 1 1 11 5A5.5 5.5 0 1 1 0 5M5.5 1.5V5L8 6.5"
          className={`fill-none ${stroke}`}
          strokeWidth="1.3"
        />
      );
    case 'keepDry':
      return (
        <path
          transform={at}
          d="M6 0C9 4 10 6 10 7.5A4 4 0 0 1 2 7.5C2 6 3 4 6 0ZM0 10L12 0"
          className={`fill-none ${stroke}`}
          strokeWidth="1.2"
        />
      );
    case 'left':
      return (
        <path transform={at} d="M6 0L12 10H0ZM6 4V7M6 8.4V8.9" className={`fill-none ${stroke}`} strokeWidth="1.2" />
      );
  }
}

/** So many letters fit on a line of a cell. */
export const fitted = (words: string, px: number): string => {
  const most = Math.max(6, Math.floor(px / 7));
  return words.length > most ? `${words.slice(0, most - 1)}…` : words;
};

/** What is pressed to choose a place, with everything that is drawn of it; plain drawing on paper. */
export function Spot({
  view,
  chosen,
  nowMs,
  onChoose,
  x,
  y,
  widthPx,
  heightPx,
  children,
}: {
  readonly view: PlaceView;
  readonly chosen: boolean;
  readonly nowMs: number;
  readonly onChoose: ((placeId: string) => void) | undefined;
  readonly x: number;
  readonly y: number;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly children: ReactNode;
}) {
  const { place } = view;
  const words = marksAt(view, nowMs).map(({ word }) => word);
  const ground = (
    <rect
      x={x + 0.5}
      y={y + 0.5}
      width={widthPx - 1}
      height={heightPx - 1}
      className={chosen ? 'fill-zone1 stroke-live' : 'fill-transparent stroke-hair'}
      strokeWidth={chosen ? 2.5 : 1}
    />
  );
  if (!onChoose)
    return (
      <g>
        {ground}
        {children}
      </g>
    );
  return (
    <g
      role="button"
      tabIndex={0}
      aria-pressed={chosen}
      aria-label={[place.number > 0 ? `Number ${place.number}` : '', place.name, ...words].filter(Boolean).join(', ')}
      className="cursor-pointer"
      onClick={() => onChoose(place.id)}
      onKeyDown={(event: KeyboardEvent) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        onChoose(place.id);
      }}
    >
      {ground}
      {children}
    </g>
  );
}

/** The number in its circle; dotted until something is said of the place. */
export function Balloon({
  view: { place, suggested },
  x,
  y,
}: {
  readonly view: PlaceView;
  readonly x: number;
  readonly y: number;
}) {
  return (
    <>
      <circle
        cx={x}
        cy={y}
        r={BALLOON_PX}
        className="fill-sheet stroke-ink"
        strokeWidth="1.4"
        strokeDasharray={suggested ? '3 3' : undefined}
      />
      {place.number > 0 && (
        <text x={x} y={y + 5} textAnchor="middle" className="fill-ink text-[14px] font-semibold">
          {place.number}
        </text>
      )}
    </>
  );
}

/** The name of a place and its marks, each with its word. */
export function Says({
  view,
  nowMs,
  x,
  y,
  widthPx,
}: {
  readonly view: PlaceView;
  readonly nowMs: number;
  readonly x: number;
  readonly y: number;
  readonly widthPx: number;
}) {
  const marks = marksAt(view, nowMs).slice(0, 2);
  return (
    <>
      <text x={x} y={y} className="fill-ink text-[15px] font-semibold">
        {fitted(view.place.name, widthPx)}
      </text>
      {marks.map((mark, index) => (
        <g key={mark.sign}>
          <Sign mark={mark} x={x} y={y + 8 + index * 19} />
          <text
            x={x + 18}
            y={y + 18 + index * 19}
            className={mark.live ? 'fill-live text-[14px]' : 'fill-soft text-[14px]'}
          >
            {fitted(mark.word, widthPx - 18)}
          </text>
        </g>
      ))}
    </>
  );
}
