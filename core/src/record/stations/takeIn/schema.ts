import {
  flag,
  id,
  list,
  nullable,
  number,
  one,
  optional,
  pictureId,
  shape,
  text,
  time,
  type ValueOf,
} from '../../../base/schema';

/* What comes in with a machine: its complaints, what it shows, what lay in it, and what its owner answered. */

export const COMPLAINT_STATES = ['open', 'cured', 'anotherTrade', 'left', 'notReproduced'] as const;
export type ComplaintState = (typeof COMPLAINT_STATES)[number];

/** What a machine can be heard to do; our own words for it are in `words`. */
export const SOUNDS = ['silence', 'click', 'runsFree', 'screech', 'growl', 'rattle', 'thump'] as const;
export type Sound = (typeof SOUNDS)[number];

/** One thing that is wrong, in the owner's words, and what became of it. */
export const complaint = shape({
  id: id(),
  words: text(500),
  state: one(COMPLAINT_STATES),
  /** False for work outside the drivetrain, which is a line all the same. */
  drivetrain: flag(true),
  sounds: list(one(SOUNDS), 20),
  /** How it was when it came, and how it is now. */
  before: text(2000),
  after: text(2000),
});
export interface Complaint extends ValueOf<typeof complaint> {}

/** What a machine shows on arrival of those who were in it before. */
export const EVIDENCE_KINDS = [
  'screwsMissing',
  'screwsLoose',
  'screwsWrong',
  'tabsBroken',
  'beltForeign',
  'earlierRepair',
  'looseInside',
  'other',
] as const;
export type EvidenceKind = (typeof EVIDENCE_KINDS)[number];
export const evidence = shape({
  id: id(),
  kind: one(EVIDENCE_KINDS),
  /** Where, and what of it. */
  words: text(400),
  /** Its condition or age, in the bench's words; empty where nobody can say. */
  age: text(80),
});
export interface Evidence extends ValueOf<typeof evidence> {}

/** How it went when it was tried again after some minutes unplugged, before it was opened. */
export const AFTER_UNPLUGGING = ['works', 'same', 'changed'] as const;
const afterUnplugging = shape({ result: one(AFTER_UNPLUGGING), at: time() });
export interface AfterUnplugging extends ValueOf<typeof afterUnplugging> {}

/** A disc that was in the machine or came with it: whose it is, and whether it went back. */
export const disc = shape({
  id: id(),
  whose: text(120),
  /** Where it was found, and in what condition. */
  where: text(200),
  condition: text(400),
  /** At what step it came out. */
  out: text(200),
  returned: flag(),
});
export interface Disc extends ValueOf<typeof disc> {}

/** A place on a picture, with what is there. Fractions of its width and height, from the top left. */
const pictureMark = shape({ id: id(), xFraction: number(0, 1), yFraction: number(0, 1), words: text(200) });
export interface PictureMark extends ValueOf<typeof pictureMark> {}

/** A picture as the ticket knows it; the picture itself is kept beside the tickets, under its name. */
export const picture = shape({
  /** The SHA-256 of its content: the same picture is kept once. */
  id: pictureId(),
  caption: text(400),
  /** When it was put on the ticket. */
  at: time(),
  widthPx: number(1, 20_000),
  heightPx: number(1, 20_000),
  bytes: number(1, 50_000_000),
  marks: list(pictureMark, 50),
});
export interface Picture extends ValueOf<typeof picture> {}

/** Questions and tests that went to an owner far away, as one page. */
const questionSheet = shape({ id: id(), at: time(), questions: list(shape({ id: id(), text: text(1000) }), 100) });
export interface QuestionSheet extends ValueOf<typeof questionSheet> {}

/** What came back of one sheet: an answer a question, with the pictures that belong to it. */
const ownerAnswers = shape({
  sheetId: id(),
  at: time(),
  answers: list(shape({ questionId: id(), text: text(4000), pictureIds: list(pictureId(), 20) }), 100),
});
export interface OwnerAnswers extends ValueOf<typeof ownerAnswers> {}

/** How much of the job was begun: the belt and no more, or the whole way. */
export const WAYS_BEGUN = ['swap', 'whole'] as const;

export const takeInState = {
  /** Missing is the whole way. */
  way: optional(one(WAYS_BEGUN)),
  complaints: list(complaint, 100),
  /** What happened before it failed. */
  story: text(4000),
  evidence: list(evidence, 100),
  /** Null until it was tried again after some minutes unplugged. */
  afterUnplugging: nullable(afterUnplugging),
  pictures: list(picture, 500),
  questionSheets: list(questionSheet, 50),
  ownerAnswers: list(ownerAnswers, 50),
  discs: list(disc, 200),
};

export const takeInEvents = {
  complaintPut: { complaint },
  wayChosen: { way: one(WAYS_BEGUN) },
  complaintRemoved: { complaintId: id() },
  storyTold: { story: text(4000) },
  evidencePut: { evidence },
  evidenceRemoved: { evidenceId: id() },
  triedAgain: { afterUnplugging },
  picturePut: { picture },
  pictureRemoved: { pictureId: pictureId() },
  questionsSent: { sheet: questionSheet },
  answersTaken: { answers: ownerAnswers },
  discPut: { disc },
  discRemoved: { discId: id() },
};
