import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/closing/SignPart.tsx`. */
export const signPart = phrases({
  prepNotRecorded: 'Cable prep is not fully recorded.',
  prepSteps: '{done} of {steps} steps are ticked. The signature covers the record as it is.',
  as: 'As',
  changedSince: 'Changed since:',
  fieldToSignIn: 'Field to sign in',
  handItOver: 'Hand it over',
  name: 'Name',
  notReadyToBeSigned: 'Not ready to be signed.',
  notSigned: 'Not signed.',
  saveTheSignature: 'Save the signature',
  sign: 'Sign',
  anotherSigns:
    'The {role} signs next: somebody with that role. Hand them this phone, or they sign on their own.',
  signedByName: 'signed by {name}',
  theClosuresRecordIsAsIt: 'The closure’s record is as it was signed.',
  theRecordThatIsKeptIs: 'The record that is kept is not what was signed: its digest is another.',
  theRecordThatWasSignedIs:
    'The record that was signed is kept whole: its digest is what its content gives.',
  typeTheName: 'Sign by typing the name',
  typingCounts: 'The record says that the name was typed, not drawn.',
  unchangedSince: 'Unchanged since.',
  whatIsSigned: 'What is signed',
  youSignWhatIsRecordedOf:
    'You sign what is recorded of this closure now: splices and losses, list, test, photos, waivers. A change afterwards shows.',
});
