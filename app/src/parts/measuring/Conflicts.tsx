import { saidAgainst, type DriveView } from '@loose-pulley/core/views/drive';
import { useUnit } from '../../state/store/hooks';

/** What was said and read of a drive that cannot all be true, and what would settle it; nothing where all fits. */
export default function Conflicts({
  view: { facts, drive, sisters },
  className = '',
}: {
  readonly view: DriveView;
  readonly className?: string;
}) {
  const unit = useUnit();
  const against = saidAgainst(facts, drive, sisters, unit);
  if (against.length === 0) return null;
  return (
    <section aria-label="These do not fit" className={`grid gap-2 border-l-4 border-live pl-3 ${className}`}>
      {against.map(({ said, settle }) => (
        <p key={said}>
          <strong>They do not fit.</strong> {said} <strong>{settle}</strong>
        </p>
      ))}
    </section>
  );
}
