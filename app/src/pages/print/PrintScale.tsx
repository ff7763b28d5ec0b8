import { printScaleSet } from '../../state/store/settings';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { Button } from '../../parts/ui/Button';
import { NumberLine } from '../../parts/ui/NumberLine';

export const BAR_MM = 100;
/** A printer that is further off than this has been told to fit the page. */
const LEAST = 0.5;
const MOST = 2;

/** The bar's printed length, typed back, corrects every later print of this bench. */
export function PrintScale() {
  const scale = useAppSelector(({ settings }) => settings.printScale);
  const dispatch = useAppDispatch();
  return (
    <div className="flex flex-wrap items-end gap-4 print:hidden">
      <NumberLine
        label={`The bar of ${BAR_MM} mm printed as`}
        unit="mm"
        min={Math.ceil((BAR_MM * LEAST) / scale)}
        max={Math.floor((BAR_MM * MOST) / scale)}
        value={null}
        onNumber={(printed) => printed !== null && dispatch(printScaleSet((scale * BAR_MM) / printed))}
      />
      {Math.abs(scale - 1) > 1e-6 && (
        <>
          <p className="pb-3">
            Prints are drawn {(100 * scale).toFixed(1)} % of their size, so that they come out right.
          </p>
          <Button look="quiet" onClick={() => dispatch(printScaleSet(1))}>
            Back to 100 %
          </Button>
        </>
      )}
      <p className="pb-3 text-soft">Print at 100 %, never “fit to page”; then measure the bar.</p>
    </div>
  );
}
