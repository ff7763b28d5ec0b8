import { nanoid } from 'nanoid';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { Button } from '../../parts/ui/Button';
import { Segments } from '../../parts/ui/Segments';
import { NumberLine } from '../../parts/ui/NumberLine';
import { TextLine } from '../../parts/ui/TextLine';
import { SurfaceSelect } from './SurfaceSelect';
import type { DriveRecord, IdlerRecord } from '@loose-pulley/core/record/stations';

const MOST = 4;

/** Pulleys beside motor and drive: where their shafts lie, how large they are, which face of the belt they touch. */
export function Idlers({
  drive,
  centreMm,
  canWrite,
}: {
  readonly drive: DriveRecord;
  /** Where the drive's shaft lies, for a place to begin with. */
  readonly centreMm: number;
  readonly canWrite: boolean;
}) {
  const dispatch = useAppDispatch();
  const put = (idlers: readonly IdlerRecord[], gesture?: string) =>
    dispatch(recordEvent({ type: 'driveChanged', driveId: drive.id, changes: { idlers } }, gesture));
  const change = (id: string, changes: Partial<IdlerRecord>, gesture?: string) =>
    put(
      drive.idlers.map((one) => (one.id === id ? { ...one, ...changes } : one)),
      gesture,
    );
  const add = (): void => {
    const upper = drive.idlers.length % 2 === 0;
    put([
      ...drive.idlers,
      {
        id: nanoid(10),
        name: `guide ${drive.idlers.length + 1}`,
        xMm: Math.round(centreMm / 2),
        yMm: (upper ? 1 : -1) * Math.round(centreMm / 2),
        diameterMm: 6,
        groove: { form: 'flat', veeAngleDeg: null },
        back: false,
        driven: false,
        after: upper ? 'driven' : 'motor',
        surface: null,
      },
    ]);
  };
  return (
    <div className="grid gap-3">
      {drive.idlers.map((one, index) => {
        const number = (key: 'xMm' | 'yMm' | 'diameterMm', label: string, least: number, most: number) => (
          <NumberLine
            label={label}
            unit="mm"
            min={least}
            max={most}
            value={one[key]}
            disabled={!canWrite}
            onNumber={(value, gesture) => value !== null && change(one.id, { [key]: value }, `${gesture}-${key}`)}
          />
        );
        return (
          <fieldset key={one.id} className="grid gap-2 border-t border-hair pt-3">
            <legend className="sr-only">Further pulley {index + 1}</legend>
            <TextLine
              label={`Further pulley ${index + 1}`}
              value={one.name}
              maxLength={40}
              disabled={!canWrite}
              onText={(name, gesture) => change(one.id, { name }, gesture)}
            />
            <div className="flex flex-wrap gap-3">
              {number('diameterMm', 'Diameter', 0.5, 500)}
              {number('xMm', 'Across, from the motor', -1000, 1000)}
              {number('yMm', 'Up, from the motor', -1000, 1000)}
            </div>
            <div className="flex flex-wrap gap-2">
              <Segments
                label={`Run of pulley ${index + 1}`}
                value={one.after}
                disabled={!canWrite}
                options={[
                  ['driven', 'upper run'],
                  ['motor', 'lower run'],
                ]}
                onChoose={(after) => change(one.id, { after })}
              />
              <Segments
                label={`Face on pulley ${index + 1}`}
                value={one.back ? 'back' : 'face'}
                disabled={!canWrite}
                options={[
                  ['face', 'inner face'],
                  ['back', 'its back'],
                ]}
                onChoose={(face) => change(one.id, { back: face === 'back' })}
              />
              <Segments
                label={`Work of pulley ${index + 1}`}
                value={one.driven ? 'driven' : 'guide'}
                disabled={!canWrite}
                options={[
                  ['guide', 'only guides'],
                  ['driven', 'drives something'],
                ]}
                onChoose={(work) => change(one.id, { driven: work === 'driven' })}
              />
            </div>
            {one.driven && (
              <SurfaceSelect
                label={`Surface of pulley ${index + 1}`}
                value={one.surface}
                disabled={!canWrite}
                whenNull="as the driven pulley"
                onChoose={(surface) => change(one.id, { surface })}
              />
            )}
            <Button
              look="quiet"
              disabled={!canWrite}
              onClick={() => put(drive.idlers.filter(({ id }) => id !== one.id))}
            >
              Take pulley {index + 1} out
            </Button>
          </fieldset>
        );
      })}
      {drive.idlers.length < MOST && (
        <Button disabled={!canWrite} onClick={add}>
          Add an idler
        </Button>
      )}
      {drive.idlers.length > 0 && (
        <p className="text-sm text-soft">
          Drag it in the drawing, or move it with the arrow keys. Where a pulley touches the back, a string’s own
          thickness counts for more; what it comes to is worked out from the pulleys once they are measured.
        </p>
      )}
    </div>
  );
}
