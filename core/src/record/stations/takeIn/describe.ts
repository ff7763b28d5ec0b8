import { counted } from '../../../base/units';
import type { Descriptions, EventPlace } from '../module';
import type { takeInEvents } from './schema';
import { AFTER_UNPLUGGING_NAMES, EVIDENCE_NAMES } from './words';

const place = (): EventPlace => ({ station: 'takeIn' });

export const takeInDescriptions: Descriptions<typeof takeInEvents> = {
  complaintPut: { says: ({ complaint }) => `complaint “${complaint.words}”`, place },
  complaintRemoved: { says: () => 'a complaint removed', place },
  wayChosen: { says: ({ way }) => (way === 'swap' ? 'begun as a swap of the belt' : 'begun as a full repair'), place },
  storyTold: { says: () => 'what happened before it failed', place },
  evidencePut: { says: ({ evidence }) => `on arrival: ${EVIDENCE_NAMES[evidence.kind]}`, place },
  evidenceRemoved: { says: () => 'evidence removed', place },
  triedAgain: {
    says: ({ afterUnplugging }) => `tried again after unplugging: ${AFTER_UNPLUGGING_NAMES[afterUnplugging.result]}`,
    place,
  },
  picturePut: { says: ({ picture }) => (picture.caption ? `picture “${picture.caption}”` : 'a picture'), place },
  pictureRemoved: { says: () => 'a picture removed', place },
  questionsSent: { says: ({ sheet }) => `${counted(sheet.questions.length, 'question')} for the owner`, place },
  answersTaken: {
    says: ({ answers }) => `${counted(answers.answers.length, 'answer')} from the owner imported`,
    place,
  },
  discPut: { says: ({ disc }) => (disc.returned ? `disc returned, ${disc.whose}` : `disc, ${disc.whose}`), place },
  discRemoved: { says: () => 'a disc removed', place },
};
