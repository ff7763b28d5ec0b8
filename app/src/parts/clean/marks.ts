import { AGENT_NAMES, DIRT_NAMES } from '@loose-pulley/core/work/compatibility';
import { PLACE_KNOWN } from '@loose-pulley/core/work/cleaning';
import type { PlaceView } from '@loose-pulley/core/views/clean';
import { clock, timerState } from '@loose-pulley/core/base/timers';

/** One thing that the map says of a place: by shape and by word, colour never alone. */
export interface PlaceMark {
  readonly sign: 'dirt' | 'clean' | 'oil' | 'clock' | 'keepDry' | 'left';
  readonly word: string;
  readonly live: boolean;
}

/**
 * What the map says of a place, what matters first: what dries, what is on it, what was put on, what is left, and that
 * no oil may reach it.
 */
export function marksAt({ place, state, timer, suggested }: PlaceView, nowMs: number): readonly PlaceMark[] {
  const marks: PlaceMark[] = [];
  const running = timer && timerState(timer, nowMs);
  if (running?.status === 'running')
    marks.push({
      sign: 'clock',
      word: `${timer?.what.split(' ').at(-1) ?? ''} ${clock(running.leftS)}`.trim(),
      live: true,
    });
  if (running?.status === 'due') marks.push({ sign: 'clock', word: 'time is up', live: true });
  if (state.standing.length > 0)
    marks.push({
      sign: 'dirt',
      word: state.standing.map((dirt) => (dirt === 'dry' ? 'dry' : DIRT_NAMES[dirt])).join(', '),
      live: true,
    });
  else if (state.clean) marks.push({ sign: 'clean', word: state.tacky ? 'clean, tacky' : 'clean', live: false });
  else if (state.lastSwab) marks.push({ sign: 'dirt', word: `swab ${state.lastSwab}`, live: true });
  if (state.lubricant) marks.push({ sign: 'oil', word: AGENT_NAMES[state.lubricant], live: false });
  if (place.left !== '') marks.push({ sign: 'left', word: place.left, live: true });
  if (!suggested && PLACE_KNOWN[place.kind].keepFreeOfOil && marks.length === 0)
    marks.push({ sign: 'keepDry', word: 'no oil', live: false });
  return marks;
}
