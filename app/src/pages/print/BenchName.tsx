import { BENCH_NAME_MAX, benchNamed } from '../../state/store/settings';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { keptHere } from '../../parts/ui/useDraft';
import { TextLine } from '../../parts/ui/TextLine';

/** Who this bench is, said once and printed on every paper. */
export function BenchName() {
  const name = useAppSelector(({ settings }) => settings.benchName);
  const dispatch = useAppDispatch();
  return (
    <TextLine
      label="This bench’s name, as it stands on papers"
      value={name}
      maxLength={BENCH_NAME_MAX}
      onText={keptHere((text) => dispatch(benchNamed(text)))}
    />
  );
}

/** The bench's name as it stands on a paper; nothing where it was not said. */
export const useBenchName = (): string => useAppSelector(({ settings }) => settings.benchName.trim());
