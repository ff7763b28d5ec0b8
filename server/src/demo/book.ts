import { appendBook, emptyBook, type BookBody, type BookRecord } from '@loose-pulley/core/shop/book';
import { newItem, type BeltFields, type Item } from '@loose-pulley/core/shop/drawer';
import { newLine, type OrderLine } from '@loose-pulley/core/shop/orders';
import { TODAY } from './today';

/* The archive's bench book: what hangs in its drawer, its kits, what it has ordered, told by its own events. */

const square = (thicknessMm: number, innerLengthMm: number): BeltFields => ({
  shape: 'square',
  thicknessMm,
  widthMm: null,
  innerLengthMm,
});
const ring = (innerMm: number): BeltFields => ({
  shape: 'round',
  thicknessMm: 1.778,
  widthMm: null,
  innerLengthMm: Math.PI * innerMm,
});
const flat = (widthMm: number, thicknessMm: number, innerLengthMm: number): BeltFields => ({
  shape: 'flat',
  thicknessMm,
  widthMm,
  innerLengthMm,
});

let count = 0;
const id = (kind: string): string => `demo-book-${kind}${(count += 1)}`;
const item = (belt: BeltFields, quantity: number, of: Partial<Item> = {}): Item =>
  newItem(id('i'), belt, quantity, {
    place: 'A1',
    supplier: 'Corrie Belts',
    rubber: 'chloroprene',
    boughtOn: '2025-03-12',
    ...of,
  });

const SQUARES: readonly Item[] = [
  ...(
    [
      [72, 2],
      [80, 0],
      [88, 1],
      [96, 3],
      [104, 0],
      [112, 2],
      [120, 1],
    ] as const
  ).map(([mm, n]) => item(square(1, mm), n)),
  ...(
    [
      [84, 4],
      [92, 2],
      [100, 0],
      [104, 1],
      [108, 3],
      [112, 5],
      [116, 2],
      [120, 2],
      [128, 0],
      [136, 1],
      [148, 2],
      [164, 1],
    ] as const
  ).map(([mm, n]) =>
    item(square(1.2, mm), n, {
      place: 'A2',
      price: 1.4,
      sellerNumbers: [{ seller: 'Corrie Belts', number: `S12-${mm}` }],
      ...(mm === 116 && { lowAt: 1, label: 'drawer 3, square 1.2, 116' }),
      // Somebody has put a longer one into this bag.
      ...(mm === 108 && { measuredMm: 111.2, measuredOn: '2026-06-02', label: '108' }),
    }),
  ),
  ...(
    [
      [96, 1],
      [108, 0],
      [120, 3],
      [132, 2],
      [152, 4],
      [180, 1],
    ] as const
  ).map(([mm, n]) => item(square(1.5, mm), n, { place: 'A3', price: 1.6 })),
];
const RINGS: readonly Item[] = (
  [
    [21.95, 2],
    [25.12, 6],
    [28.3, 8],
    [31.47, 3],
    [34.65, 0],
    [37.82, 4],
    [40.99, 2],
    [44.17, 5],
    [50.52, 1],
  ] as const
).map(([mm, n]) =>
  item(ring(mm), n, {
    place: 'B1',
    supplier: 'Quayside Seals',
    rubber: 'nitrile',
    price: 0.6,
    boughtOn: '2022-10-04',
    ...(mm === 34.65 && { lowAt: 1 }),
  }),
);
const FLATS: readonly Item[] = (
  [
    [150, 1],
    [184, 1],
    [208, 2],
  ] as const
).map(([mm, n]) =>
  item(flat(4, 0.6, mm), n, { place: 'B2', supplier: 'Quayside Seals', price: 2.8, boughtOn: '2026-02-20' }),
);
const BAND: Item = item(flat(4, 1, 100), 12, {
  band: true,
  place: 'desk',
  supplier: '',
  label: 'office bands',
  rubber: 'naturalRubber',
  price: null,
});

const line = (belt: BeltFields, quantity: number, of: Partial<OrderLine> = {}): OrderLine =>
  newLine(id('l'), belt, quantity, of);

type At = readonly [at: string, body: BookBody];

