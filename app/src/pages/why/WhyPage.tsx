import { useState } from 'react';
import { DRIVE_CLASSES, type Closed, type DriveClass } from '@loose-pulley/lab/population';
import { useBench } from '../../state/store/assumptions';
import { Segments } from '../../parts/ui/Segments';
import { NumberLine } from '../../parts/ui/NumberLine';
import { PLAYERS, ScoreChart } from './ScoreChart';
import { TrustChart } from './TrustChart';
import { usePopulation } from './usePopulation';

const CLASS_NAMES: Readonly<Record<DriveClass, string>> = {
  all: 'all drives',
  square: 'square belts',
  ring: 'O-rings',
  flat: 'flat belts',
  smallMotor: 'small motor pulley',
  weakMotor: 'weak motor',
  motorOff: 'motors a third weaker than believed',
  hardnessOff: 'rubber a third softer',
  frictionOff: 'friction a third less',
};
const DRIVES = 100;
const SEED = 20261125;

const percent = (closed: Closed | undefined): string =>
  closed ? `${Math.round(100 * closed.share)} % (give or take ${Math.round(200 * closed.std)})` : 'none';

/** Why measure: every way of choosing, played on drives whose truth is known, and what the stated chances are worth. */
export function WhyPage() {
  const { priors } = useBench();
  const [kind, setKind] = useState<DriveClass>('all');
  const [drives, setDrives] = useState(DRIVES);
  const [seed, setSeed] = useState(SEED);
  const { population, done, problem } = usePopulation({ kind, drives, seed, priors });
  const share = (player: string): number => population?.scores.find((score) => score.player === player)?.right ?? 0;
  const inAll = (player: string): string => {
    const score = population?.scores.find((one) => one.player === player);
    return score && score.drives > 0 ? `${Math.round(100 * score.right)} in 100, of ${score.drives}` : 'none played';
  };
  return (
    <div className="grid grid-cols-1 content-start gap-6 bg-sheet px-5 py-5">
      <h1 className="text-3xl font-bold">Why measure</h1>
      <p className="max-w-[70ch]">
        Drives are drawn whose truth is known: pulleys, rubber, friction, motor, tray, an old belt that has set or
        swollen. Each is measured with a bench’s ordinary errors, and each way of choosing buys one belt. A belt is
        right when it carries the tray with a tenth to spare, relaxed, leaves the motor as much, fresh, and lies within
        its stretch and its groove. The ranges are common practice and memory, so this compares ways of choosing and
        proves nothing about one machine.
      </p>
      <div className="flex flex-wrap items-end gap-5">
        <Segments
          label="Drives of a kind"
          value={kind}
          options={DRIVE_CLASSES.map((one) => [one, CLASS_NAMES[one]] as const)}
          onChoose={setKind}
        />
        <NumberLine
          label="Drives"
          unit="drawn"
          min={20}
          max={2000}
          value={drives}
          onNumber={(value) => value !== null && setDrives(Math.round(value))}
        />
        <NumberLine
          label="Seed"
          unit="the same gives the same"
          max={2_000_000_000}
          value={seed}
          onNumber={(value) => value !== null && setSeed(Math.round(value))}
        />
      </div>
      <p aria-live="polite" className="min-h-[1.4em] text-soft">
        {problem || (done !== null && `${done} of ${drives} played…`)}
      </p>
      {population && (
        <>
          <section aria-labelledby="right">
            <h2 id="right" className="border-b border-ink pb-1 text-xl">
              How often the first belt bought is right, in 100
            </h2>
            <ScoreChart scores={population.scores} />
            <p className="text-soft">
              Bars are two standard errors of so many drives. The best fixed percentage was picked knowing the outcome.
              From it to knowing the drive itself, pulleys and pull of the tray, unpowered and held, close{' '}
              {percent(population.closed.held)} of the gap; the rest is mostly friction, and the rubber that will come.
            </p>
            <p>
              Where the first belt was wrong and a right one is on sale, the second is right in{' '}
              <strong>{inAll('second:string')}</strong> (who knows the drive: {inAll('second oracle:string')}). After
              two machines with the same mechanism on which one belt was right, the third machine’s first belt is right
              in <strong>{inAll('sisters:string')}</strong> (who knows the drive: {inAll('sisters oracle:string')};
              their belt, copied blindly: {inAll('sisters copied:string')}).
            </p>
            <table className="sr-only">
              <caption>As numbers</caption>
              <tbody>
                {PLAYERS.map(([player, name]) => (
                  <tr key={player}>
                    <th scope="row">{name}</th>
                    <td>{(100 * share(player)).toFixed(1)} in 100</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
          <section aria-labelledby="trust">
            <h2 id="trust" className="border-b border-ink pb-1 text-xl">
              What the stated chances are worth
            </h2>
            <div className="flex flex-wrap gap-8">
              <TrustChart bands={population.calibration} />
              <table className="self-start text-[15px]">
                <thead>
                  <tr className="border-b border-ink text-left">
                    <th className="py-1 pr-6">stated, in 100</th>
                    <th className="pr-6">choices</th>
                    <th>worked</th>
                  </tr>
                </thead>
                <tbody>
                  {population.calibration.map(({ from, to, count, worked }) => (
                    <tr key={from} className="border-b border-hair">
                      <td className="py-1">
                        {Math.round(100 * from)} to {Math.round(100 * to)}
                      </td>
                      <td>{count}</td>
                      <td>{Math.round(100 * worked)}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          </section>
        </>
      )}
    </div>
  );
}
