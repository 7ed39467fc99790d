import { phrases } from '../phrases.ts';
import { problems } from '../problems.ts';

/** Why a server does not start: `apps/server/src/http/listening`. */
export const startProblems = problems({
  openToOthers:
    'Without accounts everybody who reaches this server may do all, so it listens to this machine alone. Start it with npm run serve to open it to others.',
  originWrong:
    'CORDEL_ORIGIN is {origin}: it has to be an address as people type it, as in https://splices.example.',
  tlsHalf:
    'CORDEL_TLS_CERT and CORDEL_TLS_KEY go together: set both to the paths of their files, or none.',
  certificateWrong: '{path} holds no certificate in PEM form.',
  certificateExpired:
    'The certificate in {path} ran out on {day}: browsers would refuse it. Renew it, then start again.',
  fileUnreadable: '{path} cannot be read.',
});

/** What a server prints as it starts and runs. */
export const startWords = phrases({
  firstStart:
    'Nobody has an account yet. Open this link once, within a day, to make the owner’s account:\n\n  {link}\n',
  plainHttp:
    'People reach this server over plain http: browsers keep nothing offline then, and what is sent can be read on the way. See docs/run.md for TLS.',
  certificateEnds:
    'The certificate runs out on {day}. Renew it: a new file is read within an hour.',
  certificateRead: 'A new certificate is in use, until {day}.',
});
