import type { Listed, Units } from '@cordel/core';
import type { Finding, PlaceProblem, SorProblem } from '@cordel/core/otdr';
import { catalog } from '../catalog.ts';
import { sorProblemText } from '../files/index.ts';
import { findingEvidence, findingTitle, placeProblemText, whereText } from './index.ts';

/** What happens while a folder is watched. */
export type WatchEvent =
  | Plain
  | { code: 'notReadable'; file: string; problem: SorProblem }
  | { code: 'placeUnclear'; file: string; problems: readonly PlaceProblem[] }
  | { code: 'finding'; finding: Finding; units: Units };

type Plain =
  | { code: 'watching'; folder: string; project: string; known: number }
  | { code: 'sent'; file: string; cable: string; fiber: number; wavelengthNm: number }
  | { code: 'refused'; file: string; message: string }
  | { code: 'notWhole'; file: string; samples: number; of: number }
  | { code: 'serverAway' | 'serverBack' | 'signInNeeded' | 'signInFailed' }
  | { code: 'folderGone' | 'folderBack'; folder: string }
  | { code: 'noServer'; url: string }
  | { code: 'whichProject'; names: Listed };

const plain = catalog<Plain>()({
  watching:
    'Watching {folder} for {project}, which has {known, plural, one {# trace} other {# traces}} already.',
  sent: '{file}: cable {cable} fiber {fiber} at {wavelengthNm} nm, sent.',
  refused: '{file}: refused. {message}',
  notWhole:
    '{file}: only {samples} of its {of} samples are written. It is looked at again once it changes.',
  serverAway: 'The server cannot be reached. Files wait here and go once it can.',
  serverBack: 'The server is back.',
  signInNeeded:
    'The server asks who this is: set CORDEL_EMAIL and CORDEL_PASSWORD to those of an account that may import traces.',
  signInFailed: 'The server does not know this email and password.',
  folderGone: '{folder} is not there. Waiting for it to come back.',
  folderBack: '{folder} is back.',
  noServer: 'There is no server at {url}.',
  whichProject: 'Which project? Name one with --project: {names}.',
});

/** An event of a watched folder in words. */
export function watchText(event: WatchEvent): string {
  switch (event.code) {
    case 'notReadable':
      return `${event.file}: ${sorProblemText(event.problem)} It is looked at again once it changes.`;
    case 'placeUnclear':
      return `${event.file}: kept, but where it belongs is to be said on the page. ${event.problems
        .map((problem) => placeProblemText(problem))
        .join(' ')}`;
    case 'finding': {
      const { finding, units } = event;
      return [
        `${findingTitle(finding.message, units)}.`,
        whereText(finding.where, units),
        findingEvidence(finding.message, units),
      ].join(' ');
    }
    default:
      return plain(event);
  }
}
