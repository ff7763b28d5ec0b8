import { useRef, useState } from 'react';
import { testName, type BenchTest } from '@loose-pulley/core/work/diagnosis';
import { usePageKey } from '../../parts/keys/useKeys';
import { useAppSelector } from '../../state/store/hooks';
import { Button } from '../../parts/ui/Button';
import { KeyCap } from '../../parts/ui/KeyCap';
import type { Advice } from './useAdviser';
import { Input } from '../../parts/ui/Input';

const SHOWN = 5;

/** Every other test, by typing a word of it; the most telling first. */
export function OtherTests({
  advice,
  onChoose,
}: {
  readonly advice: Advice;
  readonly onChoose: (test: BenchTest) => void;
}) {
  const { machine, suggestions } = advice;
  const [text, setText] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const key = useAppSelector(({ settings }) => (settings.singleKeys ? settings.keys.answerOther : null));
  usePageKey('answerOther', () => field.current?.focus());
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const rank = new Map(suggestions.map(({ testId }, index) => [testId, index]));
  const found = machine.tests
    .filter((test) => {
      const said = `${testName(test, machine.loader)} ${test.outcomes.map(({ label }) => label).join(' ')}`
        .toLowerCase()
        .split(/[^\p{L}\p{N}]+/u);
      // By the beginning of a word: “lamp” is not meant by “clamp”.
      return words.every((word) => said.some((one) => one.startsWith(word)));
    })
    .sort((a, b) => (rank.get(a.id) ?? Infinity) - (rank.get(b.id) ?? Infinity))
    .slice(0, SHOWN);
  const choose = (test: BenchTest): void => {
    onChoose(test);
    setText('');
    field.current?.blur();
  };
  return (
    <section aria-label="Another test" className="grid gap-2">
      <label className="grid gap-1 text-sm text-soft">
        <span className="flex items-center gap-2">Search tests {key && <KeyCap>{key}</KeyCap>}</span>
        <Input
          ref={field}
          type="search"
          value={text}
          autoComplete="off"
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            const [best] = found;
            if (event.key === 'Enter' && best && words.length > 0) {
              event.preventDefault();
              choose(best);
            }
          }}
          className="text-lg text-ink"
        />
      </label>
      {words.length > 0 && (
        <ul aria-label="Tests found" className="grid gap-1">
          {found.map((test) => (
            <li key={test.id}>
              <Button className="w-full" onClick={() => choose(test)}>
                {testName(test, machine.loader)}
              </Button>
            </li>
          ))}
          {found.length === 0 && <li className="text-soft">No test has these words.</li>}
        </ul>
      )}
    </section>
  );
}
