import type { FoundPart } from '@loose-pulley/core/work/strip';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { PictureAdd } from '../pictures/PictureAdd';
import { useTicket } from '../ticket/useTicket';
import { Button } from '../ui/Button';
import { TextLine } from '../ui/TextLine';

/** What rattled or fell out, until it has a home again. It counts as evidence at Find. */
export function FoundParts() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const put = (found: FoundPart, gesture?: string) => dispatch(recordEvent({ type: 'foundPut', found }, gesture));
  const { found } = ticket.strip;
  if (found.length === 0) return null;
  return (
    <section aria-labelledby="found" className="grid gap-2">
      <h3 id="found" className="text-lg">
        Found
      </h3>
      {found.map((one) => (
        <div key={one.id} className="grid gap-2 border-b border-hair pb-2">
          <p>
            <strong>{one.what}</strong>
            {one.where && `, ${one.where}`}
            {one.kind === 'dirt' && <span className="text-soft"> · dirt, no home</span>}
          </p>
          {one.kind === 'object' && (
            <TextLine
              label="Where it seems to belong"
              value={one.guess}
              maxLength={400}
              disabled={!canWrite}
              onText={(guess, gesture) => put({ ...one, guess }, gesture)}
            />
          )}
          <PictureAdd
            ids={one.pictureIds}
            what={`found: ${one.what}`}
            label="Picture of it"
            onPictures={(pictureIds) => put({ ...one, pictureIds })}
          />
          <div className="flex gap-2">
            {one.kind === 'object' && (
              <Button aria-pressed={one.homed} disabled={!canWrite} onClick={() => put({ ...one, homed: !one.homed })}>
                {one.homed ? 'Placed' : 'It is placed'}
              </Button>
            )}
            <Button
              look="quiet"
              disabled={!canWrite}
              onClick={() => put({ ...one, kind: one.kind === 'dirt' ? 'object' : 'dirt' })}
            >
              {one.kind === 'dirt' ? 'It is a part' : 'It is dirt'}
            </Button>
            <Button
              look="quiet"
              disabled={!canWrite}
              onClick={() => dispatch(recordEvent({ type: 'foundRemoved', foundId: one.id }))}
            >
              Remove
            </Button>
          </div>
        </div>
      ))}
    </section>
  );
}
