import {
  applyStrip,
  blankStep,
  goneBack,
  isOpen,
  newChange,
  newStep,
  offAgain,
  openRemoval,
  TEMPORARY_CHANGES,
  type Step,
  type StepDraft,
  type Strip,
} from '../../work/strip';
import type { Deed } from '../../work/stripLine';
import { ok, refuse, type Result } from '../../base/units';
import type { EventBody, Ticket } from '../../record/ticket';
import type { Disc } from '../../record/stations';

/** By whom and when deeds are done. */
export interface StripBy {
  readonly newId: () => string;
  /** Now, ISO 8601 in UTC. */
  readonly at: string;
  readonly pictureIds?: readonly string[];
  /** The step before which it goes, where it was said to. */
  readonly beforeId?: string | undefined;
}

/** A step as it was said, without what became of it. */
const draftOf = ({
  kind,
  line,
  what,
  fate,
  count,
  missing,
  driverType,
  lengthMm,
  where,
  orientation,
  leaveAlone,
  facts,
}: Step): StepDraft => ({
  ...blankStep(kind, line),
  what,
  fate,
  count,
  missing,
  driverType,
  lengthMm,
  where,
  orientation,
  leaveAlone,
  facts,
});

/** A disc of the bench's own, to try with: nobody waits for it. */
const BENCHS_OWN = /\b(?:test|junk|trial|scrap|blank|our|my|bench[’']?s) (?:dis[ck]|cd|dvd)s?\b/i;

/**
 * The disc that came out: the one that is known to be inside, where exactly one is; else another, of which Take in says
 * whose it is.
 */
function discOut(discs: readonly Disc[], deed: Extract<Deed, { type: 'disc' }>, by: StripBy): Result<Disc | undefined> {
  if (BENCHS_OWN.test(`${deed.condition} ${deed.where}`)) return ok(undefined);
  const inside = discs.filter(({ out, returned }) => out === '' && !returned);
  const [one, other] = inside;
  if (other)
    return refuse(
      `${inside.length} discs are said to be inside. Which of them came out is said at Take in, beside its name.`,
    );
  if (one) return ok({ ...one, out: 'at Strip', condition: one.condition || deed.condition });
  return ok({
    id: by.newId(),
    whose: '',
    where: deed.where.slice(0, 200),
    condition: deed.condition,
    out: 'at Strip',
    returned: false,
  });
}

/**
 * The events of what a line of Strip says, each on the strip that those before it leave: all of it or a sentence.
 *
 * @example stripEventsOf(ticket, [], { newId, at }).value // []
 */
export function stripEventsOf(ticket: Ticket, deeds: readonly Deed[], by: StripBy): Result<readonly EventBody[]> {
  const { at, newId } = by;
  const bodies: EventBody[] = [];
  let strip: Strip = ticket.strip;
  const put = (body: Extract<EventBody, { type: 'stepPut' | 'temporaryChangePut' }>): void => {
    bodies.push(body);
    const next = applyStrip(strip, body);
    if (next.ok) strip = next.value;
  };
  for (const deed of deeds) {
    switch (deed.type) {
      case 'step': {
        const step = { ...newStep(strip, deed.step, newId(), at), pictureIds: by.pictureIds ?? [] };
        put({ type: 'stepPut', step, ...(by.beforeId && { beforeId: by.beforeId }) });
        // Pads bridged before a plug comes off are freed only once that plug is back.
        const pads = strip.temporaryChanges.find(
          (change) => change.kind === 'laserBridged' && isOpen(change) && change.afterStepId === null,
        );
        if (pads && step.kind === 'connector' && openRemoval(step))
          put({ type: 'temporaryChangePut', change: { ...pads, afterStepId: step.id } });
        break;
      }
      case 'change':
        put({ type: 'temporaryChangePut', change: newChange(deed.kind, deed.words, strip, newId(), at) });
        break;
      case 'changeEnds': {
        const change = strip.temporaryChanges.findLast((one) => one.kind === deed.kind && isOpen(one));
        if (!change) return refuse(`${TEMPORARY_CHANGES[deed.kind].name}: no such change is open here.`);
        put({ type: 'temporaryChangePut', change: { ...change, closedAt: at } });
        break;
      }
      case 'again':
      case 'back': {
        const step = strip.steps.find(({ number }) => number === deed.number);
        if (!step) return refuse(`There is no number ${deed.number} on this strip.`);
        if (deed.type === 'back') {
          const off = openRemoval(step);
          if (!off) return refuse(`Number ${deed.number} is not off.`);
          put({ type: 'stepPut', step: goneBack(step, off.off, at) });
          break;
        }
        const off = offAgain(strip, step, at);
        if (!off.ok) return off;
        put({ type: 'stepPut', step: off.value });
        break;
      }
      case 'same': {
        const last = strip.steps.reduce<Step | undefined>(
          (latest, one) => (latest === undefined || one.number > latest.number ? one : latest),
          undefined,
        );
        if (!last) return refuse('Nothing came off yet that could be so again.');
        for (const one of strip.steps.filter(({ line, at: when }) => line === last.line && when === last.at))
          put({
            type: 'stepPut',
            step: newStep(strip, { ...draftOf(one), where: deed.where === '' ? one.where : deed.where }, newId(), at),
          });
        break;
      }
      case 'found':
        bodies.push({
          type: 'foundPut',
          found: {
            id: newId(),
            kind: deed.kind,
            what: deed.what,
            where: deed.where,
            guess: '',
            homed: false,
            pictureIds: [],
          },
        });
        break;
      case 'disc': {
        const disc = discOut(ticket.discs, deed, by);
        if (!disc.ok) return disc;
        if (disc.value) bodies.push({ type: 'discPut', disc: disc.value });
        break;
      }
      case 'moment':
        break;
    }
  }
  return ok(bodies);
}
