import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/traces/import/FileRows.tsx`. */
export const fileRows = phrases({
  andFilesMoreToFix: 'and {files, plural, one {# file} other {# files}} more to fix',
  cable: 'cable',
  clearThisList: 'Clear this list',
  direction: 'Direction',
  filesLeftOutForTheSame:
    '{files, plural, one {# file} other {# files}} left out, for the same content is here: {names}.',
  filesReadyToFix: '{files, plural, one {# file} other {# files}}: {ready} ready, {wrong} to fix',
  importTraces: 'Import {traces, plural, one {# trace} other {# traces}}',
  leaveItOut: 'Leave it out',
  leftMore: '… {left} more …',
  nameFiberFromDirectionWavelengthNm: '{name} {fiber} · from {direction} · {wavelengthNm} nm',
  fixIt: 'Fix it',
  save: 'Save',
  shotFrom: 'shot from',
  shownAndFilesMore: '{shown} and {files} more',
});
