/**
 * What shows the server that people were at this device, by their accounts. It is in this page's memory alone: whoever
 * finds the phone finds none of it.
 */
const proofs = new Map<string, string>();

/** PINs that were right here and that the server has not seen yet: there was no connection. */
const unseenPins = new Map<string, string>();

export const keepProof = (personId: string, proof: string): void =>
  void proofs.set(personId, proof);

export const proofOf = (personId: string): string | undefined => proofs.get(personId);

export const keepUnseenPin = (personId: string, pin: string): void =>
  void unseenPins.set(personId, pin);

export const unseenPinOf = (personId: string): string | undefined => unseenPins.get(personId);

export const forgetUnseenPin = (personId: string): void => void unseenPins.delete(personId);
