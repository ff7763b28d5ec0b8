import { refuse } from '../../../base/units';
import { changes, upsert, without, type Reducers, type StateOf } from '../module';
import type { takeInEvents, takeInState } from './schema';

export const takeInReducers: Reducers<StateOf<typeof takeInState>, typeof takeInEvents> = {
  complaintPut: ({ complaints }, event) => changes({ complaints: upsert(complaints, event.complaint) }),
  complaintRemoved: ({ complaints }, { complaintId }) => changes({ complaints: without(complaints, complaintId) }),
  wayChosen: (_, { way }) => changes({ way }),
  storyTold: (_, { story }) => changes({ story }),
  evidencePut: ({ evidence }, event) => changes({ evidence: upsert(evidence, event.evidence) }),
  evidenceRemoved: ({ evidence }, { evidenceId }) => changes({ evidence: without(evidence, evidenceId) }),
  triedAgain: (_, { afterUnplugging }) => changes({ afterUnplugging }),
  picturePut: ({ pictures }, { picture }) => changes({ pictures: upsert(pictures, picture) }),
  pictureRemoved: ({ pictures }, { pictureId }) => changes({ pictures: without(pictures, pictureId) }),
  questionsSent: ({ questionSheets }, { sheet }) => changes({ questionSheets: upsert(questionSheets, sheet) }),
  answersTaken: ({ questionSheets, ownerAnswers }, { answers }) =>
    questionSheets.some(({ id }) => id === answers.sheetId)
      ? changes({ ownerAnswers: [...ownerAnswers.filter(({ sheetId }) => sheetId !== answers.sheetId), answers] })
      : refuse('These answers belong to questions that this ticket never sent.'),
  discPut: ({ discs }, { disc }) => changes({ discs: upsert(discs, disc) }),
  discRemoved: ({ discs }, { discId }) => changes({ discs: without(discs, discId) }),
};
