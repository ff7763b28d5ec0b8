import { provisionalNow } from '@loose-pulley/core/record/ticket';
import { writtenDay } from '../../state/written';
import { loaderOf } from '@loose-pulley/core/base/loaders';
import { handBackSentences, type Sentence } from '@loose-pulley/core/views/handBack';
import { lazy, Suspense, useRef, useState } from 'react';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { figure, figureSpread, figureUnit } from '@loose-pulley/core/belts/measuring';
import {
  chanceOf,
  chanceOnBench,
  judgedFitted,
  wantedWords,
  type DriveView,
  type Recommendation,
} from '@loose-pulley/core/views/drive';
import { inHundred } from '@loose-pulley/core/belts/probability';
import { inRoomWords, ZONE_NAMES } from '@loose-pulley/core/belts/sizing';
import { formatForce, formatLength, formatPercent, type LengthUnit, formatSpread } from '@loose-pulley/core/base/units';
import { useUnit } from '../../state/store/hooks';
import { useRecommendations } from '../../parts/ticket/useRecommendation';
import { useDriveViews } from '../../parts/ticket/useDriveView';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Check } from '../../parts/ui/Check';
import { BeltName } from '../../parts/ui/SectionSign';
import { writeTicketName } from '../../parts/ticket/names';
import { download } from '../../parts/ui/download';
import { onePage } from './onePage';
import { CleanOnPaper } from './CleanOnPaper';
import { Told } from '../../parts/papers/Told';
import { BenchName, useBenchName } from './BenchName';
import Conflicts from '../../parts/measuring/Conflicts';
import { PaperDrawing } from './PaperDrawing';
import {
  AnswersOnPaper,
  ArrivalOnPaper,
  ChecksOnPaper,
  CyclesOnPaper,
  OffersOnPaper,
  PicturesOnPaper,
  TrainOnPaper,
  VerdictsOnPaper,
} from './parts';
import {
  COMPLAINT_STATE_NAMES,
  FITTED_BECAUSE_NAMES,
  readingName,
  OLD_STATE_NAMES,
  SOUND_NAMES,
  STATION_NAMES,
  STATIONS,
  VERDICT_NAMES,
} from '@loose-pulley/core/record/stations';

// For the few who want it there.
const CycleOnPaper = lazy(() => import('../../parts/cycles/CycleOnPaper'));

