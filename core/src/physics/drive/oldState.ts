/**
 * How the old belt was found: on its pulleys and taut, hanging slack, broken, in crumbs of which no length is known,
 * swollen by oil, or a stopgap that the drive was not made with.
 */
export const OLD_STATES = ['unknown', 'taut', 'hanging', 'broken', 'crumbs', 'swollen', 'stopgap'] as const;
export type OldState = (typeof OLD_STATES)[number];

/** Whether an old belt is past being put on again. @example isGone('crumbs') // true */
export const isGone = (state: OldState): boolean => state === 'crumbs' || state === 'broken';