/** An order as it went: listed, placed, and what came so many days later. */
function ordered(
  supplier: string,
  placed: string,
  lines: readonly OrderLine[],
  came: number | null,
  wrong?: { readonly line: OrderLine; readonly reallyMm: number },
): At[] {
  const orderId = id('o');
  const later = (days: number): string => new Date(Date.parse(placed) + days * 86_400_000).toISOString();
  return [
    [placed, { type: 'orderBegun', orderId, supplier }],
    ...lines.map((one): At => [placed, { type: 'lineListed', orderId, line: one }]),
    [placed, { type: 'orderPlaced', orderId, expectedOn: '', reference: '', byCounter: false }],
    ...(came === null
      ? []
      : lines.map((one): At => {
          const isWrong = wrong?.line === one;
          const belt = {
            shape: one.shape,
            thicknessMm: one.thicknessMm,
            widthMm: one.widthMm,
            innerLengthMm: one.innerLengthMm,
          };
          return [
            later(came),
            {
              type: 'lineArrived',
              orderId,
              lineId: one.id,
              right: isWrong ? 0 : one.quantity,
              item: isWrong
                ? null
                : newItem(id('i'), belt, one.quantity, { supplier, boughtOn: later(came).slice(0, 10) }),
              wrong: isWrong ? one.quantity : 0,
              other: isWrong
                ? newItem(id('i'), { ...belt, innerLengthMm: wrong.reallyMm }, one.quantity, {
                    supplier,
                    label: 'came as another size',
                    measuredMm: wrong.reallyMm,
                    measuredOn: later(came).slice(0, 10),
                  })
                : null,
            },
          ];
        })),
    // What came wrong was sent back, and did not come again.
    ...(wrong ? [[later(30), { type: 'orderClosed', orderId }] as const] : []),
  ];
}

/** What the archive wrote into its bench book, by the day. */
function events(): readonly At[] {
  const mixed = line(square(1.2, 124), 2, { price: 1.4 });
  return [
    ['2024-01-15T10:00:00Z', { type: 'itemsPut', items: [...SQUARES, ...RINGS, ...FLATS, BAND] }],
    ...ordered('Corrie Belts', '2025-02-03T10:00:00Z', [line(square(1.2, 116), 2, { price: 1.4 })], 4),
    ...ordered(
      'Corrie Belts',
      '2025-09-18T10:00:00Z',
      [line(square(1.5, 180), 1, { price: 1.6 }), line(square(1.2, 112), 2, { price: 1.4 })],
      3,
    ),
    ...ordered('Quayside Seals', '2026-01-12T10:00:00Z', [line(ring(44.17), 2, { price: 0.6 })], 9),
    ...ordered('Corrie Belts', '2026-05-06T10:00:00Z', [mixed, line(square(1, 96), 1, { price: 1.2 })], 5, {
      line: mixed,
      reallyMm: 119.8,
    }),
    [
      '2026-06-01T10:00:00Z',
      {
        type: 'kitPut',
        kit: {
          id: 'demo-book-k1',
          name: 'forty small squares',
          quantity: 1,
          place: 'under the bench',
          supplier: 'Corrie Belts',
          price: 14,
          boughtOn: '2026-05-28',
          contents: [76, 84, 92, 100].map((mm) => ({ ...square(1.2, mm), label: '', count: 10 })),
        },
      },
    ],
    [
      '2026-06-01T10:05:00Z',
      {
        type: 'kitPut',
        kit: {
          id: 'demo-book-k2',
          name: 'thin squares, loose',
          quantity: 1,
          place: 'A1',
          supplier: 'Corrie Belts',
          price: 6,
          boughtOn: '2026-05-28',
          contents: [72, 120].map((mm) => ({ ...square(1, mm), label: '', count: 2 })),
        },
      },
    ],
    ['2026-06-02T09:00:00Z', { type: 'kitOpened', kitId: 'demo-book-k2', itemIds: ['demo-book-n1', 'demo-book-n2'] }],
    // For the carousel in pieces; as long ago as it is told, whenever the demo is begun.
    ...ordered(
      'Quayside Seals',
      `${TODAY(-3)}T09:30:00Z`,
      [line(ring(47.35), 1, { price: 0.6, wants: [{ ticketId: 'demo-0139', wantId: 'demo-0139-w1' }] })],
      null,
    ),
  ];
}

/** The archive's bench book. @throws Error where an event cannot be followed: the demo itself is then wrong */
export function demoBook(): BookRecord {
  let record = emptyBook();
  events().forEach(([at, body], index) => {
    const next = appendBook(record, { ...body, id: `demo-book-e${index}`, at });
    if (!next.ok) throw new Error(`Demo book, entry ${index}: ${next.problem}`);
    record = next.value;
  });
  return record;
}
