import { durationKey, type DayJob, type DayState, type Durations } from '@loose-pulley/core/shop/day';
import { STATION_NAMES, STATIONS } from '@loose-pulley/core/record/stations';
import { NumberLine } from '../../parts/ui/NumberLine';
import { changeBook } from '../../state/persistence/book';
import { useAppDispatch } from '../../state/store/hooks';

const FROM_WORDS = { said: 'as said', mechanism: 'this mechanism', bench: 'this bench', assumed: 'assumed' } as const;

/** What each station takes, for the mechanisms that are on the bench: learned, with its spread, and put right by hand. */
export function HowLong({
  jobs,
  durations,
  minutes,
}: {
  readonly jobs: readonly DayJob[];
  readonly durations: Durations;
  readonly minutes: DayState['minutes'];
}) {
  const dispatch = useAppDispatch();
  const mechanisms = [...new Set(jobs.map(({ mechanism }) => mechanism))].sort();
  return (
    <div className="grid gap-5 pb-4">
      <p className="text-sm text-soft">
        Minutes of hands, half of all jobs within the first figure and four in five between the two after it. Learned
        from the times of what was said at each station; pauses over half an hour are left out. Empty a field to go back
        to what was learned.
      </p>
      {mechanisms.map((mechanism) => (
        <section key={mechanism} aria-label={mechanism || 'any mechanism'}>
          <h3 className="border-b border-hair text-base">{mechanism || 'No mechanism named'}</h3>
          <ul className="grid gap-x-6 sm:grid-cols-2">
            {STATIONS.map((station) => {
              const { medianMin, logStd, from, seen } = durations.of(station, mechanism);
              const key = durationKey(station, mechanism);
              const spread = [Math.exp(-1.28 * logStd), Math.exp(1.28 * logStd)].map((times) =>
                Math.round(medianMin * times),
              );
              return (
                <li key={station} className="flex items-end justify-between gap-3 border-b border-hair py-1">
                  <span>
                    {STATION_NAMES[station]}: <strong>{Math.round(medianMin)}</strong>
                    <span className="block text-sm text-soft">
                      {spread[0]} to {spread[1]}, {FROM_WORDS[from]}
                      {seen > 0 && `, ${seen} seen`}
                    </span>
                  </span>
                  <NumberLine
                    label={`${STATION_NAMES[station]} takes`}
                    unit="min"
                    min={1}
                    max={10_000}
                    value={minutes[key] ?? null}
                    onNumber={(value, gesture) =>
                      dispatch(
                        changeBook(
                          [
                            value === null
                              ? { type: 'minutesForgotten', key }
                              : { type: 'minutesSaid', key, minutes: value },
                          ],
                          gesture,
                        ),
                      )
                    }
                  />
                </li>
              );
            })}
          </ul>
        </section>
      ))}
    </div>
  );
}
