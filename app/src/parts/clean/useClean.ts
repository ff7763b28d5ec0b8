import { nanoid } from 'nanoid';
import { useState } from 'react';
import type { Blocked } from '@loose-pulley/core/views/clean';
import { eventsSaid } from '@loose-pulley/core/views/said';
import type { Deed } from '@loose-pulley/core/work/stripLine';
import type { Compatibility, Material } from '@loose-pulley/core/work/compatibility';
import type { TreatmentDeed } from '@loose-pulley/core/work/treatmentLine';
import { recordEvents } from '../../state/persistence/recording';
import { saidAloud } from '../../state/store/openTicket';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../ticket/useTicket';

/** What waits for an answer: what was to be done, and what is asked first. */
export interface Waiting {
  readonly blocked: Blocked;
  readonly deeds: readonly TreatmentDeed[];
  /** What the same line takes off. */
  readonly strip: readonly Deed[];
  readonly beforeId: string | undefined;
  readonly line: string;
  readonly materials: Readonly<Record<string, Material>>;
  readonly materialAsked: boolean;
}

export interface Cleaner {
  readonly table: Compatibility;
  /** What is asked before the last thing said is done; null while nothing is. */
  readonly waiting: Waiting | null;
  /** What to mind of the last thing that was done. */
  readonly cautions: readonly string[];
  /** Does what was said, all of it or nothing; or asks first, or refuses in the foot of the page. */
  readonly say: (
    deeds: readonly TreatmentDeed[],
    line?: string,
    more?: Partial<Waiting>,
  ) => 'done' | 'asks' | 'refused';
  /** Lets what waits be. */
  readonly letBe: () => void;
}

/** Does what is said at Clean, by line or by touch; what may harm is asked about first, and nothing typed is lost. */
export function useClean(table: Compatibility): Cleaner {
  const { ticket } = useTicket();
  const dispatch = useAppDispatch();
  const [waiting, setWaiting] = useState<Waiting | null>(null);
  const [cautions, setCautions] = useState<readonly string[]>([]);
  return {
    table,
    waiting,
    cautions,
    say(deeds, line = '', { materials = {}, materialAsked = false, strip = [], beforeId } = {}) {
      const done = eventsSaid(
        ticket,
        { strip, clean: deeds },
        {
          beforeId,
          table,
          newId: () => nanoid(10),
          at: new Date().toISOString(),
          line,
          materials,
          materialAsked,
        },
      );
      if (done.kind === 'refused') {
        dispatch(saidAloud({ text: done.problem, to: null }));
        return 'refused';
      }
      if (done.kind === 'blocked') {
        setWaiting({ blocked: done.blocked, deeds, strip, beforeId, line, materials, materialAsked });
        setCautions([]);
        return 'asks';
      }
      setWaiting(null);
      setCautions(done.cautions);
      return done.bodies.length === 0 || dispatch(recordEvents(done.bodies)) ? 'done' : 'refused';
    },
    letBe: () => setWaiting(null),
  };
}
