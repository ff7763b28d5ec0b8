import { USUAL_LOADER } from '@loose-pulley/core/base/loaders';
import { inWords, testName, type BenchTest, type Knowledge } from '@loose-pulley/core/work/diagnosis';
import { Button } from '../../parts/ui/Button';
import { Percent } from './Percent';
import { Select } from '../../parts/ui/Select';

const sumOf = (row: readonly number[]): number => Math.round(10 * row.reduce((sum, one) => sum + one, 0)) / 10;

/** One test: what it shows of a sound machine and of each cause, in percent, every figure to be changed. */
export function TestTable({
  knowledge,
  test,
  onTest,
  onChange,
}: {
  readonly knowledge: Knowledge;
  readonly test: BenchTest;
  readonly onTest: (testId: string) => void;
  readonly onChange: (test: BenchTest) => void;
}) {
  const loader = test.loaders[0] ?? USUAL_LOADER;
  const named = knowledge.causes.filter(({ id }) => test.given[id]);
  const others = knowledge.causes.filter(({ id }) => !test.given[id]);
  const rows: ReadonlyArray<readonly [id: string | null, name: string, row: readonly number[]]> = [
    [null, 'a sound machine, and any cause not named', test.sound],
    ...named.map(({ id, name }) => [id, name, test.given[id] ?? test.sound] as const),
  ];
  const put = (id: string | null, row: readonly number[]): void =>
    onChange(id === null ? { ...test, sound: row } : { ...test, given: { ...test.given, [id]: row } });
  return (
    <section aria-labelledby="tests" className="grid min-w-0 grid-cols-1 gap-3">
      <h2 id="tests" className="border-b border-ink pb-1 text-lg">
        What a test shows
      </h2>
      <label className="grid min-w-0 gap-1 text-sm text-soft">
        Test
        <Select
          value={test.id}
          onChoose={(chosen) => onTest(chosen)}
          className="min-w-0 text-lg"
          options={knowledge.tests.map((one) => [one.id, testName(one, one.loaders[0] ?? USUAL_LOADER)] as const)}
        />
      </label>
      <p>{inWords(test.how, loader)}</p>
      <div className="flex items-center gap-3">
        <span aria-hidden>Minutes</span>
        <Percent
          label="Minutes"
          value={test.minutes}
          max={600}
          onChange={(minutes) => minutes >= 0.1 && onChange({ ...test, minutes })}
        />
      </div>
      {/* Scrolled sideways on a phone, so the keyboard must be able to reach it. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex */}
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Figures of the test">
        <table className="border-collapse text-[15px]">
          <thead>
            <tr className="border-b border-ink text-left align-bottom">
              <th className="py-1 pr-3 font-semibold">in percent, for</th>
              {test.outcomes.map((outcome) => (
                <th key={outcome.id} className="max-w-28 px-1 text-right font-semibold">
                  {inWords(outcome.label, loader)}
                </th>
              ))}
              <th className="px-2 text-right font-semibold">sum</th>
              <td />
            </tr>
          </thead>
          <tbody>
            {rows.map(([id, name, row]) => (
              <tr key={id ?? 'sound'} className="border-b border-hair">
                <td className="py-1 pr-3">{name}</td>
                {test.outcomes.map((outcome, index) => (
                  <td key={outcome.id} className="px-1 text-right">
                    <Percent
                      label={`${name}: ${inWords(outcome.label, loader)}`}
                      value={row[index] ?? 0}
                      max={100}
                      onChange={(percent) =>
                        put(
                          id,
                          row.map((one, at) => (at === index ? percent : one)),
                        )
                      }
                    />
                  </td>
                ))}
                <td className={sumOf(row) === 100 ? 'px-2 text-right text-soft' : 'px-2 text-right text-live'}>
                  {sumOf(row)}
                </td>
                <td>
                  {id !== null && (
                    <Button
                      look="quiet"
                      aria-label={`Take ${name} out of this test`}
                      onClick={() =>
                        onChange({
                          ...test,
                          given: Object.fromEntries(Object.entries(test.given).filter(([one]) => one !== id)),
                        })
                      }
                    >
                      remove
                    </Button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <label className="grid max-w-80 gap-1 text-sm text-soft">
        Name another cause in this test
        <Select
          value=""
          onChoose={(chosen) => chosen && put(chosen, test.sound)}
          className="text-lg"
          options={[['', 'Choose…'] as const, ...others.map(({ id, name }) => [id, name] as const)]}
        />
      </label>
    </section>
  );
}
