/** Ribbons that a lower pad is good for, turned in between; an upper pad is good for one. Common practice, no source. */
const LOWER_USES = 2;

/** What is done with the pads before the next ribbon is pressed. */
export type PadMessage = { code: 'padsNew' | 'padTurn' | 'padUsedUp'; pressed: number };

/**
 * What the next ribbon takes: new pads, or the lower one turned and a new upper one.
 * @param pressed ribbons that were pressed on the lower pad that is in
 */
export const padsFor = (pressed: number): PadMessage => ({
  code: pressed === 0 ? 'padsNew' : pressed < LOWER_USES ? 'padTurn' : 'padUsedUp',
  pressed,
});
