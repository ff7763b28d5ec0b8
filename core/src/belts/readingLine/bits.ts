import type { LengthUnit } from '../../base/units';
import type { SectionShape } from '../../base/shapes';
import type { WordRole } from '../../base/spoken';
import type { AuxKey } from '../measuring';

/** A figure as it was said. */
export interface Figure {
  readonly value: number;
  readonly unit: LengthUnit | 'cm' | null;
  /** Of a sum, how many were added up; of 2 × 66.4 the 2. */
  readonly parts: number;
  readonly times: number;
  /** A fraction is inches where nothing else is said. */
  readonly fraction: boolean;
}

/** Something that a stretch of a line says. */
export interface Bit {
  readonly is:
    | 'figure'
    | 'unit'
    | 'part'
    | 'word'
    | 'way'
    | 'length'
    | 'aux'
    | 'shape'
    | 'rough'
    | 'deny'
    | 'idle'
    | 'strange'
    | 'amount'
    | 'size'
    | 'tool'
    | 'line';
  /** Its words with what each is taken for, by token. */
  readonly roles: ReadonlyArray<readonly [token: number, role: WordRole]>;
  readonly figure?: Figure;
  /** A belt named by section × size: the section. */
  readonly section?: Figure;
  readonly way?: string;
  readonly auxKey?: AuxKey;
  readonly shape?: SectionShape;
  readonly n?: number;
  readonly text?: string;
  readonly unit?: LengthUnit | 'cm';
  readonly bits?: readonly Bit[];
}
