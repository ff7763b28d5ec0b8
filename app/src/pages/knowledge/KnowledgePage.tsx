import { FilePicker } from '../../parts/ui/FilePicker';
import { useEffect, useRef, useState } from 'react';
import { checkKnowledge, KNOWLEDGE, type Knowledge } from '@loose-pulley/core/diagnosis';
import { readKnowledgeFile, writeKnowledgeFile } from '@loose-pulley/core/exchange';
import { keepOwnKnowledge, loadOwnKnowledge } from '../../state/persistence/knowledge';
import { storeProblem } from '../../state/persistence/storage';
import { Button, CommitButton } from '../../parts/ui/Button';
import { Choice } from '../../parts/ui/Choice';
import { download } from '../../parts/ui/download';
import { useTitle } from '../../parts/ui/title';
import { Shares } from './Shares';
import { TestTable } from './TestTable';
import { LOADER_NAMES, LOADERS, type Loader } from '@loose-pulley/core/loaders';

/** What the adviser knows, every number of it: to read, to change, to keep as the bench's own, to hand on. */
export function KnowledgePage() {
  useTitle('What the adviser knows');
  const [knowledge, setKnowledge] = useState<Knowledge | null>(null);
  const [own, setOwn] = useState(false);
  const [said, setSaid] = useState('');
  const [problem, setProblem] = useState('');
  const [loader, setLoader] = useState<Loader>('tray');
  const [testId, setTestId] = useState(KNOWLEDGE.tests[0]?.id ?? '');
  /** Counts what was asked to be kept. */
  const turns = useRef(0);
  useEffect(() => {
    void loadOwnKnowledge().then((kept) => {
      setKnowledge(kept ?? KNOWLEDGE);
      setOwn(kept !== null);
    });
  }, []);
  if (!knowledge) return <p className="p-5">One moment.</p>;

  const keep = async (next: Knowledge | null, words: string): Promise<void> => {
    const turn = ++turns.current;
    setSaid('Keeping…');
    try {
      await keepOwnKnowledge(next);
      // Something newer was typed while this was written: that one says when it is kept.
      if (turn !== turns.current) return;
      setKnowledge(next ?? KNOWLEDGE);
      setOwn(next !== null);
      setSaid(words);
      setProblem('');
    } catch (error) {
      setSaid('');
      setProblem(storeProblem(error).sentence);
    }
  };
  /** Changed knowledge stays on the page as typed; it is kept only where it can be reasoned with. */
  const change = (next: Knowledge): void => {
    const named = { ...next, name: 'this bench’s own' };
    const checked = checkKnowledge(named);
    setKnowledge(named);
    if (checked.ok) void keep(named, 'Saved as this bench’s own.');
    else {
      setSaid('');
      setProblem(`${checked.problem} Not kept yet.`);
    }
  };
  const take = async (file: File): Promise<void> => {
    const read = readKnowledgeFile(await file.text(), file.name);
    if (read.ok) await keep(read.value, `“${file.name}” is this bench’s own now.`);
    else {
      setSaid('');
      setProblem(read.problem);
    }
  };
  const test = knowledge.tests.find(({ id }) => id === testId) ?? knowledge.tests[0];
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_340px]">
      <div className="grid min-w-0 grid-cols-1 content-start gap-6 bg-sheet px-5 py-5 lg:px-7">
        <h1 className="text-[30px] leading-tight font-bold">What the adviser knows</h1>
        <p className="max-w-prose">
          Two tables, both judgement of common practice and neither measured: how often each cause is the one, and what
          each test shows when it is. An answer multiplies each cause by its figure in the answer’s column; that is all.
        </p>
        {test && (
          <TestTable
            knowledge={knowledge}
            test={test}
            onTest={setTestId}
            onChange={(changed) =>
              change({ ...knowledge, tests: knowledge.tests.map((one) => (one.id === changed.id ? changed : one)) })
            }
          />
        )}
        <section aria-labelledby="shares" className="grid gap-3">
          <h2 id="shares" className="border-b border-ink pb-1 text-lg">
            How often, beside the others
          </h2>
          <Choice
            label="Kind of loader"
            value={loader}
            className="justify-self-start"
            options={LOADERS.map((one) => [one, LOADER_NAMES[one]] as const)}
            onChoose={setLoader}
          />
          <Shares knowledge={knowledge} loader={loader} onChange={change} />
        </section>
      </div>
      <aside
        aria-label="Its keeping"
        className="grid content-start gap-3 border-hair px-5 py-5 max-lg:border-t lg:border-l"
      >
        <h2 className="text-lg">{own ? 'This bench’s own' : 'The app’s defaults'}</h2>
        <p role="status" className="empty:hidden">
          {said}
        </p>
        {problem && (
          <p role="alert" className="border-l-4 border-live pl-3 text-live">
            {problem}
          </p>
        )}
        <p className="text-soft">A change is kept at once, in this browser, as soon as everything adds up.</p>
        <Button onClick={() => download('adviser-knowledge.json', writeKnowledgeFile(knowledge), 'application/json')}>
          Export it as a file
        </Button>
        <FilePicker label="Import a file" accept=".json" onFiles={([file]) => file && void take(file)} />
        <CommitButton disabled={!own} onClick={() => void keep(null, 'Defaults restored.')}>
          Restore defaults
        </CommitButton>
      </aside>
    </div>
  );
}
