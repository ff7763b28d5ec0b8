import { lazy, Suspense, type ReactNode } from 'react';
import type { LengthUnit } from '@loose-pulley/core/base/units';
import type { DrawnDrive } from './drawnDrive';
import type { Box } from './driveLayout';
import { layOutDrive } from './layOutDrive';
import { useWidth } from './useWidth';

// The fields are there at once; the lines under them a moment later.
const DriveSheet = lazy(async () => ({ default: (await import('./DriveSheet')).DriveSheet }));

interface Props {
  readonly drawn: DrawnDrive;
  readonly unit: LengthUnit;
  readonly heightPx?: number;
  /** What stands in each label: a field on the screen, a figure on paper. */
  readonly labels: Readonly<Record<'motor' | 'drive' | 'centre', ReactNode>>;
  /** An idler was moved by hand or key. */
  readonly onMove?: ((id: string, xMm: number, yMm: number) => void) | undefined;
}

const at = (box: Box) => ({ left: box.x, top: box.y, width: box.w, height: box.h });

/**
 * The drive drawing: to scale, and an input. Labels are laid over the sheet, so that they are real fields; lines are
 * SVG.
 */
export function DriveDrawing({ drawn, unit, labels, heightPx = 370, onMove }: Props) {
  const [ref, widthPx] = useWidth<HTMLDivElement>(776);
  const laid = layOutDrive(drawn, widthPx, heightPx);
  const { motorLabel, driveLabel, centreLabel } = laid.layout;
  return (
    <div ref={ref} className="relative w-full" style={{ height: heightPx }}>
      <Suspense fallback={null}>
        <DriveSheet {...{ drawn, laid, unit, widthPx, heightPx, onMove }} />
      </Suspense>
      <div className="absolute" style={at(motorLabel)}>
        {labels.motor}
      </div>
      <div className="absolute" style={at(driveLabel)}>
        {labels.drive}
      </div>
      <div className="absolute" style={at(centreLabel)}>
        {labels.centre}
      </div>
    </div>
  );
}
