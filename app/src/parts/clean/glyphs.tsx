import type { ReactNode } from 'react';
import type { PlaceKind } from '@loose-pulley/core/work/cleaning';

/** The teeth of a wheel, drawn once round. */
function toothed(cx: number, cy: number, radius: number, teeth: number): string {
  const points: string[] = [];
  for (let i = 0; i < teeth; i++) {
    const at = (share: number, r: number): string => {
      const angle = ((i + share) / teeth) * 2 * Math.PI;
      return `${(cx + r * Math.cos(angle)).toFixed(1)} ${(cy + r * Math.sin(angle)).toFixed(1)}`;
    };
    points.push(at(0, radius), at(0.18, radius + 4), at(0.42, radius + 4), at(0.6, radius));
  }
  return `M${points.join('L')}Z`;
}
const RACK = `M14 32${Array.from({ length: 9 }, () => 'l3 -8h4l3 8h1').join('')}V42H14Z`;

/** Each kind of place as a service drawing has it, in a box of 120 by 56. The pulleys and the belt are drawn together. */
export const GLYPHS: Readonly<Record<PlaceKind, ReactNode>> = {
  motorPulley: <circle cx="60" cy="28" r="12" />,
  drivenPulley: <circle cx="60" cy="28" r="22" />,
  idler: <circle cx="60" cy="28" r="9" />,
  belt: <path d="M38 14h44a14 14 0 0 1 0 28h-44a14 14 0 0 1 0 -28Z" strokeWidth="4" />,
  bushing: (
    <>
      <path d="M18 22H52M18 34H52M68 22H102M68 34H102" />
      <rect x="50" y="12" width="20" height="32" />
      <path d="M8 28H112" strokeDasharray="10 3 2 3" className="stroke-soft" strokeWidth="0.8" />
    </>
  ),
  shaft: (
    <>
      <path d="M14 23H106V33H14Z" />
      <path d="M8 28H112" strokeDasharray="10 3 2 3" className="stroke-soft" strokeWidth="0.8" />
    </>
  ),
  rod: <path d="M8 16H112V22H8ZM8 36H112V42H8Z" />,
  guide: <path d="M12 14V42H20V22H100V42H108V14Z" />,
  rack: <path d={RACK} />,
  gear: (
    <>
      <path d={toothed(60, 28, 19, 16)} />
      <circle cx="60" cy="28" r="4" />
    </>
  ),
  roller: (
    <>
      <rect x="22" y="16" width="76" height="24" rx="3" className="fill-zone2" />
      <path d="M8 28H22M98 28H112" strokeWidth="4" />
    </>
  ),
  clamp: (
    <>
      <path d="M32 34H88L80 20H40Z" />
      <path d="M60 20V10M24 42H96" />
    </>
  ),
  switch: (
    <>
      <rect x="30" y="24" width="44" height="20" />
      <path d="M34 24L92 12M92 12v6M40 44v6M52 44v6M64 44v6" />
    </>
  ),
  lens: (
    <>
      <circle cx="60" cy="28" r="20" />
      <circle cx="60" cy="28" r="9" className="fill-zone2" />
      <path d="M54 24q4 -5 10 -3" />
    </>
  ),
  head: <path d="M14 16H78L92 26H100V30H92L78 28H14ZM14 42H78L92 34H100" />,
  pot: (
    <>
      <circle cx="60" cy="28" r="20" />
      <path d="M60 28L72 14M48 44v8M60 48v4M72 44v8" />
    </>
  ),
  key: <path d="M22 38L28 16H52L58 38ZM66 38L72 16H96L102 38ZM22 38H58V44H22ZM66 38H102V44H66Z" />,
  contact: <path d="M24 12H96V30H24ZM32 30v14M44 30v14M56 30v14M68 30v14M80 30v14M90 30v14" />,
  spindle: (
    <>
      <ellipse cx="60" cy="18" rx="26" ry="7" />
      <path d="M56 24V44H64V24M44 44H76" />
    </>
  ),
  floor: <path d="M14 40L36 18H106L86 40ZM14 40v6H86v-6M86 46L106 24V18" />,
  part: <path d="M38 14H82V42H38ZM38 14L50 6H94V34L82 42M82 14L94 6" />,
};
