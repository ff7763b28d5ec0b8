import { writtenMoment } from '../../state/written';
import { FilePicker } from '../../parts/ui/FilePicker';
import { nanoid } from 'nanoid';
import { counted } from '@loose-pulley/core/base/units';
import { useState } from 'react';
import { questionsFor, type Question } from '@loose-pulley/core/views/remoteIntake';
import { ANSWERS_MAX_BYTES, readAnswersFile } from '@loose-pulley/core/files/exchange';
import { recordEvent } from '../../state/persistence/recording';
import { addPictures } from '../../parts/pictures/addPictures';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { download, fileName } from '../../parts/ui/download';
import { questionPage } from './questionPage';
import { Fold } from '../../parts/ui/Fold';
import { Check } from '../../parts/ui/Check';
import { Input } from '../../parts/ui/Input';

/** The bytes of a data address, without asking the network layer for them. */
function bytesOf(dataUrl: string): Blob {
  const text = atob(dataUrl.slice(dataUrl.indexOf(',') + 1));
  return new Blob([Uint8Array.from(text, (sign) => sign.charCodeAt(0))], { type: 'image/jpeg' });
}

/** Questions and tests for an owner far away, as one page; and what comes back of it. */
export function RemoteIntake() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [own, setOwn] = useState('');
  const [owns, setOwns] = useState<readonly Question[]>([]);
  const [said, setSaid] = useState('');
  const [problem, setProblem] = useState('');
  const questions = [...questionsFor(ticket), ...owns];
  const chosen = questions.filter(({ id }) => !left.has(id));

  const send = (): void => {
    const sheet = { id: nanoid(12), at: new Date().toISOString(), questions: chosen };
    if (!dispatch(recordEvent({ type: 'questionsSent', sheet }))) return;
    const name = `${fileName(`${ticket.number} ${ticket.machine}`)}-questions.html`;
    download(name, questionPage(ticket, sheet), 'text/html');
    setSaid(`${chosen.length} questions saved as ${name}. Send that file; the answers come back as a file too.`);
  };
  const take = async (file: File): Promise<void> => {
    setProblem('');
    setSaid('');
    if (file.size > ANSWERS_MAX_BYTES) {
      setProblem(`“${file.name}” is larger than 80 MB, too large for answers. Nothing was changed.`);
      return;
    }
    const read = readAnswersFile(await file.text(), file.name, ticket);
    if (!read.ok) {
      setProblem(read.problem);
      return;
    }
    const asked = ticket.questionSheets.find(({ id }) => id === read.value.sheetId)?.questions ?? [];
    const refused: string[] = [];
    const answers: Array<{ questionId: string; text: string; pictureIds: readonly string[] }> = [];
    for (const { questionId, text, pictures } of read.value.answers) {
      const question = asked.find(({ id }) => id === questionId)?.text ?? '';
      const added = await dispatch(
        addPictures(
          pictures.map((one, index) => ({ name: `picture ${index + 1} of the answers`, blob: bytesOf(one) })),
          `From the owner: ${question}`.slice(0, 400),
        ),
      );
      refused.push(...added.refused);
      answers.push({ questionId, text, pictureIds: added.ids });
    }
    dispatch(
      recordEvent({
        type: 'answersTaken',
        answers: { sheetId: read.value.sheetId, at: new Date().toISOString(), answers },
      }),
    );
    setProblem(refused.join(' '));
    setSaid(`${counted(answers.length, 'answer')} imported.`);
  };

  return (
    <Fold
      title="The owner is far away"
      titleClass="text-lg"
      open={ticket.questionSheets.length > 0}
      className="border-t border-hair pt-2"
    >
      <div className="grid gap-3">
        <p className="text-soft">
          The first tests can be done by an owner alone, asked well. They go out as one page with fields for answers and
          pictures.
        </p>
        <fieldset disabled={!canWrite} className="grid gap-1">
          <legend className="sr-only">Questions and tests to ask</legend>
          {questions.map(({ id, text }) => (
            <Check
              key={id}
              checked={!left.has(id)}
              className="border-b border-hair py-2"
              onCheck={() => {
                const next = new Set(left);
                if (!next.delete(id)) next.add(id);
                setLeft(next);
              }}
            >
              <span>{text}</span>
            </Check>
          ))}
        </fieldset>
        <div className="flex flex-wrap gap-2">
          <Input
            aria-label="Another question"
            placeholder="Another question…"
            value={own}
            maxLength={1000}
            disabled={!canWrite}
            onChange={(event) => setOwn(event.target.value)}
            className="min-w-0 grow"
          />
          <Button
            disabled={!canWrite || own.trim() === ''}
            onClick={() => {
              setOwns([...owns, { id: `own-${nanoid(8)}`, text: own.trim() }]);
              setOwn('');
            }}
          >
            Ask it too
          </Button>
        </div>
        <div className="flex flex-wrap gap-2">
          <Button look="strong" disabled={!canWrite || chosen.length === 0} onClick={send}>
            Save {chosen.length} questions as a page
          </Button>
          {ticket.questionSheets.length > 0 && (
            <FilePicker
              label="Import answers"
              accept=".json"
              disabled={!canWrite}
              onFiles={([file]) => file && void take(file)}
            />
          )}
        </div>
        <p role="status" className="empty:hidden">
          {said}
        </p>
        {problem && (
          <p role="alert" className="border-l-4 border-live pl-3">
            {problem}
          </p>
        )}
        {ticket.ownerAnswers.map(({ sheetId, at, answers }) => (
          <section key={sheetId} aria-label="The owner’s answers" className="grid gap-2 border-t border-ink pt-2">
            <p className="text-sm text-soft">
              Taken in <time dateTime={at}>{writtenMoment(at)}</time>
            </p>
            {answers.map((answer) => (
              <p key={answer.questionId}>
                <span className="text-soft">
                  {ticket.questionSheets
                    .find(({ id }) => id === sheetId)
                    ?.questions.find(({ id }) => id === answer.questionId)?.text ?? ''}
                </span>{' '}
                <strong>{answer.text || 'no words'}</strong>
                {answer.pictureIds.length > 0 &&
                  ` (picture ${answer.pictureIds
                    .map((id) => ticket.pictures.findIndex((picture) => picture.id === id) + 1)
                    .filter((number) => number > 0)
                    .join(', ')})`}
              </p>
            ))}
          </section>
        ))}
      </div>
    </Fold>
  );
}
