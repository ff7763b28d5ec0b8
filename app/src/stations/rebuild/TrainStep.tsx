import { Link } from 'react-router';
import type { Step } from '@loose-pulley/core/work/strip';
import { memberWords, timed, toothMm } from '@loose-pulley/core/physics/train';
import { trainView } from '@loose-pulley/core/views/train';
import { useTicket } from '../../parts/ticket/useTicket';

/** A step that is a member of the train: its mark is asked for, and what one tooth out would do is said. */
export function TrainStep({ step }: { readonly step: Step }) {
  const { ticket } = useTicket();
  const member = ticket.train.members.find(({ stepId }) => stepId === step.id);
  if (!member) return null;
  const each = timed(ticket.train.members).some(({ id }) => id === member.id)
    ? toothMm(ticket.train, trainView(ticket).belts, member.id)
    : undefined;
  return (
    <p className="pl-12 text-[15px]">
      {member.reference !== '' && (
        <>
          Its reference: <strong>{member.reference}</strong>.{' '}
        </>
      )}
      {each !== undefined && `One tooth out moves the tray by ${each.toFixed(1)} mm. `}
      <Link className="underline decoration-hair underline-offset-4" to={`/t/${ticket.id}/train`}>
        {memberWords(member)} on the train
      </Link>
    </p>
  );
}
