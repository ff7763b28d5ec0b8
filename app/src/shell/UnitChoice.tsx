import { Segments } from '../parts/ui/Segments';
import { useAppDispatch, useUnit } from '../state/store/hooks';
import { unitChosen } from '../state/store/settings';

/** The unit in which the screen speaks. */
export default function UnitChoice() {
  const dispatch = useAppDispatch();
  return (
    <Segments
      label="Unit of the screen"
      value={useUnit()}
      options={[
        ['mm', 'mm'],
        ['in', 'in'],
      ]}
      onChoose={(next) => dispatch(unitChosen(next))}
    />
  );
}
