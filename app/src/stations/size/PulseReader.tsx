import { FilePicker } from '../../parts/ui/FilePicker';
import { useEffect, useState } from 'react';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import {
  TIME_UNITS,
  type Comma,
  type PulsesRead,
  type PulseSpeed,
  type TimeUnit,
} from '@loose-pulley/core/physics/speed';
import { readPulsesBeside } from '../../workers/pulses';
import { useWidth } from '../../parts/draw/useWidth';
import { Segments } from '../../parts/ui/Segments';

const UNITS = Object.keys(TIME_UNITS) as TimeUnit[];
const UNIT_NAMES = { s: 'seconds', ms: 'milliseconds', µs: 'microseconds' } as const;
const HEIGHT_PX = 180;
const EDGE_PX = 56;
/** Drawn at most; more turns than pixels tell nothing more. */
const MAX_DRAWN = 1200;

/** Speed from the times of index pulses in a CSV: mean, drift, flutter, and every turn drawn. */
export function PulseReader({
  targetRpm,
  tolerancePercent,
}: Readonly<{ targetRpm: number; tolerancePercent: number }>) {
  const [unit, setUnit] = useState<TimeUnit>('s');
  const [file, setFile] = useState<{ readonly name: string; readonly text: string } | null>(null);
  const [comma, setComma] = useState<Comma>();
  const [read, setRead] = useState<PulsesRead | null>(null);
  useEffect(() => {
    if (!file) return;
    let current = true;
    const say = (found: PulsesRead): void => {
      if (current) setRead(found);
    };
    readPulsesBeside(file.text, { unit, ...(comma && { comma }) }).then(say, () =>
      say({ ok: false, problem: 'The file could not be read to its end. Choose it again.' }),
    );
    return () => {
      current = false;
    };
  }, [file, unit, comma]);
  const asked = comma !== undefined || (read && !read.ok && read.asks === 'comma');
  return (
    <section aria-label="Speed from index pulses" className="grid gap-2 border-t border-hair pt-3">
      <h4 className="font-semibold">Speed from index pulses</h4>
      <p className="text-sm text-soft">A CSV whose first column has the time of each pulse, one pulse a turn.</p>
      <div className="flex flex-wrap items-center gap-3">
        <FilePicker
          label="Pulse file"
          accept=".csv,.txt,text/csv"
          onFiles={([picked]) =>
            void picked?.text().then((text) => {
              setComma(undefined);
              setRead(null);
              setFile({ name: picked.name, text });
            })
          }
        />
        <Segments
          label="Times are in"
          value={unit}
          options={UNITS.map((one) => [one, UNIT_NAMES[one]] as const)}
          onChoose={setUnit}
        />
        {asked && (
          <Segments<Comma | 'unknown'>
            label="A comma in it"
            value={comma ?? 'unknown'}
            options={[
              ['decimal', 'stands before decimals'],
              ['column', 'parts columns'],
            ]}
            onChoose={(one) => setComma(one === 'unknown' ? undefined : one)}
          />
        )}
      </div>
      {read && !read.ok && (
        <p role="alert" className="border-l-4 border-live pl-3">
          “{file?.name}”: {read.problem}
        </p>
      )}
      {read?.ok && <Found found={read.value} targetRpm={targetRpm} tolerancePercent={tolerancePercent} />}
    </section>
  );
}

function Found({
  found,
  targetRpm,
  tolerancePercent,
}: {
  readonly found: PulseSpeed;
  readonly targetRpm: number;
  readonly tolerancePercent: number;
}) {
  const off = 100 * (found.meanRpm / targetRpm - 1);
  const figures = [
    ['Mean', `${found.meanRpm.toFixed(2)} rpm`],
    ['Off by', `${off > 0 ? '+' : '−'}${Math.abs(off).toFixed(2)} %`],
    ['Drift in a minute', `${found.driftPercentPerMinute.toFixed(2)} %`],
    ['Flutter, turn to turn', `${found.flutterPercent.toFixed(3)} %`],
    ['Turns', String(found.turns.length)],
  ];
  return (
    <>
      <dl className="flex flex-wrap gap-x-6 gap-y-1">
        {figures.map(([name, value]) => (
          <div key={name}>
            <dt className="text-sm text-soft">{name}</dt>
            <dd className="font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
      <p>
        {Math.abs(off) <= tolerancePercent
          ? 'Within what is wanted.'
          : `Outside what is wanted: ${off > 0 ? 'too fast' : 'too slow'}.`}
      </p>
      <Turns found={found} targetRpm={targetRpm} tolerancePercent={tolerancePercent} />
    </>
  );
}

/** Each turn's speed over time, with the band that is wanted. */
function Turns({ found, targetRpm, tolerancePercent }: Parameters<typeof Found>[0]) {
  const [ref, widthPx] = useWidth<HTMLDivElement>(640);
  const every = Math.ceil(found.turns.length / MAX_DRAWN);
  const turns = found.turns.filter((_, index) => index % every === 0);
  const speeds = turns.map(({ rpm }) => rpm);
  const band = (targetRpm * tolerancePercent) / 100;
  const x = scaleLinear([0, turns[turns.length - 1]?.atS ?? 1], [EDGE_PX, widthPx - 10]);
  const y = scaleLinear(
    [Math.min(...speeds, targetRpm - band), Math.max(...speeds, targetRpm + band)],
    [HEIGHT_PX - 26, 10],
  ).nice();
  const path = line<(typeof turns)[number]>(
    ({ atS }) => x(atS),
    ({ rpm }) => y(rpm),
  );
  return (
    <div ref={ref} className="min-w-0 overflow-hidden">
      <svg width={widthPx} height={HEIGHT_PX} role="img" aria-label="Speed of each turn over time">
        <rect
          x={EDGE_PX}
          width={widthPx - 10 - EDGE_PX}
          y={y(targetRpm + band)}
          height={y(targetRpm - band) - y(targetRpm + band)}
          className="fill-zone1"
        />
        {y.ticks(4).map((tick) => (
          <text key={tick} x={EDGE_PX - 8} y={y(tick) + 5} textAnchor="end" className="fill-soft text-sm">
            {tick}
          </text>
        ))}
        {x.ticks(6).map((tick) => (
          <text key={tick} x={x(tick)} y={HEIGHT_PX - 6} textAnchor="middle" className="fill-soft text-sm">
            {tick} s
          </text>
        ))}
        <path d={path(turns) ?? undefined} fill="none" className="stroke-live" strokeWidth="1.4" />
      </svg>
    </div>
  );
}
