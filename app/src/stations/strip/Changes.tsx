import { useState } from 'react';
import {
  cannotEnd,
  isOpen,
  LIMIT_WORDS,
  TEMPORARY_CHANGES,
  TEMPORARY_CHANGE_KINDS,
  type TemporaryChangeKind,
  TEMPORARY_CHANGE,
} from '@loose-pulley/core/work/strip';
import { forLoader, loaderOf } from '@loose-pulley/core/base/loaders';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { useStripLine } from '../../parts/strip/useStripLine';
import { CloseChange } from '../../parts/strip/CloseChange';
import { Select } from '../../parts/ui/Select';
import { Fold } from '../../parts/ui/Fold';
import { Input } from '../../parts/ui/Input';
import { useUnsaved } from '../../parts/ui/useUnsaved';

/** The temporary states: open ones with what ends them and when at the latest; new ones by touch. */
export function Changes() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const { putChange } = useStripLine();
  const [own, setOwn] = useState('');
  useUnsaved('enter', own.trim() !== '');
  const open = ticket.strip.temporaryChanges.filter(isOpen);
  const choose = (kind: TemporaryChangeKind): void => {
    if (kind === 'own' && own.trim() === '') return;
    if (putChange(kind, kind === 'own' ? own.trim() : TEMPORARY_CHANGES[kind].name)) setOwn('');
  };
  return (
    <section aria-labelledby="changes" className="grid gap-2">
      <h3 id="changes" className="text-lg">
        Changes
      </h3>
      {open.length === 0 && <p className="text-soft">None open.</p>}
      <ul>
        {open.map((change) => {
          const first = open.find(({ id }) => id === change.afterChangeId);
          const others = open.filter(({ id }) => id !== change.id);
          const after = ticket.strip.steps.find(({ id }) => id === change.afterStepId);
          const covers = ticket.strip.steps.find(({ id }) => id === change.beforeStepId);
          const never = cannotEnd(change, open);
          return (
            <li key={change.id} className="grid gap-1 border-b border-hair py-2">
              <p>
                <span aria-hidden className="text-live">
                  ↺{' '}
                </span>
                <strong>{change.words}</strong>: {change.closes}
                {after && `, after number ${after.number}`}
                {first && `, after “${first.words}”`}
                {covers && `, before number ${covers.number}, ${covers.what}, covers it`}, before{' '}
                {LIMIT_WORDS[change.before]}.
              </p>
              {TEMPORARY_CHANGES[change.kind].caution && (
                <p className="text-sm text-soft">{forLoader(TEMPORARY_CHANGES[change.kind].caution, ticket.loader)}</p>
              )}
              {never && (
                <p role="alert" className="border-l-4 border-live pl-3">
                  {never}
                </p>
              )}
              {others.length > 0 && (
                <Fold title="Reverse it in an order" titleClass="text-sm text-soft" open={first !== undefined}>
                  <label className="grid gap-1 text-sm text-soft">
                    Only after
                    <Select
                      value={first?.id ?? ''}
                      disabled={!canWrite}
                      onChoose={(chosen) =>
                        dispatch(
                          recordEvent({
                            type: 'temporaryChangePut',
                            change: { ...change, afterChangeId: chosen || null },
                          }),
                        )
                      }
                      options={[['', 'nothing else'] as const, ...others.map(({ id, words }) => [id, words] as const)]}
                    />
                  </label>
                </Fold>
              )}
              <CloseChange change={change} disabled={!canWrite} className="justify-self-start" />
            </li>
          );
        })}
      </ul>
      {canWrite && (
        <Fold title={<>Note a {TEMPORARY_CHANGE}</>} titleClass="">
          <div className="grid gap-2">
            {TEMPORARY_CHANGE_KINDS.filter(
              (kind) => kind !== 'own' && (loaderOf(ticket.loader).has.tray || kind !== 'trayLeftOut'),
            ).map((kind) => (
              <Button key={kind} onClick={() => choose(kind)}>
                {forLoader(TEMPORARY_CHANGES[kind].name, ticket.loader)}
              </Button>
            ))}
            <div className="flex gap-2">
              <Input
                aria-label={TEMPORARY_CHANGES.own.name}
                placeholder="Other…"
                value={own}
                maxLength={400}
                onChange={(event) => setOwn(event.target.value)}
                onEnter={() => choose('own')}
                className="min-w-0 grow"
              />
              <Button disabled={own.trim() === ''} onClick={() => choose('own')}>
                Open it
              </Button>
            </div>
          </div>
        </Fold>
      )}
    </section>
  );
}
