/** What comes in with a machine: its complaints, what it shows, what lay in it, and what its owner answered. */

export const COMPLAINT_STATES = ['open', 'cured', 'anotherTrade', 'left', 'notReproduced'] as const;
export type ComplaintState = (typeof COMPLAINT_STATES)[number];

/** What a machine can be heard to do; our own words for it are in `names`. */
export const SOUNDS = ['silence', 'click', 'runsFree', 'screech', 'growl', 'rattle', 'thump'] as const;
export type Sound = (typeof SOUNDS)[number];

/** One thing that is wrong, in the owner's words, and what became of it. */
export interface Complaint {
  readonly id: string;
  readonly words: string;
  readonly state: ComplaintState;
  /** False for work outside the drivetrain, which is a line all the same. */
  readonly drivetrain: boolean;
  readonly sounds: readonly Sound[];
  /** How it was when it came, and how it is now. */
  readonly before: string;
  readonly after: string;
}

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
export interface Evidence {
  readonly id: string;
  readonly kind: EvidenceKind;
  /** Where, and what of it. */
  readonly words: string;
  /** How old it looks, in the bench's words; empty where nobody can say. */
  readonly age: string;
}

/** How it went when it was tried again after some minutes unplugged, before it was opened. */
export const AFTER_UNPLUGGING = ['works', 'same', 'changed'] as const;
export interface AfterUnplugging {
  readonly result: (typeof AFTER_UNPLUGGING)[number];
  readonly at: string;
}

/** An error code of a mechanism and what it means. */
export interface ErrorCode {
  readonly code: string;
  readonly meaning: string;
}

/** How the machine stands to the mains, since when. The app cannot see it: the bench says it. */
export const MAINS_STATES = ['plugged', 'unplugged', 'poweredOpen'] as const;
export interface Mains {
  readonly state: (typeof MAINS_STATES)[number];
  readonly since: string;
}

/** Whether the lid is on, since when: what was not powered since it went on is not proved. */
export const LID_STATES = ['off', 'on'] as const;
export interface Lid {
  readonly state: (typeof LID_STATES)[number];
  readonly since: string;
}

/** A disc that was in the machine or came with it: whose it is, and whether it went back. */
export interface Disc {
  readonly id: string;
  readonly whose: string;
  /** Where it was found, and in what condition. */
  readonly where: string;
  readonly condition: string;
  /** At what step it came out. */
  readonly out: string;
  readonly returned: boolean;
}

/** A picture as the ticket knows it; the picture itself is kept beside the tickets, under its name. */
export interface Picture {
  /** The SHA-256 of its content, in hex: the same picture is kept once. */
  readonly id: string;
  readonly caption: string;
  /** When it was put on the ticket. */
  readonly at: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly bytes: number;
  readonly marks: readonly PictureMark[];
}

/** A place on a picture, with what is there. Fractions of its width and height, from the top left. */
export interface PictureMark {
  readonly id: string;
  readonly xFraction: number;
  readonly yFraction: number;
  readonly words: string;
}

/** Something that was offered to the owner, and who decided what. */
export const OFFER_ANSWERS = ['open', 'accepted', 'declined'] as const;
export interface Offer {
  readonly id: string;
  readonly what: string;
  readonly answer: (typeof OFFER_ANSWERS)[number];
  /** Who said so, and why. */
  readonly by: string;
}

/** Questions and tests that went to an owner far away, as one page. */
export interface QuestionSheet {
  readonly id: string;
  readonly at: string;
  readonly questions: ReadonlyArray<{ readonly id: string; readonly text: string }>;
}

/** What came back of one sheet: an answer a question, with the pictures that belong to it. */
export interface OwnerAnswers {
  readonly sheetId: string;
  readonly at: string;
  readonly answers: ReadonlyArray<{
    readonly questionId: string;
    readonly text: string;
    readonly pictureIds: readonly string[];
  }>;
}

/** An answer to one of the adviser's tests, as kept. The words are the knowledge's own ids: a bench may have its own. */
export interface ObservationRecord {
  readonly id: string;
  readonly at: string;
  readonly testId: string;
  /** An outcome of the test, or `unclear`, or `notTried`. */
  readonly outcome: string;
  /** The drive whose belt it was about; null where it was about the whole machine. */
  readonly driveId: string | null;
}

/** What the technician says of a cause. It always wins over the adviser. */
export const VERDICT_STATES = ['found', 'cured', 'ruledOut'] as const;
export interface CauseVerdict {
  readonly causeId: string;
  readonly state: (typeof VERDICT_STATES)[number];
  /** The cause's name when it was said, so that a ticket can be read without the knowledge. */
  readonly words: string;
  readonly at: string;
}
