import * as Radix from '@radix-ui/react-radio-group';
import { useEffect, useState } from 'react';
import type { Guide } from '@loose-pulley/core/belts/measuring';
import { HowDrawing } from '../../parts/measuring/HowDrawing';
import { cx } from '../../parts/ui/cx';
import { OLD_BELT_WAYS, type FirstFigures } from './useFirstFigures';

/** How the old belt is read: a picture each, of which the one that the typed line says, or the hand chose, is filled. */
export function OldBeltWays({ figures }: { readonly figures: FirstFigures }) {
  const [guides, setGuides] = useState<Readonly<Record<string, Guide>>>({});
  useEffect(() => {
    let current = true;
    void Promise.all(OLD_BELT_WAYS.map(async ({ id, guide }) => [id, await guide()] as const))
      .then((all) => current && setGuides(Object.fromEntries(all)))
      .catch(() => undefined);
    return () => {
      current = false;
    };
  }, []);
  const chosen = figures.way?.id ?? '';
  return (
    <div className="grid gap-1">
      <Radix.Root
        aria-label="How it was measured, where the line does not say"
        value={chosen}
        onValueChange={figures.chooseWay}
        className="grid grid-cols-3 gap-2"
      >
        {OLD_BELT_WAYS.map(({ id, quickLabel }) => {
          const guide = guides[id];
          return (
            <Radix.Item
              key={id}
              value={id}
              className={cx(
                'grid cursor-pointer content-start justify-items-center border bg-paper pb-1 text-[15px] focus-visible:outline-3 focus-visible:outline-offset-2 focus-visible:outline-live',
                id === chosen ? 'border-ink font-semibold shadow-[inset_0_-4px_0_var(--color-ink)]' : 'border-hair',
              )}
            >
              <span className="grid h-[64px] w-full items-center justify-items-center sm:h-[96px]">
                {guide && <HowDrawing drawing={guide.drawing} className="h-full w-full max-w-[200px]" />}
              </span>
              {quickLabel}
            </Radix.Item>
          );
        })}
      </Radix.Root>
      <p className="min-h-[1.4em] text-[15px] leading-snug text-soft max-sm:sr-only">{guides[chosen]?.how}</p>
    </div>
  );
}
