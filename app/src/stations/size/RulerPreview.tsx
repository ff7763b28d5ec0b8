import { ZONE_NAMES, type Situation } from '@loose-pulley/core/belts/sizing';
import { formatLength, type LengthUnit } from '@loose-pulley/core/base/units';
import { figuresOf } from '@loose-pulley/core/views/drive';
import type { BeltSection } from '@loose-pulley/core/physics/rubber';

/** What a belt of the length under the finger would do, whether or not it can be bought. */
export function RulerPreview({
  situation,
  section,
  lengthMm,
  unit,
}: {
  readonly situation: Situation;
  readonly section: BeltSection;
  readonly lengthMm: number;
  readonly unit: LengthUnit;
}) {
  const belt = { ...section, innerLengthMm: lengthMm };
  const { judgement, figures } = figuresOf(situation, belt, situation.demands.speed?.motorRpm);
  if (!judgement) return null;
  return (
    <section aria-label="A length between the belts" className="mb-4 border-b border-ink pb-2">
      <p className="text-sm text-soft">On the ruler, whether or not it is sold</p>
      <p className="text-xl font-semibold">
        {formatLength(lengthMm, unit)} {unit}: {ZONE_NAMES[judgement.zone]}
      </p>
      <dl className="text-[15px]">
        {figures.map(({ name, value }) => (
          <div key={name} className="flex justify-between gap-3 py-0.5">
            <dt>{name}</dt>
            <dd className="font-semibold whitespace-nowrap">{value}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
