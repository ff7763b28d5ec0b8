import { useState } from 'react';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { cannotGoOn, judge, ZONE_NAMES, type Situation } from '@loose-pulley/core/belts/sizing';
import { oldBeltTry } from '@loose-pulley/core/views/drive';
import type { DriveFacts } from '@loose-pulley/core/belts/measuring';
import type { KnownSection } from '@loose-pulley/core/base/shapes';
import { InHandLine } from './InHandLine';
import { formatLength, formatPercent, type LengthUnit } from '@loose-pulley/core/base/units';
import { parseBeltSize } from '@loose-pulley/core/base/shapes';
import { nanoid } from 'nanoid';
import { fittingOf } from '@loose-pulley/core/views/machine';
import { usePageKey } from '../../parts/keys/useKeys';
import { useTicket } from '../../parts/ticket/useTicket';
import { recordEvent } from '../../state/persistence/recording';
import { fitBelt } from '../../state/persistence/fitting';
import { selectItems, useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { sameSize, type Item } from '@loose-pulley/core/shop/drawer';
import { Button } from '../../parts/ui/Button';
import { Segments } from '../../parts/ui/Segments';
import { SectionSign } from '../../parts/ui/SectionSign';
import { TextLine } from '../../parts/ui/TextLine';
import { VERDICT_NAMES, VERDICTS, type DriveRecord, type Try } from '@loose-pulley/core/record/stations';
import { Input } from '../../parts/ui/Input';
import { useUnsaved } from '../../parts/ui/useUnsaved';

interface Props {
  readonly drive: DriveRecord;
  readonly facts: DriveFacts;
  readonly unit: LengthUnit;
  readonly canWrite: boolean;
  /** What a typed belt is judged against, once the path is known. */
  readonly situation: Situation | undefined;
}

/** The old belt's section, for a size typed alone. */
const knownSection = ({ oldShape }: DriveRecord, { section, width }: DriveFacts): KnownSection | undefined =>
  section && { shape: oldShape, thicknessMm: section.value, widthMm: width?.value };

/** Every belt tried on this drive, with its verdict; and one of one's own, typed as section × size. */
export function Tries({ drive, facts, unit, canWrite, situation }: Props) {
  const dispatch = useAppDispatch();
  const { ticket } = useTicket();
  const [typed, setTyped] = useState('');
  useUnsaved('enter', typed.trim() !== '');
  const fitted = (belt: Omit<Try, 'id'>) =>
    fitBelt(ticket, drive.id, fittingOf(ticket, drive.id, { id: nanoid(10), ...belt }, new Date().toISOString()));
  const last = drive.tries[drive.tries.length - 1];
  usePageKey('ranRight', () => {
    if (!canWrite || !last) return;
    dispatch(recordEvent({ type: 'tryJudged', driveId: drive.id, tryId: last.id, verdict: 'right', note: last.note }));
  });
  const understood =
    typed.trim() === '' ? undefined : parseBeltSize(typed, situation?.oldSection ?? knownSection(drive, facts));
  const judged = understood?.ok && situation ? judge(situation, understood.value) : undefined;
  const refusal = understood && !understood.ok ? understood.problem : judged && cannotGoOn(judged);
  const otherwise = understood?.ok ? understood.value.otherwise : undefined;
  const old = oldBeltTry({ drive, facts }, 'the old belt, cleaned');
  const items = useAppSelector(selectItems);
  const here =
    understood?.ok && !otherwise
      ? items.find(
          (one) =>
            one.quantity > 0 &&
            !one.band &&
            sameSize(one, { ...understood.value, widthMm: understood.value.widthMm ?? null }),
        )
      : undefined;
  const addOwn = (item?: Item) => {
    if (!understood?.ok || refusal || otherwise) return;
    const { shape, thicknessMm, widthMm = null, innerLengthMm } = understood.value;
    const done = dispatch(
      fitted({
        shape,
        thicknessMm,
        widthMm,
        innerLengthMm,
        measuredMm: null,
        source: item ? `the drawer${item.place ? `, ${item.place}` : ''}` : 'own stock',
        ...(item && { itemId: item.id }),
        label: item?.label ?? '',
        because: 'unknown',
        verdict: 'untried',
        note: '',
      }),
    );
    if (done) setTyped('');
  };
  return (
    <section aria-label="Belts tried" className="grid gap-3">
      <h3 className="border-b border-ink pb-1 text-lg">Belts tried on drive {drive.name}</h3>
      {drive.tries.length === 0 && (
        <p className="text-soft">None yet. Fit one, turn it by hand, then say how it ran.</p>
      )}
      <ol className="grid">
        {drive.tries.map((one, index) => {
          const label = beltLabel(one, unit);
          return (
            <li key={one.id} className="grid gap-2 border-b border-hair py-3 md:grid-cols-[1fr_auto] md:items-end">
              <div>
                <p className="text-lg font-semibold">
                  {index + 1}. <SectionSign shape={one.shape} /> {label.size}
                </p>
                <p className="text-sm text-soft">
                  {label.words} · {one.source}
                </p>
                {one.verdict === 'untried' || one.measuredMm !== null ? (
                  <InHandLine driveId={drive.id} tried={one} facts={facts} unit={unit} canWrite={canWrite} />
                ) : null}
              </div>
              <Segments
                label={`Try ${index + 1} ran`}
                value={one.verdict}
                disabled={!canWrite}
                options={VERDICTS.map((verdict) => [verdict, VERDICT_NAMES[verdict]] as const)}
                onChoose={(verdict) =>
                  dispatch(
                    recordEvent({ type: 'tryJudged', driveId: drive.id, tryId: one.id, verdict, note: one.note }),
                  )
                }
              />
              <div className="md:col-span-2">
                <TextLine
                  label="What it did, and why"
                  value={one.note}
                  maxLength={4000}
                  disabled={!canWrite}
                  onText={(note, gesture) =>
                    dispatch(
                      recordEvent(
                        { type: 'tryJudged', driveId: drive.id, tryId: one.id, verdict: one.verdict, note },
                        gesture,
                      ),
                    )
                  }
                />
              </div>
            </li>
          );
        })}
      </ol>
      <div className="grid gap-1">
        <label htmlFor="own-belt" className="text-sm text-soft">
          Another belt tried: section × size, such as 1.2x118, 1.2 × Ø38, ring 1.78x28.3, 4x0.6x208 or 66.4 doubled
        </label>
        <div className="flex gap-2">
          <Input
            id="own-belt"
            value={typed}
            disabled={!canWrite}
            onChange={(event) => setTyped(event.target.value)}
            onEnter={() => {
              if (understood?.ok && refusal === undefined && otherwise === undefined) addOwn();
            }}
            className="w-full max-w-72 text-lg"
            autoComplete="off"
          />
          <Button
            disabled={!canWrite || !understood?.ok || refusal !== undefined || otherwise !== undefined}
            onClick={() => addOwn()}
          >
            Log it
          </Button>
          {here && !refusal && (
            <Button disabled={!canWrite} onClick={() => addOwn(here)}>
              It is the one from the drawer{here.place ? `, ${here.place}` : ''}
            </Button>
          )}
        </div>
        <p aria-live="polite" className={refusal ? 'text-sm text-live' : 'text-sm text-soft'}>
          {understood?.ok && `Understood: ${understood.value.echo}. `}
          {refusal}
          {otherwise && 'Or is it the other thing? '}
          {judged &&
            !refusal &&
            `Here it would be: ${ZONE_NAMES[judged.zone]}, stretch ${formatPercent(judged.strain)}.`}
        </p>
        {otherwise && (
          <p className="flex flex-wrap gap-2">
            {(
              [
                [`It is the inner length, ${formatLength(otherwise.mm, 'mm')} mm`, ' long'],
                [`It is the inner diameter, ${formatLength(otherwise.mm, 'mm')} mm`, ' across'],
              ] as const
            ).map(([words, ending]) => (
              <Button key={ending} onClick={() => setTyped(`${typed.trim()}${ending}`)}>
                {words}
              </Button>
            ))}
          </p>
        )}
        {!situation && old && (
          <p>
            <Button disabled={!canWrite} onClick={() => dispatch(fitted(old))}>
              Keep the old belt, clean it
            </Button>
          </p>
        )}
      </div>
    </section>
  );
}
