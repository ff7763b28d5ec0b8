import { Link } from 'react-router';
import { JUDGEMENTS } from '@loose-pulley/lab/practice';
import type { Kept } from '../../parts/practice/usePractices';
import { clockWords } from '../../parts/practice/standing';

/** The record of practice by judgement: how often it was right of how often it was asked. */
export function Judged({ kept }: { readonly kept: readonly Kept[] | undefined }) {
  const ended = (kept ?? []).flatMap(({ summary, practice }) =>
    practice.ended ? [{ summary, ended: practice.ended }] : [],
  );
  const rows = JUDGEMENTS.flatMap(({ id, name }) => {
    const own = ended.filter((one) => one.ended.judgement === id);
    return own.length === 0 ? [] : [{ id, name, own, right: own.filter((one) => one.ended.right).length }];
  });
  return (
    <section aria-labelledby="judged">
      <h2 id="judged" className="text-lg">
        Your judgement so far
      </h2>
      {kept === undefined && <p className="text-soft">One moment.</p>}
      {kept && rows.length === 0 && (
        <p className="text-soft">
          Nothing yet. It says by judgement how often you were right, once a machine went back.
        </p>
      )}
      {rows.length > 0 && (
        <table className="w-full">
          <thead>
            <tr className="border-b border-ink text-left text-sm text-soft">
              <th className="py-1 font-normal">Judgement</th>
              <th className="py-1 text-right font-normal">Right</th>
              <th className="py-1 text-right font-normal">Last took</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ id, name, own, right }) => (
              <tr key={id} className="border-b border-hair">
                <th scope="row" className="py-2 text-left font-normal">
                  {name}
                </th>
                <td className="text-right font-semibold whitespace-nowrap">
                  {right} of {own.length}
                </td>
                <td className="text-right">
                  {own[0] && (
                    <Link className="inline-flex min-h-11 items-center underline" to={`/t/${own[0].summary.id}/ending`}>
                      {clockWords(own[0].ended.minutes)}
                    </Link>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {rows.length > 0 && (
        <p className="pt-2 text-sm text-soft">Right: cured when it went back, and nothing done to it in vain.</p>
      )}
    </section>
  );
}
