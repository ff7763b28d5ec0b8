import { useEffect, useRef, useState } from 'react';
import type { Result } from '@loose-pulley/core/base/units';
import { storeProblem } from '../../state/persistence/storage';

/** What a bench may keep as its own: where it lies, what comes with the app, and whether it can be reasoned with. */
export interface OwnKind<T> {
  readonly defaults: T;
  readonly load: () => Promise<T | null>;
  readonly keep: (own: T | null) => Promise<void>;
  readonly check: (held: T) => Result<T>;
  readonly read: (content: string, name: string) => Result<T>;
}

export interface Own<T> {
  /** As it stands on the page; null until it is read. */
  readonly held: T | null;
  /** The bench keeps its own, rather than the app's. */
  readonly own: boolean;
  readonly said: string;
  readonly problem: string;
  /** Stays on the page as changed; kept only where it can be reasoned with. */
  readonly change: (next: T) => void;
  readonly take: (file: File) => Promise<void>;
  readonly restore: () => void;
}

/** Something that the bench may keep as its own: changed here, kept at once, exported and imported whole. */
export function useOwn<T extends { readonly name: string }>({ defaults, load, keep, check, read }: OwnKind<T>): Own<T> {
  const [held, setHeld] = useState<T | null>(null);
  const [own, setOwn] = useState(false);
  const [said, setSaid] = useState('');
  const [problem, setProblem] = useState('');
  /** Counts what was asked to be kept. */
  const turns = useRef(0);
  const kind = useRef({ load, defaults });
  useEffect(() => {
    void kind.current.load().then((kept) => {
      setHeld(kept ?? kind.current.defaults);
      setOwn(kept !== null);
    });
  }, []);
  const keepIt = async (next: T | null, words: string): Promise<void> => {
    const turn = ++turns.current;
    setSaid('Keeping…');
    try {
      await keep(next);
      // Something newer was typed while this was written: that one says when it is kept.
      if (turn !== turns.current) return;
      setHeld(next ?? defaults);
      setOwn(next !== null);
      setSaid(words);
      setProblem('');
    } catch (error) {
      setSaid('');
      setProblem(storeProblem(error).sentence);
    }
  };
  const refuse = (words: string): void => {
    setSaid('');
    setProblem(words);
  };
  return {
    held,
    own,
    said,
    problem,
    change(next) {
      const named = { ...next, name: 'this bench’s own' };
      const checked = check(named);
      setHeld(named);
      if (checked.ok) void keepIt(named, 'Saved as this bench’s own.');
      else refuse(`${checked.problem} Not kept yet.`);
    },
    async take(file) {
      const taken = read(await file.text(), file.name);
      if (taken.ok) await keepIt(taken.value, `“${file.name}” is this bench’s own now.`);
      else refuse(taken.problem);
    },
    restore: () => void keepIt(null, 'Defaults restored.'),
  };
}
