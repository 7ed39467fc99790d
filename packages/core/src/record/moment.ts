/** By how much the clocks of two devices may differ before a moment is refused, ms. Set by us. */
export const CLOCK_ERROR_MS = 5 * 60_000;

/** Whether a moment lies further ahead than two clocks may differ. Both in ISO 8601. */
export const isFuture = (at: string, now: string): boolean =>
  Date.parse(at) > Date.parse(now) + CLOCK_ERROR_MS;
