import { LUBRICANT_RULE_WORDS } from '@loose-pulley/core/work/cleaning';
import { lubricantSet } from '../../state/store/settings';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { Segments } from '../../parts/ui/Segments';

/** Oil or grease on guides and rods: asked once, kept for this bench, changed at will; both are argued. */
export function LubricantRule() {
  const dispatch = useAppDispatch();
  const school = useAppSelector(({ settings }) => settings.lubricant);
  return (
    <div className="grid gap-2 text-[15px]">
      <p>Guides and rods: this bench’s own way, asked once.</p>
      <Segments
        label="Oil or grease on guides and rods"
        value={school}
        options={[
          ['oil', 'oil'],
          ['grease', 'grease'],
          ...(school === 'unknown' ? [['unknown', 'unknown'] as const] : []),
        ]}
        onChoose={(chosen) => dispatch(lubricantSet(chosen))}
        className="justify-self-start"
      />
      <p>{LUBRICANT_RULE_WORDS.oil}</p>
      <p>{LUBRICANT_RULE_WORDS.grease}</p>
    </div>
  );
}
