import { nanoid } from 'nanoid';
import { useState } from 'react';
import {
  DISCS_MM,
  drift,
  linkOff,
  meanMm,
  sleeveMm,
  taperMm,
  tractionWords,
  type Roller,
  type Rollers,
} from '@loose-pulley/core/physics/train';
import { parseForce, parseLength, parseNumber } from '@loose-pulley/core/base/units';
import { recordEvent, recordEvents } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../ticket/useTicket';
import { Button } from '../ui/Button';
import { Segments } from '../ui/Segments';
import { NumberLine } from '../ui/NumberLine';
import { useUnsaved } from '../ui/useUnsaved';
import { Input } from '../ui/Input';

const SURFACES = [
  ['unknown', 'not felt'],
  ['tacky', 'tacky'],
  ['glazed', 'glazed'],
  ['nicked', 'nicked'],
  ['hard', 'hard'],
] as const;

/** Rollers, measured along their length; what they do to a disc; traction; the link. No belt is asked for. */
export function RollersPanel() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const { rollers } = ticket.train;
  const put = (changes: Partial<Rollers>, gesture?: string) =>
    dispatch(recordEvent({ type: 'rollersPut', rollers: { ...rollers, ...changes } }, gesture));
  const [first, second] = rollers.list.map(({ diametersMm }) => meanMm(diametersMm));
  const { spacingMm, travelMm, pullBackN } = rollers;
  const told =
    first !== undefined && second !== undefined && spacingMm !== null && travelMm !== null
      ? drift({ travelMm, spacingMm, firstMm: first, secondMm: second })
      : undefined;
  const sleeve = sleeveMm(rollers);
  const off = linkOff(rollers);
  const unequal = first !== undefined && second !== undefined && Math.abs(first - second) > 0.05;
  return (
    <section aria-label="Rollers" className="grid gap-3">
      <h3 className="border-b border-ink pb-1 text-lg">Rollers and link</h3>
      <div className="grid gap-4 md:grid-cols-2">
        {rollers.list.map((roller) => (
          <OneRoller
            key={roller.id}
            roller={roller}
            onChange={(changed) => put({ list: rollers.list.map((one) => (one.id === changed.id ? changed : one)) })}
          />
        ))}
      </div>
      {rollers.list.length < 4 && (
        <Button
          className="justify-self-start"
          disabled={!canWrite}
          onClick={() =>
            put({
              list: [
                ...rollers.list,
                ...(rollers.list.length === 0
                  ? ['driven roller', 'following roller']
                  : [`roller ${rollers.list.length + 1}`]
                ).map((name, at): Roller => ({
                  id: nanoid(10),
                  name,
                  diametersMm: [],
                  surface: 'unknown',
                  driven: at === 0,
                })),
              ],
            })
          }
        >
          {rollers.list.length === 0 ? 'Measure the two rollers' : 'One more roller'}
        </Button>
      )}
      {rollers.list.length > 0 && (
        <>
          <div className="flex flex-wrap gap-3">
            <NumberLine
              label="Where the disc is driven, apart"
              unit="mm"
              min={1}
              max={200}
              value={spacingMm}
              parse={parseNumber}
              disabled={!canWrite}
              onNumber={(value, gesture) => put({ spacingMm: value }, gesture)}
            />
            <NumberLine
              label="Way of the disc"
              unit="mm"
              min={1}
              max={400}
              value={travelMm}
              parse={parseNumber}
              disabled={!canWrite}
              onNumber={(value, gesture) => put({ travelMm: value }, gesture)}
            />
            <NumberLine
              label="A disc pulled back on a scale"
              unit="N"
              max={100}
              value={pullBackN}
              parse={parseForce}
              disabled={!canWrite}
              onNumber={(value, gesture) => put({ pullBackN: value }, gesture)}
            />
          </div>
          {pullBackN !== null && <p>{tractionWords(pullBackN)}</p>}
          {told && (
            <div className="flex flex-wrap items-center gap-5">
              <DiscDrift turnRad={told.turnRad} asideMm={told.asideMm} />
              <p>
                The disc turns {Math.abs((told.turnRad * 180) / Math.PI).toFixed(1)}° on its way and is carried{' '}
                {Math.abs(told.asideMm).toFixed(1)} mm aside
                {Math.abs(told.asideMm) < 0.5 ? ': nothing to see.' : ', towards the thinner roller.'}
              </p>
            </div>
          )}
          {unequal && sleeve.ok && (
            <p>To make them alike: the thinner one sleeved or renewed to {sleeve.value.toFixed(2)} mm.</p>
          )}
          <div className="flex flex-wrap gap-4">
            <Segments
              label="The link between them"
              value={rollers.link}
              disabled={!canWrite}
              options={[
                ['unknown', 'link not seen'],
                ['engaged', 'on both'],
                ['off', 'off its pin'],
                ['none', 'has none'],
              ]}
              onChoose={(link) => {
                // On its pins again after it was off: that is a treatment.
                const cured = rollers.link === 'off' && link === 'engaged';
                dispatch(
                  recordEvents([
                    { type: 'rollersPut', rollers: { ...rollers, link } },
                    ...(cured
                      ? [
                          {
                            type: 'treatmentRecorded' as const,
                            treatment: {
                              id: nanoid(10),
                              at: new Date().toISOString(),
                              what: 'Roller link put back on both pins',
                            },
                          },
                        ]
                      : []),
                  ]),
                );
              }}
            />
            <Segments
              label="Tipped to one side and the other"
              value={rollers.rattles}
              disabled={!canWrite}
              options={[
                ['unknown', 'not tipped'],
                ['rattles', 'it rattles'],
                ['quiet', 'quiet'],
              ]}
              onChoose={(rattles) => put({ rattles })}
            />
          </div>
          {off && (
            <p className="border-l-4 border-live pl-3">
              The link is off, as it seems: the following roller stands, takes a disc part way and gives it back. Put it
              on both pins, and try by hand that both turn.
            </p>
          )}
        </>
      )}
    </section>
  );
}

