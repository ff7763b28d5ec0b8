import * as Radix from '@radix-ui/react-collapsible';
import { Link } from 'react-router';
import { STATION_NAMES } from '@loose-pulley/core/record/stations';
import type { Rest, Sentence } from '@loose-pulley/core/views/handBack';
import { writtenMoment } from '../../state/written';
import { useTicket } from '../ticket/useTicket';

/** What a sentence rests on, each with the station where it was said. */
function RestsOn({ rests }: { readonly rests: readonly Rest[] }) {
  const { ticket } = useTicket();
  if (rests.length === 0) return <p className="text-live">It rests on nothing that is kept here.</p>;
  return (
    <ul className="grid gap-1 border-l-2 border-hair pl-3">
      {rests.map(({ station, words, at }) => (
        <li key={`${station} ${words} ${at}`}>
          <Link to={`/t/${ticket.id}/${station}`} className="inline-flex min-h-11 items-center underline">
            {STATION_NAMES[station]}
          </Link>
          : {words}
          {at !== '' && `, ${writtenMoment(at)}`}
        </li>
      ))}
    </ul>
  );
}

/** A sentence of a paper. On screen it opens to what it rests on; on paper it is the sentence alone. */
export function Told({ sentence: { text, rests } }: { readonly sentence: Sentence }) {
  return (
    <Radix.Root>
      <Radix.Trigger className="group flex min-h-11 w-full cursor-pointer items-center gap-2 text-left print:block print:min-h-0">
        <span>{text}</span>
        <span aria-hidden className="text-soft print:hidden">
          <span className="group-data-[state=open]:hidden">+</span>
          <span className="hidden group-data-[state=open]:inline">−</span>
        </span>
      </Radix.Trigger>
      <Radix.Content className="pb-2 text-sm print:hidden">
        <span className="text-soft">This rests on</span>
        <RestsOn rests={rests} />
      </Radix.Content>
    </Radix.Root>
  );
}
