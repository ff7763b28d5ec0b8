import { crash, lookInside, pause, stored, storedBook } from './stage.mjs';

/*
 * Every kind of field that keeps what is typed into it: where it stands, what may be typed there, and what the store then
 * has of it. Fields that wait for Enter keep nothing: of them the foot must never say that they are saved.
 */

const LETTERS = 'abcdefghij klmnop';
const DIGITS = '123456789';
const clock = (random) => ['9-12', '9-12:30', '8-16', '10-18'][Math.floor(random() * 4)];

/** Fields by name. `of` says what of the store stands for it; null for one that waits for Enter. */
export const FIELDS = {
  'a note on a station': { at: 'find', label: 'Note on Find', type: LETTERS, of: ({ ticket }) => ticket.notes.find },
  'the owner on a ticket': {
    at: 'takeIn',
    label: 'Whose, or where it stands',
    type: LETTERS,
    of: ({ ticket }) => ticket.owner,
  },
  'a serial number': { at: 'takeIn', label: 'Serial number', type: LETTERS, of: ({ ticket }) => ticket.serial },
  'minutes of work': {
    at: 'handBack',
    label: 'Bench time, minutes',
    type: DIGITS,
    most: 4,
    of: ({ ticket }) => ticket.handBack.minutes,
  },
  'a line of Strip': { at: 'strip', label: 'What came off, or what was done with it', type: LETTERS, of: null },
  'a reading': { at: 'measure', label: /^Readings of Belt section|^Belt section/, type: DIGITS, of: null },
  'the place of a size': { at: 'size', label: 'Place', type: LETTERS, of: ({ item }) => item.place },
  'the label of a size': { at: 'size', label: 'Label', type: LETTERS, of: ({ item }) => item.label },
  'the supplier of a size': { at: 'size', label: 'Supplier', type: LETTERS, of: ({ item }) => item.supplier },
  'pieces in the drawer': {
    at: 'size',
    label: 'In the drawer, pieces',
    type: DIGITS,
    most: 4,
    of: ({ item }) => item.quantity,
  },
  'the price of one': { at: 'size', label: /^Price of one/, type: DIGITS, most: 4, of: ({ item }) => item.price },
  'few at': { at: 'size', label: /^Few at/, type: DIGITS, most: 4, of: ({ item }) => item.lowAt },
  'a line of the drawer': { at: 'size', label: /^Put in:/, type: LETTERS, of: null },
  'the supplier of a list': { at: 'orders', label: 'Supplier', type: LETTERS, of: ({ list }) => list.supplier },
  'a note to a supplier': { at: 'orders', label: /^Note to them/, type: LETTERS, of: ({ list }) => list.note },
  'pieces on a list': {
    at: 'orders',
    label: /^How many/,
    type: DIGITS,
    most: 3,
    of: ({ list }) => list.lines[0].quantity,
  },
  'places on the bench': {
    at: 'day',
    label: /^Machines on the bench/,
    type: DIGITS,
    most: 1,
    of: ({ book }) => book.benches,
  },
  'opening hours': { at: 'day', label: 'Monday', whole: clock, of: ({ book }) => book.hours[0] },
};

const addressOf = (url, at, { ticketAddress, typed }) =>
  ({ size: `${url}/drawer?size=${typed}`, orders: `${url}/orders`, day: `${url}/day` })[at] ??
  ticketAddress.replace(/\/find$/, `/${at}`);

/** Types into a field and kills the tab: what the foot called saved must be in the store. */
export const typing = (random) => async (context, url, at, number) => {
  const names = Object.keys(FIELDS);
  const name = names[number % names.length];
  const { at: where, label, type, most = 400, whole, of } = FIELDS[name];
  const page = await context.newPage();
  let said = null;
  let letters = [];
  await page.exposeBinding('saw', (_, text) => {
    said = text;
  });
  await page.exposeBinding('typed', (_, text) => letters.push([Date.now(), text]));
  await page.addInitScript(() => {
    const look = () => {
      const field = document.querySelector('[data-attacked]');
      const status = document.querySelector('footer [role=status]')?.textContent ?? '';
      if (field && status.startsWith('Saved')) window.saw(field.value);
    };
    addEventListener('DOMContentLoaded', () =>
      // What a person can see is what stands when the screen is painted.
      new MutationObserver(() => requestAnimationFrame(look)).observe(document, {
        subtree: true,
        childList: true,
        characterData: true,
      }),
    );
    addEventListener('input', (event) => {
      if (event.target.matches('[data-attacked]')) window.typed(event.target.value);
    });
  });
  await page.goto(addressOf(url, where, at));
  if (where === 'day') await page.getByRole('button', { name: /^Opening hours/ }).click();
  const field = page.getByLabel(label, { exact: typeof label === 'string' }).first();
  await field.waitFor();
  await field.fill('');
  await field.evaluate((one) => one.setAttribute('data-attacked', ''));
  await pause(150);
  letters = [];
  said = null;
  const untilMs = Date.now() + 200 + random() * 2500;
  const ways = [20, 60, 180];
  const delay = ways[Math.floor(random() * ways.length)];
  let many = 0;
  while (Date.now() < untilMs) {
    if (whole) await field.fill(whole(random));
    else if (many < most) await page.keyboard.type(type[Math.floor(random() * type.length)]);
    many += 1;
    await pause(whole ? 300 : delay);
  }
  const killedAt = Date.now();
  await crash(context, page);
  const old = letters.findLast(([when]) => when < killedAt - 2000)?.[1] ?? '';
  const kept = of && String((await keptOf(context, url, at, where, of)) ?? '');
  const holds = (text) => (whole ? hoursOf(text) === kept : kept.trim().startsWith(text.trim()));
  const lost = said !== null && said !== '' && (of === null || !holds(said));
  if (lost) console.error(`in ${name}: the foot called “${said}” saved, and the store has “${kept}”`);
  return {
    'tabs killed in typing': 1,
    [`in ${name}`]: 1,
    'letters typed': letters.length,
    'called saved and gone': lost ? 1 : 0,
    'typed two seconds before and gone':
      of === null || old === '' || (whole ? kept !== '' : kept.trim().startsWith(old.trim())) ? 0 : 1,
  };
};

/** Hours as the store has them, from how they are typed. */
const hoursOf = (text) =>
  JSON.stringify(
    text.split(',').map((shift) => {
      const [from, to] = shift.split('-').map((one) => {
        const [hour, minute = 0] = one.trim().split(':').map(Number);
        return 60 * hour + minute;
      });
      return { fromMin: from, toMin: to };
    }),
  );

async function keptOf(context, url, at, where, of) {
  if (!['size', 'orders', 'day'].includes(where)) {
    const tickets = await lookInside(context, url, stored);
    return of(tickets.find(({ id }) => at.ticketAddress.includes(id)));
  }
  const { book } = await lookInside(context, url, storedBook);
  const kept = of({
    book,
    item: book.items.find(({ id }) => id === at.typed),
    list: book.orders.find(({ placedAt }) => placedAt === null),
  });
  return typeof kept === 'object' && kept !== null ? JSON.stringify(kept) : kept;
}