function OneRoller({ roller, onChange }: { readonly roller: Roller; readonly onChange: (roller: Roller) => void }) {
  const { canWrite } = useTicket();
  const [typed, setTyped] = useState('');
  const [refusal, setRefusal] = useState('');
  useUnsaved('enter', typed.trim() !== '');
  const take = (): void => {
    const list: number[] = [];
    for (const part of typed.split(/[\s;]+/).filter(Boolean)) {
      const read = parseLength(part, 'mm');
      if (!read.ok || read.value.lengthMm < 0.5 || read.value.lengthMm > 100)
        return setRefusal(read.ok ? `Read ${part}. A roller is 0.5 to 100 mm thick.` : read.problem);
      list.push(read.value.lengthMm);
    }
    if (list.length === 0) return;
    setRefusal('');
    onChange({ ...roller, diametersMm: list.slice(0, 9) });
    setTyped('');
  };
  const mean = meanMm(roller.diametersMm);
  const taper = taperMm(roller.diametersMm);
  return (
    <div className="grid content-start gap-2">
      <label className="grid gap-1 text-sm text-soft">
        <span className="inline-block first-letter:uppercase">{roller.name}: diameters along it, mm</span>
        <Input
          value={typed}
          placeholder={roller.diametersMm.length > 0 ? roller.diametersMm.join('  ') : '8.0 8.1 8.0'}
          autoComplete="off"
          disabled={!canWrite}
          className="text-lg text-ink"
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && take()}
          onBlur={take}
        />
      </label>
      {refusal && (
        <p role="alert" className="text-sm text-live">
          {refusal}
        </p>
      )}
      {mean !== undefined && (
        <p>
          Ø {mean.toFixed(2)} mm on average
          {Math.abs(taper) > 0.05 &&
            `, ${Math.abs(taper).toFixed(2)} mm thicker at its ${taper > 0 ? 'far' : 'near'} end: it draws the disc there`}
        </p>
      )}
      <Segments
        label={`Surface of the ${roller.name}`}
        value={roller.surface}
        disabled={!canWrite}
        options={SURFACES}
        onChoose={(surface) => onChange({ ...roller, surface })}
        className="justify-self-start"
      />
    </div>
  );
}

/** A large disc and a small one, as they go in and as they arrive. */
function DiscDrift({ turnRad, asideMm }: { readonly turnRad: number; readonly asideMm: number }) {
  const px = 0.7;
  return (
    <svg width="210" height="120" role="img" aria-label="A 120 mm and an 80 mm disc, straight and as they arrive">
      {DISCS_MM.map((mm, index) => {
        const r = (mm / 2) * px;
        const [x, y] = [index === 0 ? 56 : 160, 60];
        return (
          <g key={mm}>
            <circle cx={x} cy={y} r={r} className="fill-none stroke-hair" strokeDasharray="4 3" />
            <g transform={`translate(${asideMm * px} 0) rotate(${(turnRad * 180) / Math.PI} ${x} ${y})`}>
              <circle cx={x} cy={y} r={r} className="fill-none stroke-ink" strokeWidth="1.3" />
              <circle cx={x} cy={y} r={7.5 * px} className="fill-none stroke-ink" />
              <path d={`M${x} ${y - 8}V${y - r}`} className="stroke-live" strokeWidth="1.5" />
            </g>
          </g>
        );
      })}
    </svg>
  );
}
