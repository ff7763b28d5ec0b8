import { useId } from 'react';
import {
  FAULT_NAMES,
  GEAR_FAULTS,
  MEMBER_KINDS,
  MEMBER_NAMES,
  memberWords,
  type Member,
} from '@loose-pulley/core/physics/train';
import { parseNumber } from '@loose-pulley/core/base/units';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Fold } from '../../parts/ui/Fold';
import { NumberLine } from '../../parts/ui/NumberLine';
import { TextLine } from '../../parts/ui/TextLine';
import { Replacement } from './Replacement';
import { Timing } from './Timing';
import { WhatGear } from './WhatGear';
import { Select } from '../../parts/ui/Select';

/** One member: what it is, what is wrong with it, its mark, its timing, and one in its place. */
export function MemberPanel({ member, onClose }: { readonly member: Member; readonly onClose: () => void }) {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const id = useId();
  const put = (changes: Partial<Member>, gesture?: string): boolean =>
    dispatch(recordEvent({ type: 'memberPut', member: { ...member, ...changes } }, gesture));
  const { members } = ticket.train;
  const at = members.findIndex((one) => one.id === member.id);
  const toothed = ['gear', 'doubleGear', 'cam', 'motor', 'worm'].includes(member.kind);
  const steps = ticket.strip.steps.filter(({ kind }) => kind === 'gear' || kind === 'part');
  const figure = (
    key: 'teeth' | 'second' | 'moduleMm' | 'shift' | 'diameterMm',
    label: string,
    unit: string,
    min: number,
    max: number,
  ) => (
    <NumberLine
      label={label}
      unit={unit}
      min={min}
      max={max}
      value={member[key] === 0 ? null : member[key]}
      parse={parseNumber}
      disabled={!canWrite}
      onNumber={(value, gesture) => put({ [key]: value ?? (key === 'teeth' || key === 'second' ? 0 : null) }, gesture)}
    />
  );
  return (
    <section aria-label={`Member ${at + 1}: ${memberWords(member)}`} className="grid content-start gap-3">
      <div className="flex items-baseline justify-between gap-3">
        <h3 className="text-xl">
          <span className="mr-2 text-soft">{at + 1}</span>
          <span className="inline-block first-letter:uppercase">{memberWords(member)}</span>
        </h3>
        <Button look="quiet" onClick={onClose}>
          Close
        </Button>
      </div>
      <div className="flex items-center justify-between gap-2">
        <label htmlFor={`${id}-kind`}>It is</label>
        <Select
          id={`${id}-kind`}
          value={member.kind}
          disabled={!canWrite}
          onChoose={(chosen) => put({ kind: MEMBER_KINDS.find((one) => one === chosen) ?? member.kind })}
          look="line"
          options={MEMBER_KINDS.map((kind) => [kind, MEMBER_NAMES[kind]] as const)}
        />
      </div>
      <TextLine
        label="Called"
        value={member.name}
        maxLength={80}
        disabled={!canWrite}
        onText={(name, gesture) => put({ name }, gesture)}
      />
      <div className="flex flex-wrap gap-3">
        {toothed && figure('teeth', member.kind === 'worm' ? 'Starts' : 'Teeth', 'count', 1, 400)}
        {(member.kind === 'doubleGear' || member.kind === 'beltDrive') &&
          figure('second', 'Teeth of its pinion', 'count', 1, 400)}
        {(toothed || member.kind === 'rack') && figure('moduleMm', 'Module', 'mm', 0.05, 10)}
        {toothed && figure('shift', 'Profile shift', 'modules', -1, 1.5)}
        {(member.kind === 'rollers' || member.kind === 'drum') && figure('diameterMm', 'Diameter', 'mm', 0.5, 200)}
      </div>
      {member.kind === 'beltDrive' && (
        <div className="flex items-center justify-between gap-2">
          <label htmlFor={`${id}-drive`}>Belt of drive</label>
          <Select
            id={`${id}-drive`}
            value={member.driveId ?? ''}
            disabled={!canWrite}
            onChoose={(chosen) => put({ driveId: chosen || null })}
            look="line"
            options={[['', 'unknown'] as const, ...ticket.drives.map((drive) => [drive.id, drive.name] as const)]}
          />
        </div>
      )}
      {steps.length > 0 && (
        <div className="flex items-center justify-between gap-2">
          <label htmlFor={`${id}-step`}>On Strip it is number</label>
          <Select
            id={`${id}-step`}
            value={member.stepId ?? ''}
            disabled={!canWrite}
            onChoose={(chosen) => {
              const step = steps.find((one) => one.id === chosen);
              put({ stepId: step?.id ?? null, number: step?.number ?? at + 1 });
            }}
            look="line"
            className="max-w-48"
            options={[
              ['', 'not off'] as const,
              ...steps.map((step) => [step.id, `${step.number} ${step.what}`] as const),
            ]}
          />
        </div>
      )}
      <fieldset className="flex flex-wrap gap-2">
        <legend className="text-soft">What is wrong with it</legend>
        {GEAR_FAULTS.map((fault) => {
          const on = member.faults.includes(fault);
          return (
            <button
              key={fault}
              type="button"
              aria-pressed={on}
              disabled={!canWrite}
              className={`min-h-11 border border-ink px-3 disabled:opacity-50 ${on ? 'bg-ink text-paper' : ''}`}
              onClick={() =>
                put({ faults: on ? member.faults.filter((one) => one !== fault) : [...member.faults, fault] })
              }
            >
              {FAULT_NAMES[fault]}
            </button>
          );
        })}
      </fieldset>
      {member.faults.includes('slipsOnShaft') && (
        <p className="text-[15px]">
          A pressed gear that cracked slips on its shaft: hold the shaft and turn the gear by two fingers. It must not
          give.
        </p>
      )}
      <TextLine
        label="Its reference: mark to mark, pin at the start of its channel, tray at its end"
        value={member.reference}
        maxLength={400}
        disabled={!canWrite}
        onText={(reference, gesture) => put({ reference }, gesture)}
      />
      <Timing member={member} />
      {toothed && member.kind !== 'worm' && (
        <>
          <Fold title="What gear is it?">
            <WhatGear member={member} onFound={(gear) => put({ moduleMm: gear.moduleMm, shift: gear.shift })} />
          </Fold>
          <Fold title="A replacement">
            <Replacement member={member} />
          </Fold>
        </>
      )}
      <Button
        look="quiet"
        className="justify-self-start"
        disabled={!canWrite}
        onClick={() => {
          if (dispatch(recordEvent({ type: 'memberRemoved', memberId: member.id }))) onClose();
        }}
      >
        Take it out of the train
      </Button>
    </section>
  );
}
