/** What a second look found. */
export const RECHECK_RESULTS = ['fine', 'faulty', 'notLooked'] as const;

/** A second look at a complaint or a belt after a treatment: one fault cured is no reason to think it was the only one. */
export interface Recheck {
  /** The treatment after which it was looked at. */
  readonly treatmentId: string;
  /** The id of the complaint or the drive. */
  readonly of: string;
  readonly result: (typeof RECHECK_RESULTS)[number];
}
export const RECHECK_NAMES: Readonly<Record<Recheck['result'], string>> = {
  fine: 'looked at: fine',
  faulty: 'looked at: faulty',
  notLooked: 'not looked at',
};
