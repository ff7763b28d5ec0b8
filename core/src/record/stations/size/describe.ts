import { beltLabel } from '../../../base/shapes';
import { namedFields, type Descriptions, type EventPlace } from '../module';
import type { sizeEvents } from './schema';
import { VERDICT_NAMES } from './words';

const place = ({ driveId }: { readonly driveId: string }): EventPlace => ({ station: 'size', driveId });
const LABEL = {
  source: 'where the belt came from',
  label: 'the belt’s label',
  because: 'why it was fitted',
  measuredMm: 'length in the hand',
};

export const sizeDescriptions: Descriptions<typeof sizeEvents> = {
  tryLogged: {
    says: (event, { unit }) => {
      const label = beltLabel(event.try, unit);
      return `fitted ${label.sign} ${label.size}`;
    },
    place,
  },
  tryJudged: { says: ({ verdict }) => `try judged ${VERDICT_NAMES[verdict]}`, place },
  wantPut: {
    says: ({ want }, { unit }) => `wanted ${beltLabel(want.belt, unit).size}`,
    place: ({ want }) => place(want),
  },
  wantRemoved: { says: () => 'no longer wanted', place: () => ({ station: 'size' }) },
  tryLabelled: { says: ({ changes }) => `a try’s ${namedFields(LABEL, changes)}`, place },
};
