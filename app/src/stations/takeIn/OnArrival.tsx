import { nanoid } from 'nanoid';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { TextArea, TextLine } from '../../parts/ui/TextLine';
import { EVIDENCE_KINDS, EVIDENCE_NAMES, type Evidence, type EvidenceKind } from '@loose-pulley/core/record/stations';
import { Folded } from '../../parts/ui/Folded';
import { Select } from '../../parts/ui/Select';

/** What happened before it failed, and what the machine shows of those who were in it before. */
export function OnArrival() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const put = (evidence: Evidence, gesture?: string) =>
    dispatch(recordEvent({ type: 'evidencePut', evidence }, gesture));
  return (
    <Folded name="onArrival" title="How it arrived" open={ticket.story !== '' || ticket.evidence.length > 0}>
      <TextArea
        label="What happened before it failed"
        rows={2}
        value={ticket.story}
        disabled={!canWrite}
        onText={(text, gesture) => dispatch(recordEvent({ type: 'storyTold', story: text.slice(0, 4000) }, gesture))}
      />
      {ticket.evidence.map((one) => (
        <div
          key={one.id}
          role="group"
          aria-label={EVIDENCE_NAMES[one.kind]}
          className="grid items-end gap-3 border-b border-hair pb-3 md:grid-cols-[auto_1fr_10rem_auto]"
        >
          <Select
            aria-label="Evidence"
            value={one.kind}
            disabled={!canWrite}
            onChoose={(chosen) => put({ ...one, kind: chosen as EvidenceKind })}
            options={EVIDENCE_KINDS.map((kind) => [kind, EVIDENCE_NAMES[kind]] as const)}
          />
          <TextLine
            label="Where, and what of it"
            value={one.words}
            maxLength={400}
            disabled={!canWrite}
            onText={(words, gesture) => put({ ...one, words }, `${gesture}-words`)}
          />
          <TextLine
            label="Condition"
            value={one.age}
            maxLength={80}
            disabled={!canWrite}
            onText={(age, gesture) => put({ ...one, age }, `${gesture}-age`)}
          />
          <Button
            look="quiet"
            disabled={!canWrite}
            onClick={() => dispatch(recordEvent({ type: 'evidenceRemoved', evidenceId: one.id }))}
          >
            Remove
          </Button>
        </div>
      ))}
      {canWrite && (
        <div role="group" aria-label="Evidence on arrival" className="flex flex-wrap gap-2">
          {EVIDENCE_KINDS.map((kind) => (
            <Button key={kind} onClick={() => put({ id: nanoid(10), kind, words: '', age: '' })}>
              {EVIDENCE_NAMES[kind]}
            </Button>
          ))}
        </div>
      )}
    </Folded>
  );
}
