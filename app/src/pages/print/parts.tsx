import { trainSaid } from '@loose-pulley/core/views/train';
import {
  CHECKS,
  checksFor,
  circumstanceWords,
  countedBefore,
  failedKinds,
  failedUnder,
  kindWords,
  leastClean,
  figureWords,
  cleanRunState,
  cleanRunWords,
  tally,
  tallyWords,
  timedPairs,
  timesWords,
} from '@loose-pulley/core/work/proving';
import { type Ticket } from '@loose-pulley/core/record/ticket';
import { counted } from '@loose-pulley/core/base/units';
import { usePicture } from '../../parts/pictures/usePicture';
import {
  AFTER_UNPLUGGING_NAMES,
  CHECK_STATE_NAMES,
  EVIDENCE_NAMES,
  OFFER_NAMES,
  VERDICT_STATE_NAMES,
  type Picture,
} from '@loose-pulley/core/record/stations';

/** How it arrived: what went before, what it showed of others, and whether minutes unplugged did anything. */
export function ArrivalOnPaper({ ticket }: { readonly ticket: Ticket }) {
  const { story, evidence, afterUnplugging } = ticket;
  if (story.trim() === '' && evidence.length === 0 && !afterUnplugging) return null;
  return (
    <section className="break-inside-avoid border-b border-hair py-2">
      <h3 className="text-base">On arrival</h3>
      {story.trim() !== '' && <p className="whitespace-pre-wrap">{story}</p>}
      {evidence.map(({ id, kind, words, age }) => (
        <p key={id}>{[EVIDENCE_NAMES[kind], words, age && `${age} old, by its looks`].filter(Boolean).join(', ')}</p>
      ))}
      {afterUnplugging && (
        <p>Tried again after some minutes unplugged: {AFTER_UNPLUGGING_NAMES[afterUnplugging.result]}.</p>
      )}
    </section>
  );
}

/** What an owner far away answered. */
export function AnswersOnPaper({ ticket }: { readonly ticket: Ticket }) {
  if (ticket.ownerAnswers.length === 0) return null;
  const asked = new Map(
    ticket.questionSheets.flatMap(({ id, questions }) =>
      questions.map((one) => [`${id} ${one.id}`, one.text] as const),
    ),
  );
  return (
    <section className="border-b border-hair py-2">
      <h3 className="text-base">The owner answered</h3>
      {ticket.ownerAnswers.flatMap(({ sheetId, answers }) =>
        answers
          .filter(({ text }) => text !== '')
          .map(({ questionId, text }) => (
            <p key={sheetId + questionId}>
              <span className="text-soft">{asked.get(`${sheetId} ${questionId}`)}</span> {text}
            </p>
          )),
      )}
    </section>
  );
}

/** What was offered, and who decided what. */
export function OffersOnPaper({ ticket }: { readonly ticket: Ticket }) {
  if (ticket.offers.length === 0) return null;
  return (
    <section className="break-inside-avoid border-b border-hair py-2">
      <h3 className="text-base">Offered</h3>
      {ticket.offers.map(({ id, what, answer, by }) => (
        <p key={id}>
          {what}: <strong>{OFFER_NAMES[answer]}</strong>
          {by && `, ${by}`}
        </p>
      ))}
    </section>
  );
}

/** What the technician said it is, and is not. */
export function VerdictsOnPaper({ ticket }: { readonly ticket: Ticket }) {
  if (ticket.verdicts.length === 0) return null;
  return (
    <section className="break-inside-avoid border-b border-hair py-2">
      <h3 className="text-base">The technician’s verdict</h3>
      {ticket.verdicts.map(({ causeId, words, state }) => (
        <p key={causeId}>
          {words}: <strong>{VERDICT_STATE_NAMES[state]}</strong>
        </p>
      ))}
    </section>
  );
}

const PICTURES_ON_PAPER = 12;

/** The first pictures, small. */
export function PicturesOnPaper({ ticket }: { readonly ticket: Ticket }) {
  if (ticket.pictures.length === 0) return null;
  return (
    <section className="border-b border-hair py-2">
      <h3 className="text-base">Pictures</h3>
      <div className="grid grid-cols-3 gap-3">
        {ticket.pictures.slice(0, PICTURES_ON_PAPER).map((picture, index) => (
          <PaperPicture key={picture.id} picture={picture} number={index + 1} />
        ))}
      </div>
      {ticket.pictures.length > PICTURES_ON_PAPER && (
        <p className="text-soft">{ticket.pictures.length - PICTURES_ON_PAPER} more are in the ticket’s file.</p>
      )}
    </section>
  );
}

