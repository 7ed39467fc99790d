import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/transfer`. */
export const transferPage = phrases({
  title: 'Phone to phone',
  titleSays: 'waiting work to another phone',
  says: 'Where there is no server in reach, what waits on this phone can go to another one as a file. Whichever phone has signal first sends it; the server takes it once.',
  give: 'Send',
  nothingWaits: 'Nothing waits on this phone: all of it is on the server.',
  waits:
    '{writes, plural, one {# write waits} other {# writes wait}} here, made by {people}. They stay here too.',
  share: 'Share the file',
  save: 'Save the file',
  take: 'Receive',
  takeSays:
    'Choose the file of the other phone: its name begins with "cordel-work". It may have come by Bluetooth, by a cable or on a card.',
  choose: 'Choose the file',
  taken:
    '{fresh, plural, =0 {All of it was here already} one {# write is here now} other {# writes are here now}}, from {from}, as of {moment}.',
  underName:
    'What {people} made goes to the server under their own account: from their own phone, or from this one once they sign in here.',
  notTaken: 'Not imported',
  noWork: 'This file holds no work of a phone. Choose one whose name begins with "cordel-work".',
  newerWork: 'A newer Cordel wrote this file. Load the newer Cordel on this phone first.',
  damagedWork:
    'The file is not as the other phone wrote it: it was damaged or changed on its way. Have it sent again.',
});