/** The bench sheet: one page for the file, from the ticket alone. A4 and Letter. */
export function SheetPage() {
  const { ticket } = useTicket();
  const unit = useUnit();
  const { handBack } = ticket;
  const provisional = provisionalNow(ticket);
  const bench = useBenchName();
  const views = useDriveViews();
  const recommendations = useRecommendations(views);
  const [withCycle, setWithCycle] = useState(false);
  const [cycleRan, setCycleRan] = useState(false);
  // What a finer calculation may yet change is not printed.
  const settled = recommendations.every(({ status }, index) => status === 'settled' || !views[index]?.situation.ok);
  const ready = settled && (!withCycle || cycleRan);
  const paper = useRef<HTMLElement>(null);
  const save = (): void => {
    if (!paper.current) return;
    const title = `Bench sheet ${ticket.number} ${ticket.machine}`;
    download(`${writeTicketName(ticket)}-sheet.html`, onePage(title, paper.current), 'text/html');
  };
  const paragraphs = [
    ['Not tested, and why', handBack.notTested],
    [
      'Provisional',
      [provisional.text, provisional.dueOn && `Due ${writtenDay(provisional.dueOn)}.`].filter(Boolean).join(' '),
    ],
    [
      'Discs',
      ticket.discs
        .map(({ whose, where, condition, out, returned }) =>
          [
            whose || 'whose is not known',
            where,
            condition,
            out && `out at ${out}`,
            returned ? 'returned' : 'NOT returned',
          ]
            .filter(Boolean)
            .join(', '),
        )
        .join('\n'),
    ],
  ] as const;
  const notes = STATIONS.filter((station) => ticket.notes[station].trim() !== '');
  return (
    <div className="px-5 py-5">
      <div className="mb-4 flex flex-wrap items-center gap-3 print:hidden">
        <Button look="strong" disabled={!ready} onClick={() => window.print()}>
          Print the bench sheet
        </Button>
        <Button disabled={!ready} onClick={save}>
          Save as one page
        </Button>
        <span className="text-soft">
          A4 or Letter. The page opens in any browser, by itself. Press a sentence to see what it rests on.
        </span>
        <BenchName />
        <Check checked={withCycle} onCheck={(on) => setWithCycle(on)}>
          With a cycle, as it would run
        </Check>
      </div>
      <article
        ref={paper}
        aria-label="Bench sheet"
        className="mx-auto max-w-[190mm] border border-hair bg-sheet p-6 text-[15px] leading-snug print:max-w-none print:border-0 print:p-0 print:text-[10.5pt]"
      >
        <header className="flex items-end justify-between gap-6 border-b-2 border-ink pb-2">
          <div>
            <p className="text-sm text-soft">Bench sheet{bench !== '' && `, ${bench}`}</p>
            <h2 className="text-2xl font-bold">
              {ticket.number} {ticket.machine}
            </h2>
          </div>
          <p className="text-right text-sm">
            came in {writtenDay(ticket.openedAt)}
            <br />
            {ticket.closedAt ? `handed back ${writtenDay(ticket.closedAt)}` : 'not handed back yet'}
          </p>
        </header>
        <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-0.5 border-b border-hair py-2">
          {(
            [
              ['Whose', ticket.owner],
              ['Serial', ticket.serial],
              ['Kind', loaderOf(ticket.loader).name],
            ] as const
          )
            .filter(([, value]) => value !== '')
            .map(([name, value]) => (
              <div key={name} className="contents">
                <dt className="text-soft">{name}</dt>
                <dd>{value}</dd>
              </div>
            ))}
        </dl>
        {ticket.complaints.length > 0 && (
          <section className="break-inside-avoid border-b border-hair py-2">
            <h3 className="text-base">Complaints</h3>
            {ticket.complaints.map((one) => (
              <p key={one.id}>
                “{one.words}”: <strong>{COMPLAINT_STATE_NAMES[one.state]}</strong>
                {one.sounds.length > 0 && ` · heard: ${one.sounds.map((sound) => SOUND_NAMES[sound]).join(', ')}`}
                {one.before && ` · before: ${one.before}`}
                {one.after && ` · after: ${one.after}`}
              </p>
            ))}
          </section>
        )}
        <ArrivalOnPaper ticket={ticket} />
        <AnswersOnPaper ticket={ticket} />
        <VerdictsOnPaper ticket={ticket} />
        <CyclesOnPaper ticket={ticket} />
        <ChecksOnPaper ticket={ticket} />
        {views.map((view, index) => {
          const recommendation = recommendations[index];
          return (
            recommendation && (
              <DriveOnPaper key={view.drive.id} view={view} recommendation={recommendation} unit={unit} />
            )
          );
        })}
        {withCycle && (
          <Suspense fallback={null}>
            <CycleOnPaper onRun={setCycleRan} />
          </Suspense>
        )}
        {/* Short ones side by side, so that none of them is alone on a second page. */}
        <div className="print:grid print:grid-cols-2 print:gap-x-8">
          {(
            [
              ['Found', 'found'],
              ['Done', 'done'],
              ['Noticed and left', 'left'],
            ] as const
          ).map(([title, field]) => (
            <SentencesOnPaper key={field} title={title} sentences={handBackSentences(ticket, field)} />
          ))}
          {paragraphs
            .filter(([, text]) => text.trim() !== '')
            .map(([title, text]) => (
              <section key={title} className="break-inside-avoid border-b border-hair py-2">
                <h3 className="text-base">{title}</h3>
                <p className="whitespace-pre-wrap">{text}</p>
              </section>
            ))}
          <OffersOnPaper ticket={ticket} />
          {(handBack.minutes !== null || handBack.cost !== '') && (
            <p className="border-b border-hair py-2">
              {handBack.minutes !== null && `Bench time ${handBack.minutes} minutes. `}
              {handBack.cost !== '' && `Cost ${handBack.cost}.`}
            </p>
          )}
          {ticket.closedDespite !== '' && (
            <p className="break-inside-avoid border-b border-hair py-2">
              <strong>Handed back anyway, because:</strong> {ticket.closedDespite}
            </p>
          )}
        </div>
        <CleanOnPaper ticket={ticket} />
        <TrainOnPaper ticket={ticket} />
        {notes.length > 0 && (
          <section className="break-inside-avoid border-b border-hair py-2">
            <h3 className="text-base">Notes</h3>
            {notes.map((station) => (
              <p key={station} className="whitespace-pre-wrap">
                <span className="text-soft">{STATION_NAMES[station]}:</span> {ticket.notes[station]}
              </p>
            ))}
          </section>
        )}
        <PicturesOnPaper ticket={ticket} />
        <div className="break-inside-avoid print:break-before-avoid">
          <footer className="flex justify-between gap-8 pt-8 text-sm print:pt-7">
            <span className="grow border-t border-ink pt-1">technician</span>
            <span className="grow border-t border-ink pt-1">date</span>
          </footer>
          <p className="pt-3 text-sm text-soft">
            Sizes are relaxed inner lengths unless said otherwise; ± is two standard uncertainties. Unplug before
            opening. Local rules and licensed practice come first.
          </p>
        </div>
      </article>
    </div>
  );
}

/** Sentences of the sheet under their heading; on screen each opens to what it rests on. */
function SentencesOnPaper({ title, sentences }: { readonly title: string; readonly sentences: readonly Sentence[] }) {
  if (sentences.length === 0) return null;
  return (
    <section className="break-inside-avoid border-b border-hair py-2">
      <h3 className="text-base">{title}</h3>
      {sentences.map((sentence) => (
        <Told key={sentence.text} sentence={sentence} />
      ))}
    </section>
  );
}

