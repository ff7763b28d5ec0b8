import { Component, type ReactNode } from 'react';
import { writeTicketFile, type TicketRecord } from '@loose-pulley/core/record/ticket';
import { writeTicketName } from '../parts/ticket/names';
import { Button } from '../parts/ui/Button';
import { download } from '../parts/ui/download';
import { fetchAgain, notFetched } from '../parts/ui/page';
import { useAppSelector } from '../state/store/hooks';

interface Props {
  readonly children: ReactNode;
  readonly record: TicketRecord | null;
  /** What it shows, by address or name: with another it begins anew. */
  readonly at: string;
}

/** Keeps a page that could not be fetched, or that broke, to its own place: what is around it stays, and so does the way out. */
class Boundary extends Component<Props, { readonly error: Error | null }> {
  override state: { readonly error: Error | null } = { error: null };

  static getDerivedStateFromError(error: unknown) {
    return { error: error instanceof Error ? error : new Error(String(error)) };
  }

  override componentDidUpdate(before: Props) {
    if (this.state.error && before.at !== this.props.at) this.setState({ error: null });
  }

  override render() {
    const { error } = this.state;
    const { children, record } = this.props;
    if (!error) return children;
    const away = notFetched(error);
    return (
      <section role="alert" className="grid max-w-2xl gap-4 px-5 py-8 text-lg">
        <h2 className="text-2xl">{away ? 'This page could not be fetched' : 'This page has broken'}</h2>
        <p>
          Nothing that was saved is lost.{' '}
          {away
            ? 'The server does not answer, or has another version by now. Start it again, or load the page anew.'
            : 'Try again; if it breaks again, export the ticket and load the page anew.'}
        </p>
        <p className="flex flex-wrap gap-3">
          <Button
            look="strong"
            onClick={() => {
              fetchAgain();
              this.setState({ error: null });
            }}
          >
            Try again
          </Button>
          {record && (
            <Button
              onClick={() =>
                download(`${writeTicketName(record.ticket)}.json`, writeTicketFile(record), 'application/json')
              }
            >
              Export {record.ticket.number} without pictures
            </Button>
          )}
          <Button onClick={() => window.location.reload()}>Load anew</Button>
        </p>
        {!away && <p className="text-base break-words text-soft">{error.message}</p>}
      </section>
    );
  }
}

/** @example <PageBroken at={pathname}><Outlet /></PageBroken> */
export function PageBroken(props: Omit<Props, 'record'>) {
  const record = useAppSelector(({ openTicket: { ticket } }) => (ticket.status === 'open' ? ticket.record : null));
  return <Boundary {...props} record={record} />;
}
