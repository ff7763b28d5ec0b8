import { useMemo } from 'react';
import { THRESHOLDS } from '@loose-pulley/core/base/thresholds';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { inHundred, measurableName } from '@loose-pulley/core/belts/probability';
import { append, openRecord, type EventBody } from '@loose-pulley/core/record/ticket';
import { chanceOf, driveView, type Bench, type DriveView } from '@loose-pulley/core/views/drive';
import { useOwned } from '../../parts/ticket/useOwned';
import { useRecommendation } from '../../parts/ticket/useRecommendation';
import { SectionSign } from '../../parts/ui/SectionSign';
import { useBench } from '../../state/store/assumptions';
import { useUnit } from '../../state/store/hooks';

const DRIVE = 'now';
const AT = '2000-01-01T00:00:00Z';

/** A drive of which nothing is known but these readings: the same view as a ticket with them would give. */
function viewOf(readings: readonly EventBody[], bench: Bench): DriveView | undefined {
  const details = { number: '', machine: '', loader: 'tray', serial: '', owner: '' } as const;
  const opened = openRecord({
    type: 'ticketOpened',
    ticketId: 'now',
    driveId: DRIVE,
    details,
    complaint: null,
    id: 'e0',
    at: AT,
  });
  if (!opened.ok) return undefined;
  let record = opened.value;
  for (const [index, body] of readings.entries()) {
    const next = append(record, { ...body, id: `e${index + 1}`, at: AT });
    if (!next.ok) return undefined;
    record = next.value;
  }
  const [drive] = record.ticket.drives;
  return drive && driveView(record.ticket, drive, bench);
}

/** What tells readings apart: the same ones typed again are not worked out again. */
const keyOf = (readings: readonly EventBody[]): string =>
  JSON.stringify(
    readings.map((body) =>
      body.type === 'readingTaken'
        ? [body.reading.measurand, body.reading.method, body.reading.amount, body.reading.aux, body.reading.ownStd]
        : body,
    ),
  );

/** The belt to have by one figure, at once: how likely, what that rests on, and the reading most worth taking next. */
export default function AtOnce({ readingsOf }: { readonly readingsOf: (driveId: string) => readonly EventBody[] }) {
  const bench = useBench();
  const readings = readingsOf(DRIVE);
  const key = keyOf(readings);
  // The ids of readings are new each time; what they say is the key.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const view = useMemo(() => viewOf(readings, bench), [key, bench]);
  if (!view) return null;
  if (!view.situation.ok) return <p className="text-sm text-soft">{view.situation.problem}</p>;
  return <Found view={view} inferred={view.situation.value.pathFromOldBelt === true} />;
}

/** What the answer takes for granted, in words: nothing assumed is hidden. */
function assumedIn(view: DriveView, inferred: boolean): string {
  const { sectionUnmeasured } = view.facts;
  const rests = inferred
    ? 'From the old belt alone: pulleys, motor and tray'
    : view.facts.drive
      ? 'From pulleys and distance: motor and tray'
      : 'From the path alone: pulleys, motor and tray';
  if (sectionUnmeasured === 'as usual') return `${rests} as they usually are, and its section too.`;
  return `${rests} as they usually are${sectionUnmeasured ? `, its section ${sectionUnmeasured}` : ''}.`;
}

/** How many other belts are named beside the first. */
const OTHERS = 3;

function Found({ view, inferred }: { readonly view: DriveView; readonly inferred: boolean }) {
  const unit = useUnit();
  const recommendation = useRecommendation(view);
  const owned = useOwned(view);
  const { status, answer, nothingFits, ranking, first } = recommendation;
  const best = recommendation.best ?? first;
  const chance = chanceOf(recommendation, best?.catalogueBelt);
  const item = best && owned.get(best.catalogueBelt.id);
  const worth = answer?.values.find(({ gain }) => gain >= THRESHOLDS.tie);
  const others = ranking.candidates
    .filter(({ catalogueBelt }) => catalogueBelt.id !== best?.catalogueBelt.id)
    .flatMap((one) => {
      const its = chanceOf(recommendation, one.catalogueBelt);
      return its ? [{ belt: one.catalogueBelt, works: its.works }] : [];
    })
    .sort((a, b) => b.works - a.works)
    .slice(0, OTHERS);
  return (
    <section aria-label="The belt by this" aria-busy={status !== 'settled'}>
      <p className="text-sm text-soft">
        {nothingFits
          ? 'Nothing in stock fits; nearest is'
          : item
            ? 'The belt to take from the drawer'
            : 'The belt to buy'}
      </p>
      <p className="min-h-[1.25em] text-[38px] leading-tight font-bold whitespace-nowrap">
        {best && (
          <>
            <SectionSign shape={best.catalogueBelt.shape} /> {beltLabel(best.catalogueBelt, unit).size}
          </>
        )}
      </p>
      <p className="min-h-[1.5em]">
        {chance ? (
          <>
            Works in <strong>{inHundred(chance.works)}</strong>
            {status !== 'settled' && ', a first estimate'}
            {item?.place && `; it lies in ${item.place}`}.
          </>
        ) : (
          'A first estimate, by the best values alone.'
        )}
      </p>
      <p className="min-h-[2.8em] text-sm text-soft">
        {assumedIn(view, inferred)}
        {status === 'settled' &&
          (worth
            ? ` Worth most next: ${measurableName(worth.what, view.driven, inferred)}, ${Math.max(1, Math.round(100 * worth.gain))} in 100 better.`
            : ' No single reading would better the choice by one in a hundred.')}
      </p>
      <ul aria-label="Or" className="mt-1 min-h-[75px] text-[15px] max-lg:hidden">
        {others.map(({ belt, works }) => (
          <li key={belt.id} className="flex justify-between border-t border-hair py-0.5">
            <span>or {beltLabel(belt, unit).size}</span>
            <span className="text-soft">{inHundred(works)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
