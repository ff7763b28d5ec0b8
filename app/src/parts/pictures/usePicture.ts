import { useEffect, useState } from 'react';
import { loadPicture } from '../../state/persistence/pictures';

/** The address of a kept picture for as long as it is shown; `missing` where this machine has none of that name. */
export function usePicture(id: string): { readonly url: string | null; readonly missing: boolean } {
  const [shown, setShown] = useState<{ readonly url: string | null; readonly missing: boolean }>({
    url: null,
    missing: false,
  });
  useEffect(() => {
    let url: string | null = null;
    let current = true;
    void loadPicture(id)
      .catch(() => null)
      .then((blob) => {
        if (!current) return;
        url = blob && URL.createObjectURL(blob);
        setShown({ url, missing: blob === null });
      });
    return () => {
      current = false;
      if (url) URL.revokeObjectURL(url);
    };
  }, [id]);
  return shown;
}
