import { createRequire } from 'node:module';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './setup.mjs';

/* npm run wings: draws docs/wings.svg from the rules that imports are held to (core/wings.cjs). */
const wings = createRequire(import.meta.url)('../core/wings.cjs');

const WIDE = 960;
const LEFT = 150;
const ROW = 26;
const GAP = 12;
const escaped = (text) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;');
let y = 40;
const parts = [];
for (const { wing, holds, rooms } of wings) {
  const names = Object.entries(rooms);
  const height = names.length * ROW + 12;
  parts.push(
    `<rect x="${LEFT}" y="${y}" width="${WIDE - LEFT - 16}" height="${height}" fill="#fbf9f2" stroke="#1d1f1e"/>`,
    `<text x="16" y="${y + 24}" font-size="19" font-weight="700">${wing}</text>`,
    `<text x="16" y="${y + 44}" font-size="12" fill="#6c6a60">${escaped(holds)}</text>`,
  );
  names.forEach(([room, { holds: words, uses = [] }], at) => {
    const line = y + 24 + at * ROW;
    parts.push(
      `<text x="${LEFT + 12}" y="${line}" font-size="14" font-weight="600">${room}</text>`,
      `<text x="${LEFT + 132}" y="${line}" font-size="13">${escaped(words)}</text>`,
    );
    if (uses.length > 0)
      parts.push(
        `<text x="${WIDE - 28}" y="${line}" font-size="12" text-anchor="end" fill="#6c6a60">uses ${uses.join(', ')}</text>`,
      );
  });
  y += height + GAP;
}
writeFileSync(
  join(root, 'docs/wings.svg'),
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDE} ${y + 8}" font-family="Archivo, Arial Narrow, sans-serif" fill="#1d1f1e">
<rect width="100%" height="100%" fill="#f5f1e6"/>
<text x="16" y="24" font-size="13" fill="#6c6a60">The wings of core, from the ground up: each may use those above it on this page, by the doors of their rooms. Drawn from core/wings.cjs.</text>
${parts.join('\n')}
</svg>
`,
);
