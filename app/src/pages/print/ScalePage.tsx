import { useState } from 'react';
import { draftScale, writeSvg } from '@loose-pulley/core/files/drawing';
import { Button } from '../../parts/ui/Button';
import { download } from '../../parts/ui/download';
import { PrintScale } from './PrintScale';
import { TrueSize } from './TrueSize';

/** The paper scale: section and diameter without a caliper. */
export function ScalePage() {
  const [drafting] = useState(draftScale);
  return (
    <div className="grid grid-cols-1 gap-5 px-5 py-5">
      <div className="flex flex-wrap items-center gap-3 print:hidden">
        <h1 className="text-2xl font-bold">Paper scale</h1>
        <Button look="strong" onClick={() => window.print()}>
          Print at 1 to 1
        </Button>
        <Button onClick={() => download('paper-scale.svg', writeSvg(drafting), 'image/svg+xml')}>As SVG</Button>
      </div>
      <p className="max-w-2xl print:hidden">
        No caliper: the wedge tells a belt’s section to about two tenths, the circles a cap’s or pulley’s diameter to
        half a millimetre. Say “by likeness” for a section read so.
      </p>
      <PrintScale />
      <TrueSize drafting={drafting} />
    </div>
  );
}
