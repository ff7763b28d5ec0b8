import { ZONE_NAMES, type Situation } from '@loose-pulley/core/sizing';
import { formatLength, type LengthUnit, type SectionShape } from '@loose-pulley/core/units';
import { figuresOf, MOTOR_RPM } from './figures';

/** What a belt of the length under the finger would do, whether or not it can be bought. */
export function RulerPreview({
  situation,
  shape,
  thicknessMm,
  lengthMm,
  unit,
}: {
  readonly situation: Situation;
  readonly shape: SectionShape;
  readonly thicknessMm: number;
  readonly lengthMm: number;
  readonly unit: LengthUnit;
}) {
  const belt = { shape, thicknessMm, innerLengthMm: lengthMm };
  const { judgement, figures } = figuresOf(situation, belt, situation.speed?.motorRpm ?? MOTOR_RPM);
  if (!judgement) return null;
  return (
    <section aria-label="A length between the belts" className="border-t border-hair pt-2">
      <p className="font-semibold">
        A belt of {formatLength(lengthMm, unit)} {unit} would be {ZONE_NAMES[judgement.zone]}
      </p>
      <dl className="flex flex-wrap gap-x-6 gap-y-1 text-[15px]">
        {figures.map(({ name, value }) => (
          <div key={name} className="flex gap-2">
            <dt className="text-soft">{name}</dt>
            <dd className="font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
