import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/HardwarePage.tsx`. */
export const hardwarePage = phrases({
  basket: 'Basket',
  boltsInTheirOrder: 'Bolts in their order',
  bushingBelowADiameterOf: 'Bushing below a diameter of',
  centralTube: 'central tube',
  cutEnd: 'cut end',
  exportName: 'Export {name}',
  flashTestAtMost: 'Flash test at most',
  flashTestMeasureProblem: 'Flash test: {measureProblem}',
  hardwareName: 'Hardware “{name}”',
  hoseClampBelowTheRingCut: 'Hose clamp below the ring cut, 0 for none',
  importAProfileJson: 'Import a profile (JSON)',
  eachRangeBeginsWhereTheOne:
    'Diameters as your sheet gives them. Each range begins where the one before ends.',
  keptPastTheSheath: 'Kept past the sheath',
  nameOfTheHardware: 'Name of the hardware',
  portsAndSeals: 'Ports and seals',
  portProblem: 'Port {port}: {problem}',
  portsAtMostTraysOfSingle:
    '{ports, plural, one {# port} other {# ports}}, at most {trays, plural, one {# tray} other {# trays}} of {single} single or {mass} ribbon sleeves. {source}',
  pressureHeldMeasureProblem: 'Pressure held: {measureProblem}',
  pressureHeldMinutes: 'Pressure held, minutes',
  saveTheHardware: 'Save the hardware',
  sealProblem: 'Port {port}, seal {seal}: {problem}',
  sheathEndBelowTheClamp: 'Sheath end below the clamp',
  sheathTakenOff: 'Sheath taken off',
  strengthMember: 'strength member',
  theSheetThatComesWithThe:
    'The sheet that comes with the hardware wins. Copy a profile, and set its figures by your sheet.',
  thisIsNoJsonExportA: 'This is no JSON: export a profile to see what one looks like.',
  traysAtMost: 'Trays at most',
  tubeKeptSheathToTray: 'Tube kept, sheath to tray',
  tubeOfADrop: 'tube of a drop',
  windowFromTheSheathEdge: 'Window from the sheath edge',
  withTheGaugeReadAtThe: 'With the gauge read at the end; 0 where soapy water alone decides',
  suchAs5PsiOr34: 'Such as 5 psi or 34.5 kPa; 0 where it is not tested',
  asTheyAreTightened14: 'As they are tightened: 1, 4, 2, 5, 3, 6; none where there are none',
});
