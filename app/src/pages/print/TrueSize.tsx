import { draftBar, extentOf, tiles, type Drafting, type Figure } from '@loose-pulley/core/files/drawing';
import { useAppSelector } from '../../state/store/hooks';
import { BAR_MM } from './PrintScale';

/** What an A4 and a Letter sheet both print, with room for a line of words, mm. */
const SHEET = { widthMm: 180, heightMm: 215 };
const TURN = 2 * Math.PI;

function Shape({ figure }: { readonly figure: Figure }) {
  switch (figure.type) {
    case 'line':
      return <path d={`M${figure.x1} ${-figure.y1}L${figure.x2} ${-figure.y2}`} />;
    case 'circle':
      return <circle cx={figure.x} cy={-figure.y} r={figure.r} />;
    case 'arc': {
      const at = (angle: number) =>
        `${figure.x + figure.r * Math.cos(angle)} ${-figure.y - figure.r * Math.sin(angle)}`;
      const sweep = (((figure.toRad - figure.fromRad) % TURN) + TURN) % TURN;
      return (
        <path d={`M${at(figure.fromRad)}A${figure.r} ${figure.r} 0 ${sweep > Math.PI ? 1 : 0} 0 ${at(figure.toRad)}`} />
      );
    }
    case 'text':
      return (
        <text x={figure.x} y={-figure.y} fontSize={figure.heightMm} fill="currentColor" stroke="none">
          {figure.text}
        </text>
      );
  }
}

/** A drawing at 1:1 on as many sheets as it takes, a bar to be measured on the first. */
export function TrueSize({ drafting }: { readonly drafting: Drafting }) {
  const scale = useAppSelector(({ settings }) => settings.printScale);
  const bare = extentOf(drafting.figures);
  const figures = [...drafting.figures, ...draftBar(bare.left + 4, bare.bottom - 6, BAR_MM)];
  const extent = extentOf(figures);
  const sheet = { widthMm: SHEET.widthMm / scale, heightMm: SHEET.heightMm / scale };
  const cut = tiles(extent, sheet);
  return (
    <ol className="grid justify-items-center gap-4">
      {cut.map((tile, index) => (
        <li key={index} className={index > 0 ? 'break-before-page' : ''}>
          {cut.length > 1 && (
            <p className="text-center text-sm">
              Sheet {index + 1} of {cut.length}: column {tile.column + 1}, row {tile.row + 1}. Sheets overlap by 10 mm.
            </p>
          )}
          <svg
            width={`${tile.width * scale}mm`}
            height={`${tile.height * scale}mm`}
            viewBox={`${tile.left} ${-tile.bottom - tile.height} ${tile.width} ${tile.height}`}
            role="img"
            aria-label={`${drafting.name} at 1 to 1${cut.length > 1 ? `, sheet ${index + 1}` : ''}`}
            className={
              cut.length > 1
                ? 'max-w-full border border-dashed border-soft text-ink print:max-w-none'
                : 'max-w-full text-ink print:max-w-none'
            }
            fill="none"
            stroke="currentColor"
            strokeWidth="0.2"
          >
            {figures.map((figure, place) => (
              <Shape key={place} figure={figure} />
            ))}
          </svg>
        </li>
      ))}
    </ol>
  );
}
