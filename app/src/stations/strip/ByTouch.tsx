import { FilePicker } from '../../parts/ui/FilePicker';
import { useState } from 'react';
import { forLoader } from '@loose-pulley/core/base/loaders';
import { blankStep } from '@loose-pulley/core/work/strip';
import { useTicket } from '../../parts/ticket/useTicket';
import { addPictures } from '../../parts/pictures/addPictures';
import { useAppDispatch } from '../../state/store/hooks';
import { Button } from '../../parts/ui/Button';
import { useStripLine } from '../../parts/strip/useStripLine';
import { Fold } from '../../parts/ui/Fold';

const COUNTS = [1, 2, 3, 4, 6];
/** Lines for a thumb: what is meant is said more closely in the step itself. */
const THINGS = [
  'lid',
  'front panel',
  'plug',
  'tray',
  'belt',
  'gear',
  'label',
  '2 tabs',
  '2 nuts',
  '1 clip',
  'spring',
  'cable moved aside',
  'laser pads bridged',
];

/** Steps by touch, and a picture that is the step: words can come later. */
export function ByTouch() {
  const { ticket } = useTicket();
  const { doLine, addStep } = useStripLine();
  const dispatch = useAppDispatch();
  const [refused, setRefused] = useState('');
  const picture = async (files: readonly File[]): Promise<void> => {
    const added = await dispatch(
      addPictures(
        files.map((blob) => ({ name: blob.name, blob })),
        'off it came',
      ),
    );
    setRefused(added.refused.join(' '));
    if (added.ids.length === 0) return;
    addStep(blankStep('part', 'a picture', { what: 'what the picture shows' }), added.ids);
  };
  return (
    <Fold title="By touch, or by a picture" titleClass="text-soft">
      <div className="flex flex-wrap gap-2">
        {COUNTS.map((count) => (
          <Button key={count} onClick={() => doLine(`${count} screws`)}>
            {count} {count === 1 ? 'screw' : 'screws'}
          </Button>
        ))}
        {THINGS.map((one) => forLoader(one, ticket.loader)).map((thing) => (
          <Button key={thing} onClick={() => doLine(thing)}>
            {thing}
          </Button>
        ))}
        <FilePicker
          label="A picture is the step"
          accept="image/*"
          multiple
          onFiles={(files) => void picture([...files])}
        />
      </div>
      {refused && (
        <p role="alert" className="text-live">
          {refused}
        </p>
      )}
    </Fold>
  );
}
