import type { Accounted, WordRole } from '@loose-pulley/core/base/spoken';

/** What a word is taken for: in words below it, and by the line under it, so that colour is never alone. */
const TAKEN: Readonly<Record<WordRole, readonly [words: string, look: string]>> = {
  count: ['how many', 'border-solid border-ink'],
  figure: ['figure', 'border-solid border-ink'],
  way: ['read how', 'border-dashed border-ink'],
  thing: ['what', 'border-double border-ink'],
  driver: ['driver, size', 'border-dashed border-ink'],
  done: ['done', 'border-solid border-soft'],
  place: ['where', 'border-dotted border-ink'],
  how: ['how it is', 'border-dashed border-soft'],
  agent: ['with what', 'border-double border-soft'],
  outcome: ['how it came out', 'border-solid border-soft'],
  symptom: ['what it does', 'border-solid border-ink'],
  dirt: ['found on it', 'border-dashed border-ink'],
  power: ['power', 'border-solid border-live'],
  denied: ['not so', 'border-double border-live'],
  others: ['by others', 'border-dashed border-live'],
  minded: ['to mind', 'border-dotted border-soft'],
  idle: ['', 'border-transparent'],
  notKnown: ['not known', 'border-dotted border-live'],
};

/** Every word of the line being typed, with what it is taken for: none is skipped in silence. */
export function WordsTaken({ words }: { readonly words: readonly Accounted[] }) {
  if (words.length === 0) return null;
  return (
    <ul aria-label="What each word is taken for" className="flex flex-wrap gap-x-2 gap-y-1 text-sm">
      {words.map(({ word, role }, at) => {
        const [taken, look] = TAKEN[role];
        return (
          <li key={`${at}-${word}`} className="grid justify-items-start">
            <span className={`border-b-3 ${look}`}>{word}</span>
            <span className={role === 'notKnown' ? 'text-live' : 'text-soft'}>
              {role === 'notKnown' ? `? ${taken}` : taken}
            </span>
          </li>
        );
      })}
    </ul>
  );
}
