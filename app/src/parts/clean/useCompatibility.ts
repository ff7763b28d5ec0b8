import { useEffect, useState } from 'react';
import { COMPATIBILITY, type Compatibility } from '@loose-pulley/core/work/compatibility';
import { loadOwnCompatibility } from '../../state/persistence/compatibility';

/** What may touch what, as this bench has it; the app's own until that is read. */
export function useCompatibility(): Compatibility {
  const [table, setTable] = useState(COMPATIBILITY);
  useEffect(() => {
    let current = true;
    void loadOwnCompatibility().then((own) => {
      if (current && own) setTable(own);
    });
    return () => {
      current = false;
    };
  }, []);
  return table;
}
