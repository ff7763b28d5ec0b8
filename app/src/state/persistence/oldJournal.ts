import type { StoredTicket } from './commit';
import { journalTable, ticketTable } from './storage';
import { current, saveTicket } from './tickets';

const IMPORT = 'import';

/**
 * Ends what a dying tab of an earlier Loose Pulley had begun to import: it wrote tickets one by one, with a journal
 * beside them. Only those that are missing are written: what stands here may be newer.
 */
export async function finishImport(): Promise<void> {
  const records = await journalTable.getItem<StoredTicket[]>(IMPORT);
  if (!records) return;
  for (const one of records) {
    if ((await ticketTable.getItem(one.ticket.id)) === null)
      await current(one)
        .then(({ record }) => saveTicket(record, null))
        .catch(() => undefined);
  }
  await journalTable.removeItem(IMPORT);
}
