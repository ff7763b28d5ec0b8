import { useEffect, useRef } from 'react';
import { COLUMN_NAMES, COLUMNS, type Column } from '@loose-pulley/core/files/lists';
import type { Item } from '@loose-pulley/core/shop/drawer';
import { counted } from '@loose-pulley/core/base/units';
import { FilePicker } from '../../parts/ui/FilePicker';
import { Select } from '../../parts/ui/Select';
import { ListPreview } from './ListPreview';
import { useList } from './useList';

const EXAMPLES = 3;

/** A list of belts as CSV: its columns matched by example, shown as it was understood; whole, or not at all. */
export function BringIn({ items }: { readonly items: readonly Item[] }) {
  const { opened, setOpened, read, meeting, said, open, choose, take } = useList(items);
  const result = useRef<HTMLParagraphElement>(null);
  // The drawer grows above it: what came of the list stays in sight.
  useEffect(() => {
    if (said !== '') requestAnimationFrame(() => result.current?.scrollIntoView({ block: 'center' }));
  }, [said]);
  return (
    <section aria-labelledby="bring-in" className="grid gap-2">
      <h2 id="bring-in" className="text-lg">
        A list as CSV
      </h2>
      <FilePicker label="Open a list" accept=".csv,.txt,text/csv" onFiles={([file]) => void open(file)} />
      {opened && read && (
        <div className="grid gap-3">
          <p>
            <strong>{opened.name}</strong>, {counted(opened.table.rows.length, 'line')}. What each column holds:
          </p>
          <div className="overflow-x-auto">
            <table className="w-full border-collapse text-[15px]">
              <tbody>
                {opened.table.head.map((heading, index) => (
                  <tr key={`${heading} ${index}`} className="border-b border-hair">
                    <th scope="row" className="py-1 pr-2 text-left align-top font-normal">
                      {heading || `column ${index + 1}`}
                      <span className="block text-sm text-soft">
                        {opened.table.rows
                          .slice(0, EXAMPLES)
                          .map(({ cells }) => cells[index])
                          .filter(Boolean)
                          .join(', ')}
                      </span>
                    </th>
                    <td className="py-1">
                      <Select
                        aria-label={`Column ${heading || index + 1} holds`}
                        value={opened.matching[index] ?? ''}
                        onChoose={(chosen) => choose(index, chosen as Column | '')}
                        options={[
                          ['', 'leave it out'] as const,
                          ...COLUMNS.map((column) => [column, COLUMN_NAMES[column]] as const),
                        ]}
                      />
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          <ListPreview
            opened={opened}
            read={read}
            meeting={meeting}
            onColumn={choose}
            onOpened={setOpened}
            onTake={() => void take()}
            onDrop={() => setOpened(null)}
          />
        </div>
      )}
      <p ref={result} role="status" className="empty:hidden">
        {said}
      </p>
    </section>
  );
}
