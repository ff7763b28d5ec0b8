import type { DriveFacts, Measurand } from '@loose-pulley/core/belts/measuring';
import { ReadingInput } from './ReadingInput';
import { useReading } from './useReading';
import type { DriveRecord } from '@loose-pulley/core/record/stations';

interface Props {
  readonly drive: DriveRecord;
  readonly facts: DriveFacts;
  readonly canWrite: boolean;
}

/** A dimension on the drawing: pick it, type the dimension itself. It is the same reading as in the list. */
function Dimension({
  drive,
  facts,
  canWrite,
  measurand,
  label,
  sign,
}: Props & { readonly measurand: Measurand; readonly label: string; readonly sign: string }) {
  const reading = drive.readings.find((one) => one.measurand === measurand);
  const control = useReading(drive, facts, measurand, reading, reading?.id ?? 'first', undefined, true);
  return (
    <div className="flex h-11 items-center justify-center gap-1">
      <span aria-hidden className="flex items-center gap-1 text-base">
        {sign}
      </span>
      <ReadingInput
        control={control}
        label={`${label} on the drawing, ${control.method.numberIs}`}
        disabled={!canWrite}
        walks={false}
        placeholder="?"
        className="h-11 w-[74px] px-1 text-center"
      />
    </div>
  );
}

const balloon = (number: string) => (
  <span className="inline-flex h-[26px] w-[26px] items-center justify-center rounded-full border border-ink bg-sheet text-[15px] font-semibold">
    {number}
  </span>
);

/** The three dimensions of a two-pulley drive, for the labels of the drawing. */
export function drawingFields(props: Props) {
  return {
    motor: (
      <div className="flex items-center gap-1.5">
        {balloon('1')}
        <Dimension {...props} measurand="motorDiameter" label="Motor pulley diameter" sign="Ø" />
      </div>
    ),
    drive: (
      <div className="flex items-center justify-end gap-1.5">
        {balloon('2')}
        <Dimension {...props} measurand="drivenDiameter" label="Driven pulley diameter" sign="Ø" />
      </div>
    ),
    centre: <Dimension {...props} measurand="centreDistance" label="Centre distance" sign="" />,
  };
}
