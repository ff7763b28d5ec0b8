import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensurePackages, root } from './setup.mjs';
import { openCore } from './core.mjs';

/* npm run drawings: the pictures of docs/guide, from the app's own drawings of how, and a few of words. */
ensurePackages();
const core = await openCore();
const { METHODS } = await core.room('belts/measuring');
const { innerPath } = await core.room('physics/drive');

const INK = '#1c1f1e';
const RUBBER = '#2e3132';
const LIVE = '#a42f14';
const PAPER = '#fcf9f2';
const line = (d, colour = INK, width = 1.2, more = '') =>
  `<path d="${d}" fill="none" stroke="${colour}" stroke-width="${width}" ${more}/>`;
const words = (x, y, text, anchor = 'middle') =>
  `<text x="${x}" y="${y}" font-family="sans-serif" font-size="7" text-anchor="${anchor}" fill="${INK}">${text}</text>`;
const arrow = (x1, y1, x2, y2) => {
  const length = Math.hypot(x2 - x1, y2 - y1) || 1;
  const [ux, uy] = [(x2 - x1) / length, (y2 - y1) / length];
  const head = (x, y, way) =>
    `<path fill="${LIVE}" d="M${x} ${y}l${way * ux * 6 - uy * 2.4} ${way * uy * 6 + ux * 2.4}l${uy * 4.8} ${-ux * 4.8}Z"/>`;
  return line(`M${x1} ${y1}L${x2} ${y2}`, LIVE, 1.4) + head(x1, y1, 1) + head(x2, y2, -1);
};
const sheet = (width, height, inside) =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${3 * width}" height="${3 * height}">` +
  `<rect width="${width}" height="${height}" fill="${PAPER}"/>${inside}</svg>\n`;
const circle = (x, y, r) => `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;

/** The outline of an open belt round two circles, from the core's own path: its wraps say where it leaves them. */
function around(x1, r1, x2, r2, y) {
  const flat = { form: 'flat' };
  const path = innerPath({
    motorPulley: { bottomDiameterMm: 2 * r1, groove: flat },
    drivenPulley: { bottomDiameterMm: 2 * r2, groove: flat },
    centreDistanceMm: x2 - x1,
    crossed: false,
  });
  if (!path.ok) throw new Error(path.problem);
  const half = path.value.wrapsRad[0] / 2;
  const at = (x, r, way) => [x - r * Math.cos(half), y + way * r * Math.sin(half)];
  const [ax, ay] = at(x1, r1, -1);
  const [bx, by] = at(x2, r2, -1);
  const [cx, cy] = at(x2, r2, 1);
  const [dx, dy] = at(x1, r1, 1);
  const f = (n) => n.toFixed(2);
  return `M${f(ax)} ${f(ay)}L${f(bx)} ${f(by)}A${r2} ${r2} 0 1 1 ${f(cx)} ${f(cy)}L${f(dx)} ${f(dy)}A${r1} ${r1} 0 0 1 ${f(ax)} ${f(ay)}Z`;
}
const pulleys =
  line(circle(36, 33, 8) + circle(96, 33, 22)) + `<circle cx="36" cy="33" r="1.6"/><circle cx="96" cy="33" r="1.6"/>`;

const made = {
  answer: sheet(132, 66, pulleys + line(around(36, 8.9, 96, 22.9, 33), RUBBER, 3)),
  path: sheet(132, 66, pulleys + line(around(36, 8.4, 96, 22.4, 33), LIVE, 1.4)),
  'inner-length': sheet(132, 66, line(circle(66, 33, 26), RUBBER, 4) + line(circle(66, 33, 23.6), LIVE, 1)),
  stretch: sheet(
    132,
    66,
    pulleys +
      line(around(36, 8.9, 96, 22.9, 33), RUBBER, 2.2) +
      line(around(40, 7, 88, 18, 33), LIVE, 1, 'stroke-dasharray="3 2.4"'),
  ),
  sections: sheet(
    132,
    66,
    `<path fill="${RUBBER}" d="M18 22h20v20h-20Z${circle(66, 32, 10.5)}M90 27h28v9h-28Z"/>` +
      words(28, 58, 'square') +
      words(66, 58, 'round') +
      words(104, 58, 'flat') +
      arrow(18, 14, 38, 14),
  ),
  groove: sheet(
    132,
    66,
    line('M20 14h32v28h28v-28h32v40H20Z') +
      `<path fill="${RUBBER}" d="M57 28h18v14h-18Z"/>` +
      arrow(100, 42, 100, 54) +
      line('M80 42h26', LIVE, 0.8, 'stroke-dasharray="2 2"'),
  ),
  'mode-gear': sheet(
    132,
    66,
    line(
      `${Array.from({ length: 20 }, (_, tooth) => {
        const at = (r, turn) => {
          const angle = ((tooth + turn) * Math.PI) / 10;
          return `${(66 + r * Math.cos(angle)).toFixed(2)} ${(33 + r * Math.sin(angle)).toFixed(2)}`;
        };
        return `${tooth === 0 ? 'M' : 'L'}${at(24, 0)}L${at(28, 0.25)}L${at(28, 0.5)}L${at(24, 0.75)}`;
      }).join('')}Z`,
    ) +
      line('M52 33a14 14 0 0 1 20 -12a10 10 0 0 1 4 20a14 14 0 0 1 -24 -8Z') +
      `<circle cx="66" cy="33" r="3"/><circle cx="86" cy="33" r="2" fill="${LIVE}"/>`,
  ),
};
for (const method of METHODS) {
  if (!['doubledOuter', 'overCap', 'laidStraight', 'inPieces', 'stringRound', 'sectionJaws'].includes(method.id))
    continue;
  const { drawing } = await method.guide();
  const [x1, y1, x2, y2] = drawing.read;
  made[`how-${method.id}`] = sheet(
    132,
    66,
    (drawing.thing ? line(drawing.thing) : '') +
      (drawing.belt ? line(drawing.belt, RUBBER, 3, 'stroke-linejoin="round"') : '') +
      arrow(x1, y1, x2, y2),
  );
}
const folder = join(root, 'docs/guide/drawings');
mkdirSync(folder, { recursive: true });
for (const [name, svg] of Object.entries(made)) writeFileSync(join(folder, `${name}.svg`), svg);
console.log(`${Object.keys(made).length} drawings.`);
await core.close();
process.exit(0);
