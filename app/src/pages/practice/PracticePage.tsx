import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { LOADERS, loaderOf, type Loader } from '@loose-pulley/core/base/loaders';
import { capital } from '@loose-pulley/core/base/units';
import { HELPS, type Help } from '@loose-pulley/core/record/stations';
import { PREPARED } from '@loose-pulley/lab/hidden';
import { HARDNESS, type Hardness } from '@loose-pulley/lab/practice';
import { HELP_NAMES } from '../../parts/practice/helpNames';
import { usePractices, type Kept } from '../../parts/practice/usePractices';
import { clockWords, minutesOn } from '../../parts/practice/standing';
import { beginPractice, numbered, prepared, type Wanted } from '../../state/practice/begin';
import { useAppDispatch } from '../../state/store/hooks';
import { Button } from '../../parts/ui/Button';
import { Input } from '../../parts/ui/Input';
import { Segments } from '../../parts/ui/Segments';
import { Select } from '../../parts/ui/Select';
import { Judged } from './Judged';

const HARD: Readonly<Record<Hardness, string>> = {
  any: 'as they come',
  plain: 'a common fault',
  seldom: 'a seldom one',
  two: 'two faults',
};
const ANY = 'any';

const loaderSaid = (said: string | null): Loader | typeof ANY => LOADERS.find((one) => one === said) ?? ANY;

/** Which machine to practise on: one that is dealt, one by its number, or one of the twelve. */
export function PracticePage() {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const [loader, setLoader] = useState<Loader | typeof ANY>(loaderSaid(search.get('loader')));
  const [hardness, setHardness] = useState<Hardness>('any');
  const [help, setHelp] = useState<Help>('on');
  const [number, setNumber] = useState(search.get('number') ?? '');
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const kept = usePractices();
  const begin = async (wanted: Wanted): Promise<void> => {
    setBusy(true);
    setProblem('');
    const begun = await dispatch(beginPractice(wanted, help));
    if (begun.ok) void navigate(`/t/${begun.value}/takeIn`);
    else {
      setProblem(begun.problem);
      setBusy(false);
    }
  };
  const any = (): Loader => LOADERS[Math.floor(Math.random() * LOADERS.length)] ?? 'tray';
  const dealIt = (): void => void begin({ loader: loader === ANY ? any() : loader, hardness });
  const byNumber = (): void => {
    const typed = number.trim();
    if (loader === ANY) setProblem('A number is one of a kind of loader: choose which kind first.');
    else if (!/^\d+$/.test(typed)) setProblem(`Read “${typed}”. Machines are numbered 1 to 999999.`);
    else void begin(numbered(loader, Number(typed)));
  };
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_360px]">
      <div className="grid content-start gap-6 bg-sheet px-5 py-5 lg:px-7">
        <div className="grid gap-2">
          <h1 className="text-[30px] leading-tight font-bold">Practice</h1>
          <p className="max-w-prose text-lg">
            A machine with a fault that nobody tells you. The stations and drawings are the same; your hands are
            buttons, and each costs its minutes.
          </p>
        </div>
        <section aria-labelledby="deal" className="grid justify-items-start gap-3 sm:grid-cols-[auto_1fr] sm:gap-x-10">
          <h2 id="deal" className="text-xl sm:col-span-2">
            Deal me a machine
          </h2>
          <div className="w-72 max-w-full">
            <Select
              label="Kind of loader"
              value={loader}
              onChoose={(chosen) => setLoader(loaderSaid(chosen))}
              options={[[ANY, 'any kind'], ...LOADERS.map((one) => [one, loaderOf(one).name] as const)]}
            />
          </div>
          <div className="grid gap-1">
            <span className="text-sm text-soft">How hard</span>
            <Segments
              label="How hard"
              value={hardness}
              options={HARDNESS.map((one) => [one, HARD[one]] as const)}
              onChoose={setHardness}
            />
          </div>
          <div className="grid gap-1">
            <span className="text-sm text-soft">Adviser and Size</span>
            <Segments
              label="Adviser and Size"
              value={help}
              options={HELPS.map((one) => [one, HELP_NAMES[one]] as const)}
              onChoose={setHelp}
            />
          </div>
          <Button look="strong" className="min-h-12 self-end" disabled={busy} onClick={dealIt}>
            Deal me a machine
          </Button>
          <div className="flex flex-wrap items-end gap-2 sm:col-span-2">
            <label className="grid gap-1 text-sm text-soft">
              Or the number that somebody gave you
              <Input
                inputMode="numeric"
                value={number}
                onChange={(event) => setNumber(event.target.value)}
                onEnter={byNumber}
                className="w-40 text-ink"
              />
            </label>
            <Button disabled={busy || number.trim() === ''} onClick={byNumber}>
              Take it
            </Button>
          </div>
          {problem && (
            <p role="alert" className="border-l-4 border-live pl-3 font-semibold sm:col-span-2">
              {problem}
            </p>
          )}
        </section>
        <section aria-labelledby="twelve" className="grid gap-2">
          <h2 id="twelve" className="text-xl">
            Twelve prepared, from plain to double
          </h2>
          <ol className="grid gap-2 sm:grid-cols-2">
            {PREPARED.map(({ id, asks }, at) => (
              <li key={id} className="grid">
                <Button disabled={busy} className="min-h-14 font-normal" onClick={() => void begin(prepared(id))}>
                  <span className="mr-2 text-soft">{at + 1}</span>
                  {asks} {tallied(kept, id)}
                </Button>
              </li>
            ))}
          </ol>
        </section>
      </div>
      <aside aria-label="So far" className="grid content-start gap-6 border-hair px-5 py-5 max-lg:border-t lg:border-l">
        <Judged kept={kept} />
        <Unfinished kept={kept} />
      </aside>
    </div>
  );
}

/** How a prepared machine went so far. */
function tallied(kept: readonly Kept[] | undefined, id: string) {
  const ended = (kept ?? []).flatMap(({ practice }) =>
    practice.dealt.prepared === id && practice.ended ? [practice.ended] : [],
  );
  if (ended.length === 0) return null;
  return (
    <span className="text-soft">
      ({ended.filter(({ right }) => right).length} of {ended.length} right)
    </span>
  );
}

/** Machines that are still on the practice bench. */
function Unfinished({ kept }: { readonly kept: readonly Kept[] | undefined }) {
  const open = (kept ?? []).filter(({ practice }) => practice.ended === null);
  if (open.length === 0) return null;
  return (
    <section aria-labelledby="unfinished">
      <h2 id="unfinished" className="border-b border-ink text-lg">
        Still on the bench
      </h2>
      <ul>
        {open.map(({ summary, practice }) => (
          <li key={summary.id} className="border-b border-hair">
            <Link
              to={`/t/${summary.id}/${summary.page}`}
              className="grid min-h-11 grid-cols-[1fr_auto] items-center gap-2 underline"
            >
              <span>{capital(summary.machine)}</span>
              <span className="text-soft">{clockWords(minutesOn(practice))}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
