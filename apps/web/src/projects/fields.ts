import { GRADES, type Grade } from '@cordel/core';
import { common } from '@cordel/text/pages/common';
import { projectFields as t } from '@cordel/text/pages/projects/ProjectFields';
import type { FormRow } from '@/ui/FormFields';
import type { ProjectForm } from './projectForm';

type Rows = FormRow<ProjectForm>[];

export const GRADE_LABELS: Record<Grade, string> = {
  estimate: t('estimate'),
  'one-way': t('oneWayOtdr'),
  insertion: t('insertionLoss'),
  'two-way': t('twoWayOtdr'),
};

/** Places of a tray where a closure says nothing else. */
export const TRAY_FIELDS: Rows = [
  [
    { name: 'trayCapacity.single', label: t('singleSleeves'), numeric: true },
    { name: 'trayCapacity.mass', label: t('ribbonSleeves'), numeric: true },
  ],
];

/** How a crew works where schools differ, and what redos cost. */
export const PRACTICE_FIELDS: Rows = [
  {
    name: 'practice.tubeTool',
    label: t('tubesAreOpenedWith'),
    options: [
      ['scorer', t('fixedDepthScorer')],
      ['stripper', t('wireStripper')],
    ],
  },
  {
    name: 'practice.gel',
    label: t('gelComesOff'),
    options: [
      ['at once', t('atOnce')],
      ['after grouping', t('onceGroupsAreToldApart')],
    ],
  },
  [
    { name: 'practice.trayFiber', label: t('fiberOnATray') },
    { name: 'practice.redoConsumption', label: t('fiberUsedByARedo') },
  ],
  [
    { name: 'practice.redos', label: t('redosToLeaveSlackFor'), numeric: true },
    { name: 'practice.redoPercent', label: t('redosExpected'), unit: '%', numeric: true },
  ],
  {
    name: 'practice.workingLength',
    label: t('workingLength'),
    options: [
      ['mark 30 mm', t('mark30MmBack')],
      ['past the holder', t('cutHalfAnInchPastThe')],
    ],
  },
  {
    name: 'practice.signers',
    label: t('whoSigns'),
    options: [
      ['one or two', t('oneOrTwoPeople')],
      ['two people', t('twoPeople')],
    ],
  },
  {
    name: 'practice.dropEnd',
    label: t('theEndOfADrop'),
    options: [
      ['splice-on', t('spliceOnConnector')],
      ['pigtail', t('pigtail')],
      ['mechanical', t('mechanical')],
    ],
  },
  {
    name: 'practice.adhesiveWait',
    label: t('adhesiveIsLeftAlone'),
    unit: 's',
    hint: t('oneSchool30STheOther'),
    numeric: true,
  },
  {
    name: 'practice.noTension',
    label: t('noTensionTestOnSpliceOn'),
    hint: t('emptyTheTestStaysOn'),
  },
  {
    name: 'practice.leakLimit',
    label: t('aTightClosureFallsByAt'),
    hint: t('inAMinuteAtOneTemperature'),
  },
];

/** When the arc is to be checked. */
export const ARC_FIELDS: Rows = [
  {
    name: 'practice.arc.when',
    label: t('theArcIsChecked'),
    options: [
      ['both', t('everySessionAndOnTriggers')],
      ['session', t('everySession')],
      ['triggers', t('onTriggersOnly')],
    ],
  },
  [
    { name: 'practice.arc.arcs125', label: t('arcsOn125Um'), numeric: true },
    { name: 'practice.arc.arcs400', label: t('arcsOn400Um'), numeric: true },
    { name: 'practice.arc.streak', label: t('highOnesInARow'), numeric: true },
  ],
  [
    { name: 'practice.arc.temperature', label: t('warmerOrColderBy') },
    { name: 'practice.arc.humidity', label: t('humidityBy'), unit: '%', numeric: true },
    { name: 'practice.arc.pressure', label: t('airPressureBy') },
    { name: 'practice.arc.idleDays', label: t('notUsedFor'), unit: t('days'), numeric: true },
  ],
];

/** Usual loss of a part of a circuit, how much it varies, and the most that it may be. */
export const partFields = (
  part: `budget.glass.${number}` | 'budget.splice' | 'budget.connector',
  unit: string,
): Rows => [
  [
    { name: `${part}.usual`, label: t('usual'), unit, numeric: true },
    { name: `${part}.spread`, label: t('spread'), unit, numeric: true },
    { name: `${part}.most`, label: t('atMost'), unit, numeric: true },
  ],
];

export const BUDGET_FIELDS: Rows = [
  [
    { name: 'budget.connectors', label: t('connectorsOnACircuit'), numeric: true },
    {
      name: 'budget.most',
      label: t('powerBudget'),
      unit: 'dB',
      hint: t('emptyTheMostOfEveryPart'),
      numeric: true,
    },
  ],
];

/** Where limits come from, and what decides on a splice. */
export const LIMIT_FIELDS: Rows = [
  { name: 'limits.name', label: t('nameOfTheLimits') },
  { name: 'limits.source', label: t('whereTheFiguresComeFrom'), multiline: true },
  {
    name: 'limits.grade',
    label: t('whatAcceptsASplice'),
    options: GRADES.map((grade) => [grade, GRADE_LABELS[grade]] as const),
  },
];

/** Maximum loss of one splice by what it was measured with. */
export const spliceLimitFields = (grade: Grade): Rows => [
  [
    { name: `limits.splice.${grade}.single`, label: t('single'), unit: 'dB', numeric: true },
    { name: `limits.splice.${grade}.mass`, label: common('ribbon'), unit: 'dB', numeric: true },
  ],
];

/** Maximum loss of an end, by a power meter. */
export const END_LIMIT_FIELDS: Rows = [
  [
    { name: 'limits.ends.mechanical', label: t('mechanicalEnd'), unit: 'dB', numeric: true },
    { name: 'limits.ends.fused', label: t('fusedEnd'), unit: 'dB', numeric: true },
  ],
];

export const MEAN_LIMIT_FIELDS: Rows = [
  [
    { name: 'limits.mean.fiber', label: t('aFiber'), unit: 'dB', numeric: true },
    { name: 'limits.mean.tray', label: t('aTray'), unit: 'dB', numeric: true },
    { name: 'limits.mean.closure', label: t('aClosure'), unit: 'dB', numeric: true },
  ],
];

export const MEASURING_FIELDS: Rows = [
  [
    { name: 'limits.maxTries', label: t('maximumAttempts'), numeric: true },
    {
      name: 'limits.wavelengths',
      label: t('wavelengths'),
      unit: 'nm',
      hint: t('suchAs13101550'),
    },
  ],
];
