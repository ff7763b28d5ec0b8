import { useState } from 'react';
import { checkKnowledge, KNOWLEDGE } from '@loose-pulley/core/work/diagnosis';
import { readKnowledgeFile, writeKnowledgeFile } from '@loose-pulley/core/files/exchange';
import { keepOwnKnowledge, loadOwnKnowledge } from '../../state/persistence/knowledge';
import { Keeping } from '../../parts/own/Keeping';
import { useOwn } from '../../parts/own/useOwn';
import { Segments } from '../../parts/ui/Segments';
import { Shares } from './Shares';
import { TestTable } from './TestTable';
import { LOADERS, type Loader, USUAL_LOADER, loaderOf } from '@loose-pulley/core/base/loaders';

/** What the adviser knows, every number of it: to read, to change, to keep as the bench's own, to hand on. */
export function KnowledgePage() {
  const own = useOwn({
    defaults: KNOWLEDGE,
    load: loadOwnKnowledge,
    keep: keepOwnKnowledge,
    check: checkKnowledge,
    read: readKnowledgeFile,
  });
  const [loader, setLoader] = useState<Loader>(USUAL_LOADER);
  const [testId, setTestId] = useState(KNOWLEDGE.tests[0]?.id ?? '');
  const { held: knowledge } = own;
  if (!knowledge) return <p className="p-5">One moment.</p>;
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
              own.change({ ...knowledge, tests: knowledge.tests.map((one) => (one.id === changed.id ? changed : one)) })
            }
          />
        )}
        <section aria-labelledby="shares" className="grid gap-3">
          <h2 id="shares" className="border-b border-ink pb-1 text-lg">
            How often, beside the others
          </h2>
          <Segments
            label="Kind of loader"
            value={loader}
            className="justify-self-start"
            options={LOADERS.map((one) => [one, loaderOf(one).name] as const)}
            onChoose={setLoader}
          />
          <Shares knowledge={knowledge} loader={loader} onChange={own.change} />
        </section>
      </div>
      <Keeping own={own} fileName="adviser-knowledge.json" write={writeKnowledgeFile} />
    </div>
  );
}
