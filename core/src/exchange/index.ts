export { differences, type Difference } from './difference';
export { readTicketDocument, readTicketFile, TICKET_FILE_MOST_BYTES, writeTicketFile } from './ticketFile';
export { ARCHIVE_FORMAT, ARCHIVE_VERSION, readArchive, writeArchive } from './archive';
export { recordSchema } from './schema';
export { upcast, type Upcaster } from './upcast';