/** One drive on the sheet: its drawing at 1:1 where it fits, its readings, what is recommended, what was fitted and how it stands. */
function DriveOnPaper({
  view,
  recommendation,
  unit,
}: {
  readonly view: DriveView;
  readonly recommendation: Recommendation;
  readonly unit: LengthUnit;
}) {
  const { drive, facts, situation, finding, fitted } = view;
  const ready = recommendation.status === 'settled';
  if (drive.readings.length === 0 && drive.tries.length === 0) return null;
  const judgement = judgedFitted(view);
  const { best } = recommendation;
  const chance = chanceOf(recommendation, best?.catalogueBelt);
  const onBench = chanceOnBench(recommendation, best?.catalogueBelt);
  const write = (mm: number) => formatLength(mm, unit);
  return (
    <section className="border-b border-hair py-2">
      <h3 className="text-base">
        Drive {drive.name}
        {drive.role && `, ${drive.role}`}
        {drive.mechanism && <span className="font-normal text-soft"> · mechanism {drive.mechanism}</span>}
      </h3>
      {facts.drive && !facts.driveProblem && <PaperDrawing facts={facts} belt={judgement?.belt} unit={unit} />}
      {facts.driveProblem && <p>{facts.driveProblem}</p>}
      <Conflicts view={view} />
      <table className="w-full border-collapse">
        <tbody>
          {facts.results.map(({ reading, read, problem, odd }) => (
            <tr key={reading.id} className="border-b border-hair align-top">
              <td className="py-0.5 pr-3">{readingName(reading)}</td>
              <td className="py-0.5 pr-3 text-right whitespace-nowrap">
                {figure(reading.measurand, reading.amount, unit)} {figureUnit(reading.measurand, unit)}
              </td>
              <td className="py-0.5 text-right">
                {read ? `${read.arithmetic(write)} ± ${figureSpread(reading.measurand, 2 * read.std, unit)}` : problem}
                {odd ? ' (odd one out)' : ''}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="pt-1">
        {facts.path && (
          <>
            Path <strong>{write(facts.path.value)}</strong> ± {formatSpread(2 * facts.path.std, unit)} {unit}.{' '}
          </>
        )}
        {drive.oldState !== 'unknown' && `Old belt found ${OLD_STATE_NAMES[drive.oldState]}. `}
        {finding && facts.oldBelt && (
          <>
            Old belt {write(facts.oldBelt.value)} ± {formatSpread(2 * facts.oldBelt.std, unit)} {unit},{' '}
            {finding.excessMm > 0
              ? `${formatSpread(finding.excessMm, unit)} longer than its path`
              : `${formatSpread(-finding.excessMm, unit)} shorter than its path`}
            .
          </>
        )}
      </p>
      {drive.tries.length > 0 && (
        <ol className="pt-1">
          {drive.tries.map((one, index) => (
            <li key={one.id}>
              {index + 1}.{' '}
              <strong>
                <BeltName shape={one.shape} size={beltLabel(one, unit).size} />
              </strong>{' '}
              <span className="text-soft">
                ({beltLabel(one, unit).words}, {one.source})
              </span>
              : {VERDICT_NAMES[one.verdict]}
              {one.note && `, ${one.note}`}
              {one.verdict === 'right' &&
                one.because !== 'unknown' &&
                `, fitted because: ${FITTED_BECAUSE_NAMES[one.because]}`}
              {one.measuredMm !== null && `, measured ${write(one.measuredMm)} ${unit} in the hand`}
              {one.label && `, label “${one.label}”`}
            </li>
          ))}
        </ol>
      )}
      {judgement && situation.ok && (
        <p className="pt-1">
          {fitted?.verdict === 'right' && (
            <>
              <strong>Right on this machine, by the bench.</strong>{' '}
              {(judgement.zone === 'slips' || judgement.zone === 'tooTight') &&
                'The calculation had expected otherwise. '}
            </>
          )}
          By calculation: {ZONE_NAMES[judgement.zone]}, stretch {formatPercent(judgement.strain)}
          {judgement.running &&
            `, slips at ${formatForce(judgement.running.grip.beltPullN)}, motor shaft load ${formatForce(judgement.running.motorLoadN)}`}
          .
        </p>
      )}
      {situation.ok && fitted?.verdict !== 'right' && (
        <p
          className="pt-1"
          data-drive={drive.name}
          data-recommended={ready ? (best?.catalogueBelt.id ?? 'none') : undefined}
        >
          {!ready && 'Recommended belt: one moment…'}
          {ready && best && chance && (
            <>
              {recommendation.nothingFits ? (
                `Nothing in stock fits. ${wantedWords(recommendation.answer?.wanted, unit)}`
              ) : (
                <>
                  Recommended belt:{' '}
                  <strong>
                    <BeltName shape={best.catalogueBelt.shape} size={beltLabel(best.catalogueBelt, unit).size} />
                  </strong>
                  , chance it works {inHundred(chance.works)}
                  {view.situation.ok && inRoomWords(view.situation.value)}
                  {onBench !== undefined && `, where it was found to fail; in the warm ${inHundred(onBench)}`}.
                </>
              )}
            </>
          )}
        </p>
      )}
    </section>
  );
}
