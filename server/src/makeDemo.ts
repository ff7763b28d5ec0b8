import { writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { readTicketDocument } from '@loose-pulley/core/files/exchange';
import { buildTicket } from './demo/build';
import { demoBook } from './demo/book';
import { WRACKLINE } from './demo/wrackline';

/** Writes the demo's tickets beside the server, each checked as an imported file would be. */
const records = WRACKLINE.map((ticket) => {
  const record = readTicketDocument(buildTicket(ticket), `demo ticket ${ticket.details.number}`);
  if (!record.ok) throw new Error(record.problem);
  return record.value;
});
const file = join(dirname(fileURLToPath(import.meta.url)), 'wrackline.json');
writeFileSync(file, JSON.stringify({ benchName: 'Wrackline Folk Archive', tickets: records, book: demoBook() }));
console.log(`Demo data: ${records.length} tickets.`);
