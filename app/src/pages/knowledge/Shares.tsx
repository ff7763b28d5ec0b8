import { causeName, type Knowledge } from '@loose-pulley/core/work/diagnosis';
import { Percent } from './Percent';
import type { Loader } from '@loose-pulley/core/base/loaders';

/** How often each cause is the one, beside the others, for one kind of loader. */
export function Shares({
  knowledge,
  loader,
  onChange,
}: {
  readonly knowledge: Knowledge;
  readonly loader: Loader;
  readonly onChange: (knowledge: Knowledge) => void;
}) {
  const total = knowledge.causes.reduce((sum, { priors }) => sum + priors[loader], 0);
  return (
    <ul className="grid gap-x-8 sm:grid-cols-2">
      {knowledge.causes.map((cause) => (
        <li key={cause.id} className="flex items-center justify-between gap-3 border-b border-hair py-1">
          <span>{causeName(cause, loader)}</span>
          <span className="flex items-center gap-3">
            <span className="text-sm text-soft">
              {cause.priors[loader] === 0 ? 'cannot be' : `${((100 * cause.priors[loader]) / total).toFixed(1)} %`}
            </span>
            <Percent
              label={`Share of ${causeName(cause, loader)}`}
              value={cause.priors[loader]}
              max={10_000}
              onChange={(share) =>
                onChange({
                  ...knowledge,
                  causes: knowledge.causes.map((one) =>
                    one.id === cause.id ? { ...one, priors: { ...one.priors, [loader]: share } } : one,
                  ),
                })
              }
            />
          </span>
        </li>
      ))}
    </ul>
  );
}
