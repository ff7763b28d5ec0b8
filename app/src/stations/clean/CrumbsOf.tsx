import { useId, useState } from 'react';
import { crumbsFinding, crumbsWords, type Crumbs } from '@loose-pulley/core/work/cleaning';
import { isGone } from '@loose-pulley/core/physics/drive';
import { formatLength, parseLength } from '@loose-pulley/core/base/units';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch, useUnit } from '../../state/store/hooks';
import { useDriveView } from '../../parts/ticket/useDriveView';
import { useDrive, useTicket } from '../../parts/ticket/useTicket';
import { Fold } from '../../parts/ui/Fold';
import { TextLine } from '../../parts/ui/TextLine';
import { useUnsaved } from '../../parts/ui/useUnsaved';
import { Input } from '../../parts/ui/Input';
import { Check } from '../../parts/ui/Check';

/** What is left of a belt in pieces: where it went, and whether every crumb is accounted for. */
export function CrumbsOf() {
  const { ticket } = useTicket();
  const { drive } = useDrive();
  const known = ticket.cleaning.crumbs.some(({ driveId }) => driveId === drive.id);
  return (
    <Fold title="Where the old belt went, every crumb" open={known || isGone(drive.oldState)}>
      <Counting />
    </Fold>
  );
}

function Counting() {
  const { ticket, canWrite } = useTicket();
  const { drive, facts } = useDriveView();
  const dispatch = useAppDispatch();
  const unit = useUnit();
  const id = useId();
  const [typed, setTyped] = useState('');
  const [refusal, setRefusal] = useState('');
  useUnsaved('enter', typed.trim() !== '');
  const crumbs: Crumbs = ticket.cleaning.crumbs.find(({ driveId }) => driveId === drive.id) ?? {
    driveId: drive.id,
    piecesMm: [],
    dissolved: drive.oldState === 'crumbs',
    where: '',
    allOut: false,
  };
  const put = (changes: Partial<Crumbs>, gesture?: string) =>
    dispatch(recordEvent({ type: 'crumbsPut', crumbs: { ...crumbs, ...changes } }, gesture));
  const take = (): void => {
    const pieces: number[] = [];
    for (const part of typed.split(/[\s;+]+|,(?=\s)/).filter(Boolean)) {
      const parsed = parseLength(part, unit);
      if (!parsed.ok) return setRefusal(parsed.problem);
      pieces.push(parsed.value.lengthMm);
    }
    if (pieces.length === 0) return;
    setRefusal('');
    if (put({ piecesMm: [...crumbs.piecesMm, ...pieces], dissolved: false })) setTyped('');
  };
  const finding = crumbs.piecesMm.length > 0 || crumbs.dissolved ? crumbsFinding(crumbs, facts.path?.value) : undefined;
  return (
    <div className="grid content-start gap-2">
      <label htmlFor={id} className="text-sm text-soft">
        Pieces, each laid straight, {unit}; Enter adds them
      </label>
      <Input
        id={id}
        className="w-full text-lg"
        autoComplete="off"
        placeholder="42 31 18"
        disabled={!canWrite}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && take()}
        onBlur={take}
      />
      {refusal && (
        <p role="alert" className="text-sm text-live">
          {refusal}
        </p>
      )}
      {crumbs.piecesMm.length > 0 && (
        <ul className="flex flex-wrap gap-2">
          {crumbs.piecesMm.map((mm, index) => (
            <li key={`${index} ${mm}`}>
              <button
                type="button"
                disabled={!canWrite}
                className="min-h-11 min-w-11 border border-hair px-2"
                aria-label={`Remove the piece of ${formatLength(mm, unit)} ${unit}`}
                onClick={() => put({ piecesMm: crumbs.piecesMm.filter((_, at) => at !== index) })}
              >
                {formatLength(mm, unit)} ✕
              </button>
            </li>
          ))}
        </ul>
      )}
      <Check checked={crumbs.dissolved} disabled={!canWrite} onCheck={(checked) => put({ dissolved: checked })}>
        The belt turned to tar
      </Check>
      {finding && <p className={finding.kind === 'missing' ? 'text-live' : ''}>{crumbsWords(finding, unit)}</p>}
      <TextLine
        label="Where it lay"
        value={crumbs.where}
        maxLength={400}
        disabled={!canWrite}
        onText={(where, gesture) => put({ where }, gesture)}
      />
      <Check checked={crumbs.allOut} disabled={!canWrite} onCheck={(checked) => put({ allOut: checked })}>
        Every crumb is accounted for
      </Check>
    </div>
  );
}
