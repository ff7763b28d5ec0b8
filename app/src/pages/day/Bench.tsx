import { hoursOf, type DayState, type OpeningShift } from '@loose-pulley/core/shop/day';
import { parseHours } from './hours';
import { NumberLine } from '../../parts/ui/NumberLine';
import { changeBook } from '../../state/persistence/book';
import { useAppDispatch } from '../../state/store/hooks';
import { Field } from '../../parts/ui/Field';
import { Input } from '../../parts/ui/Input';
import { useDraft } from '../../parts/ui/useDraft';
import { useUnsaved } from '../../parts/ui/useUnsaved';

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

const clock = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
const shiftsWords = (shifts: readonly OpeningShift[]): string =>
  shifts.map(({ fromMin, toMin }) => `${clock(fromMin)}-${clock(toMin)}`).join(', ');

function HoursLine({
  day,
  shifts,
  onHours,
}: {
  readonly day: string;
  readonly shifts: readonly OpeningShift[];
  readonly onHours: (shifts: readonly OpeningShift[], gesture: string) => Promise<boolean>;
}) {
  const shown = shiftsWords(shifts);
  const draft = useDraft(
    shown,
    (text, gesture) => {
      const read = parseHours(text);
      return read !== null && (shiftsWords(read) === shown || onHours(read, gesture));
    },
    (text) => parseHours(text) === null,
  );
  const isRefused = parseHours(draft.value) === null;
  useUnsaved('enter', isRefused);
  return (
    <Field
      label={day}
      refusal={
        isRefused ? `Read “${draft.value}”. Write the hours as 9-12:30, 13-17:30; nothing where it is closed.` : null
      }
    >
      {(given) => <Input {...given} {...draft} placeholder="closed" onEnter={draft.onBlur} />}
    </Field>
  );
}

/** When the bench is open, how many machines fit on it, and how many things may dry. */
export function Bench({ state }: { readonly state: Pick<DayState, 'hours' | 'benches' | 'dryingPlaces'> }) {
  const dispatch = useAppDispatch();
  const hours = hoursOf(state);
  const places = (of: Partial<Pick<DayState, 'benches' | 'dryingPlaces'>>, gesture: string) =>
    dispatch(changeBook([{ type: 'placesSet', ...of }], `${gesture}-${Object.keys(of).join()}`));
  return (
    <div className="grid gap-3 pb-4 sm:grid-cols-2">
      {DAYS.map((day, index) => (
        <HoursLine
          key={day}
          day={day}
          shifts={hours[index] ?? []}
          onHours={(said, gesture) =>
            dispatch(changeBook([{ type: 'dayHoursSet', weekday: index, shifts: said }], `${gesture}-${index}`))
          }
        />
      ))}
      <NumberLine
        label="Machines on the bench at once"
        unit="places"
        min={1}
        max={50}
        value={state.benches}
        onNumber={(value, gesture) => value !== null && Number.isInteger(value) && places({ benches: value }, gesture)}
      />
      <NumberLine
        label="Places to dry"
        unit="places"
        min={1}
        max={50}
        value={state.dryingPlaces}
        onNumber={(value, gesture) =>
          value !== null && Number.isInteger(value) && places({ dryingPlaces: value }, gesture)
        }
      />
    </div>
  );
}
