import { oddReason, type DriveFacts, type ReadingResult } from '@loose-pulley/core/belts/measuring';

/** Why the odd one out may be odd, as a question. */
export default function OddReason({ odd, facts }: { readonly odd: ReadingResult; readonly facts: DriveFacts }) {
  const others = facts.results.filter(
    ({ reading, read }) => read && reading.measurand === odd.reading.measurand && reading.id !== odd.reading.id,
  );
  // Of the others those that agree, where any do.
  const agreeing = others.filter(({ odd: alsoOdd }) => !alsoOdd);
  const list = agreeing.length > 0 ? agreeing : others;
  const mean = list.reduce((sum, { read }) => sum + (read?.value ?? 0), 0) / Math.max(1, list.length);
  return <>{oddReason(odd, mean, facts.section?.value) ?? 'Read it again?'}</>;
}
