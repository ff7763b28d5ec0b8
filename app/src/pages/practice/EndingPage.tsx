import { useEffect, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { loaderOf } from '@loose-pulley/core/base/loaders';
import { counted, listed, type Result } from '@loose-pulley/core/base/units';
import type { Practice } from '@loose-pulley/core/record/stations';
import type { Hand, Year } from '@loose-pulley/lab/hidden';
import { JUDGEMENTS, type Ending, type Step } from '@loose-pulley/lab/practice';
import { clockWords } from '../../parts/practice/standing';
import { HELP_NAMES } from '../../parts/practice/helpNames';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { ButtonLink } from '../../parts/ui/ButtonLink';
import { Words } from '../../parts/ui/Words';
import { beginPractice } from '../../state/practice/begin';
import { useAppDispatch } from '../../state/store/hooks';
import { askMachine } from '../../workers/practice';

const YEAR: Readonly<Record<Year['why'], string>> = {
  notCured: 'It comes back within the year: what was wrong with it still is.',
  loose: 'It comes back within the year: the belt loses pull as it sets, and slips on a cold morning.',
  tight: 'It comes back within the year: the belt asks more of the motor than a cold morning leaves it.',
  lasts: 'It gets through the year, its coldest night included.',
};
/** Less than this is told as nothing. */
const BITS = 0.05;

const bitsWords = (bits: number | null): string => {
  if (bits === null) return '';
  if (Math.abs(bits) < BITS) return 'nothing';
  return bits > 0 ? `${bits.toFixed(1)} bits` : `${(-bits).toFixed(1)} bits the wrong way`;
};

/** The ending of this practice, asked of the hidden machine; undefined while it is worked out. */
function useEnding(practice: Practice | undefined): Result<Ending> | undefined {
  const [ending, setEnding] = useState<Result<Ending>>();
  useEffect(() => {
    let current = true;
    if (!practice?.ended) return undefined;
    const hands = practice.hands.map(({ do: doing, what }) => ({ do: doing, what }) as Hand);
    askMachine<Result<Ending>>((api) => api.end(practice.dealt, hands)).then(
      (told) => current && setEnding(told),
      () => current && setEnding({ ok: false, problem: 'The background work stopped. Load the page again.' }),
    );
    return () => {
      current = false;
    };
  }, [practice]);
  return ending;
}

/** Each hand: what it showed, what it told of the truth, what it cost. */
function Steps({ steps }: { readonly steps: readonly Step[] }) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full">
        <thead>
          <tr className="border-b border-ink text-left text-sm text-soft">
            <th className="py-1 pr-4 font-normal">Hand</th>
            <th className="py-1 pr-4 font-normal">What came of it</th>
            <th className="py-1 pr-4 font-normal whitespace-nowrap">Told of the truth</th>
            <th className="py-1 text-right font-normal">Min</th>
          </tr>
        </thead>
        <tbody>
          {steps.map((step, at) => (
            <tr key={at} className="border-b border-hair align-top">
              <th scope="row" className="py-1.5 pr-4 text-left font-semibold">
                {step.name}
              </th>
              <td className="py-1.5 pr-4">
                {step.words}
                {step.mishaps.length > 0 && <strong> Something was forgotten.</strong>}
              </td>
              <td className="py-1.5 pr-4 whitespace-nowrap">{bitsWords(step.bits)}</td>
              <td className="py-1.5 text-right">{step.minutes.toFixed(1)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** What was wrong with a hidden machine, and what each step told: once it went back. */
export function EndingPage() {
  const { ticket, record } = useTicket();
  const { practice } = ticket;
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const told = useEnding(practice);
  const [problem, setProblem] = useState('');
  if (!practice) return <Words title="No practice">This is a ticket of a real machine.</Words>;
  if (!practice.ended)
    return (
      <Words title="It is still on the bench">
        What was wrong with it is told once you hand it back, at{' '}
        <Link className="underline" to={`/t/${ticket.id}/handBack`}>
          Hand back
        </Link>
        .
      </Words>
    );
  if (!told) return <Words title="Looking back…">One moment.</Words>;
  if (!told.ok) return <Words title="It cannot be told">{told.problem}</Words>;
  const end = told.value;
  const { dealt } = practice;
  const takenBack = record.events.filter(
    ({ type, ...event }) =>
      type === 'undone' &&
      record.events.some(({ id, type: of }) => of === 'handLaid' && id === (event as { eventId?: string }).eventId),
  ).length;
  const again = async (): Promise<void> => {
    const begun = await dispatch(beginPractice(dealt, dealt.help));
    if (begun.ok) void navigate(`/t/${begun.value}/takeIn`);
    else setProblem(begun.problem);
  };
  return (
    <div className="grid max-w-5xl gap-6 bg-sheet px-5 py-5">
      <section aria-labelledby="truth" className="grid gap-2">
        <h2 id="truth" className="text-2xl font-bold">
          It was: {listed(end.truth)}
        </h2>
        <p className="text-lg">
          {end.cured ? 'You cured it' : `It went back with something wrong: ${listed(end.stillWrong)}.`}
          {end.cured && (end.right ? ', and did nothing in vain.' : `, and did in vain: ${listed(end.inVain)}.`)}
        </p>
        <p>
          Judgement: {JUDGEMENTS.find(({ id }) => id === end.judgement)?.name}. {counted(end.belts, 'belt')} fitted,{' '}
          {clockWords(end.minutes)} on the work clock. Adviser and Size {HELP_NAMES[dealt.help]}
          {practice.asked.length > 0 && `, asked ${counted(practice.asked.length, 'time')}`}.
          {takenBack > 0 && ` ${counted(takenBack, 'hand')} taken back, which no bench allows.`}
        </p>
        <p>{YEAR[end.year.why]}</p>
      </section>
      <section aria-labelledby="take" className="grid gap-2 border-l-4 border-ink pl-4">
        <h3 id="take" className="text-lg">
          To take from it
        </h3>
        <ol className="grid list-decimal gap-1 pl-5 text-lg">
          {end.sentences.map((one) => (
            <li key={one}>{one}</li>
          ))}
        </ol>
      </section>
      <div className="flex flex-wrap gap-3 print:hidden">
        <Button look="strong" onClick={() => void again()}>
          The same again
        </Button>
        <ButtonLink to="/">Another machine</ButtonLink>
        {problem && <p role="alert">{problem}</p>}
      </div>
      <section aria-labelledby="steps" className="grid gap-2">
        <h3 id="steps" className="text-lg">
          What each hand told
        </h3>
        <p className="text-sm text-soft">
          A bit makes the truth twice as likely in the adviser’s eyes; hands that ask no question of it have none.
        </p>
        <Steps steps={end.steps} />
      </section>
      <section aria-labelledby="honest" className="grid gap-2">
        <h3 id="honest" className="text-lg">
          The shortest honest way{end.honest && `: ${clockWords(end.honest.minutes)}`}
        </h3>
        {end.honest ? (
          <>
            <p className="text-sm text-soft">As the app itself would go, knowing only what the machine shows.</p>
            <ol className="grid list-decimal gap-0.5 pl-6">
              {end.honest.steps.map((one, at) => (
                <li key={at}>{one}</li>
              ))}
            </ol>
          </>
        ) : (
          <p>The app’s own way does not cure this one either: it is a hard machine.</p>
        )}
      </section>
      {dealt.prepared === null && (
        <p>
          Give it to somebody else: {loaderOf(dealt.loader).name}, number <strong>{dealt.number}</strong>. It is the
          same machine everywhere.
        </p>
      )}
    </div>
  );
}
