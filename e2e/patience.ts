/** When a wait is given up as hanging: long past what the slowest machine needs. No test tells the time by it. */
export const PATIENCE_MS = 240_000;
