import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { openCore } from './core.mjs';
import { root } from './setup.mjs';

/* npm run schema: writes docs/ticket.schema.json from the stations' own descriptions. A test says when it is due. */
const core = await openCore();
const { recordJsonSchema } = await core.room('files/exchange');
writeFileSync(join(root, 'docs/ticket.schema.json'), `${JSON.stringify(recordJsonSchema(), null, 1)}\n`);
await core.close();
