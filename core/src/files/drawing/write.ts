import { plainWords } from '../../base/units';
import { DxfWriter, LWPolylineFlags, point3d, Units } from '@tarikjabiri/dxf';
import { extentOf } from './draw';
import type { Drafting, Figure } from './types';

const n = (value: number): string => (Math.round(value * 1000) / 1000).toString();
const escaped = (text: string): string =>
  plainWords(text).replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
const TURN = 2 * Math.PI;

/** One figure as SVG, y turned downwards. */
export function svgOf(figure: Figure): string {
  switch (figure.type) {
    case 'line':
      return `<path d="M${n(figure.x1)} ${n(-figure.y1)}L${n(figure.x2)} ${n(-figure.y2)}"/>`;
    case 'circle':
      return `<circle cx="${n(figure.x)}" cy="${n(-figure.y)}" r="${n(figure.r)}"/>`;
    case 'arc': {
      const { x, y, r, fromRad, toRad } = figure;
      const at = (angle: number): string => `${n(x + r * Math.cos(angle))} ${n(-y - r * Math.sin(angle))}`;
      const sweep = (((toRad - fromRad) % TURN) + TURN) % TURN;
      return `<path d="M${at(fromRad)}A${n(r)} ${n(r)} 0 ${sweep > Math.PI ? 1 : 0} 0 ${at(toRad)}"/>`;
    }
    case 'polygon':
      return `<path d="M${figure.points.map(([x, y]) => `${n(x)} ${n(-y)}`).join('L')}Z"/>`;
    case 'text':
      return `<text x="${n(figure.x)}" y="${n(-figure.y)}" font-size="${n(figure.heightMm)}" fill="black" stroke="none" font-family="sans-serif">${escaped(figure.text)}</text>`;
  }
}

/** The drawing as an SVG file at 1:1. For instance writeSvg(drafting).startsWith('<svg'): true */
export function writeSvg({ figures, name }: Drafting): string {
  const { left, bottom, width, height } = extentOf(figures);
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}mm" height="${n(height)}mm" viewBox="${n(left)} ${n(-bottom - height)} ${n(width)} ${n(height)}">`,
    `<title>${escaped(name)}</title>`,
    '<g fill="none" stroke="black" stroke-width="0.2">',
    ...figures.map(svgOf),
    '</g>',
    '</svg>',
    '',
  ].join('\n');
}

/** The drawing as a DXF file in millimetres, at 1:1. */
export function writeDxf({ figures }: Drafting): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  const degrees = (angle: number): number => ((((angle * 180) / Math.PI) % 360) + 360) % 360;
  for (const figure of figures) {
    switch (figure.type) {
      case 'line':
        dxf.addLine(point3d(figure.x1, figure.y1), point3d(figure.x2, figure.y2));
        break;
      case 'circle':
        dxf.addCircle(point3d(figure.x, figure.y), figure.r);
        break;
      case 'arc':
        dxf.addArc(point3d(figure.x, figure.y), figure.r, degrees(figure.fromRad), degrees(figure.toRad));
        break;
      case 'polygon':
        dxf.addLWPolyline(
          figure.points.map(([x, y]) => ({ point: { x, y } })),
          { flags: LWPolylineFlags.Closed },
        );
        break;
      case 'text':
        dxf.addText(point3d(figure.x, figure.y), figure.heightMm, plainWords(figure.text));
        break;
    }
  }
  return dxf.stringify();
}