function PaperPicture({ picture, number }: { readonly picture: Picture; readonly number: number }) {
  const { url, missing } = usePicture(picture.id);
  return (
    <figure className="break-inside-avoid">
      {url && <img src={url} alt={picture.caption || `Picture ${number}`} className="w-full" />}
      <figcaption className="text-sm">
        {number}. {picture.caption} {missing && '(not on this machine)'}
      </figcaption>
    </figure>
  );
}

/** What was counted before and after, and how each clean run ended. */
export function CyclesOnPaper({ ticket }: { readonly ticket: Ticket }) {
  if (ticket.cycles.length === 0 && ticket.timings.length === 0) return null;
  const before = countedBefore(ticket.cycles);
  const lastRun = ticket.cleanRuns[ticket.cleanRuns.length - 1];
  const kinds = lastRun ? failedKinds(ticket.cycles, lastRun) : [];
  return (
    <section className="break-inside-avoid border-b border-hair py-2">
      <h3 className="text-base">Counted cycles</h3>
      {before.length > 0 && <p>Before: {tallyWords(tally(before))}</p>}
      {failedUnder(ticket.cycles, undefined).map((under) => (
        <p key={circumstanceWords(under)}>
          Failed {counted(under.failures, 'time')} {circumstanceWords(under)}.
        </p>
      ))}
      {kinds.map((kind) => (
        <p key={kindWords(kind)}>
          Of {kindWords(kind)}: {kind.clean} clean since, {leastClean(kind)} needed
          {kind.always && ', its cause put right'}.
        </p>
      ))}
      {timedPairs(ticket.timings).map(({ what, before: was, after }) => (
        <p key={what}>
          {what}: before {timesWords(was) || 'not timed'}, after {timesWords(after) || 'not timed'}.
        </p>
      ))}
      {ticket.treatments
        // What Clean did stands there, by place.
        .filter(({ id }) => !ticket.cleaning.treatments.some((one) => one.id === id))
        .map(({ id, what }) => (
          <p key={id}>Treated: {what}</p>
        ))}
      {ticket.cleanRuns.map((cleanRun, index) => (
        <p key={cleanRun.id}>
          Clean run {index + 1}: {cleanRunWords(cleanRunState(cleanRun, ticket.cycles))}
        </p>
      ))}
    </section>
  );
}

/** What was shown of the repair, what failed, and what was not shown and why. */
export function ChecksOnPaper({ ticket }: { readonly ticket: Ticket }) {
  const said = checksFor(ticket.loader).flatMap((kind) =>
    ticket.checks.filter((check) => check.kind === kind && check.state !== 'notDone'),
  );
  const notDone = checksFor(ticket.loader).filter((kind) => !said.some((check) => check.kind === kind));
  if (said.length === 0) return null;
  return (
    <section className="break-inside-avoid border-b border-hair py-2">
      <h3 className="text-base">Checks</h3>
      {said.map((check) => (
        <p key={check.kind}>
          {CHECKS[check.kind].name}: <strong>{CHECK_STATE_NAMES[check.state]}</strong>
          {[figureWords(check.kind, check), check.conditions.join(', '), check.note]
            .filter((part) => part !== '')
            .map((part) => `, ${part}`)}
        </p>
      ))}
      {notDone.length > 0 && <p>Not done: {notDone.map((kind) => CHECKS[kind].name.toLowerCase()).join('; ')}.</p>}
    </section>
  );
}

/** Gears, rollers and the tray, as they were measured and tried. */
export function TrainOnPaper({ ticket }: { readonly ticket: Ticket }) {
  const lines = trainSaid(ticket);
  if (lines.length === 0) return null;
  return (
    <section className="break-inside-avoid border-b border-hair py-2">
      <h3 className="text-base">Gears, rollers and the tray</h3>
      {lines.map((line) => (
        <p key={line}>{line}</p>
      ))}
    </section>
  );
}
