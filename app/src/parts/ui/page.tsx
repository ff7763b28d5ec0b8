import { lazy, useState, type ComponentType } from 'react';

/** A page in a file of its own, which can be fetched before it is shown. */
export interface Page {
  (): React.JSX.Element;
  fetch(): Promise<ComponentType>;
}

/** Whether it is the fetching of a part that failed, in the words of each browser: the part itself may be sound. */
export const notFetched = (error: unknown): boolean =>
  error instanceof Error &&
  /dynamically imported module|importing a module script failed|unable to preload/i.test(error.message);

/** React keeps a fetch that failed: whoever tries again gets new ones. */
let attempt = 0;
export const fetchAgain = (): void => void attempt++;

/**
 * A page that loads on first use, and is drawn at once where it was fetched ahead: React holds a suspended page back
 * by up to 300 ms, which a first load need not pay.
 */
export function page(load: () => Promise<ComponentType>): Page {
  let loaded: ComponentType | undefined;
  const fetch = async (): Promise<ComponentType> => {
    loaded = await load();
    return loaded;
  };
  const make = () => lazy(async () => ({ default: await fetch() }));
  let Lazy = make();
  let madeAt = attempt;
  function Shown() {
    if (madeAt !== attempt) {
      Lazy = make();
      madeAt = attempt;
    }
    // Chosen once, so that a page that arrives meanwhile is not mounted twice.
    const [Component] = useState<ComponentType>(() => loaded ?? Lazy);
    return <Component />;
  }
  return Object.assign(Shown, { fetch });
}
