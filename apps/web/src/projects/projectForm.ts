import { z } from 'zod';
import { parseLeakRate, spellLeakRate } from '@cordel/core/pressure';
import {
  issue,
  GRADES,
  type Limits,
  type Parsed,
  type Practice,
  type Project,
  type Units,
  arcPolicySchema,
  formatLoss,
  gradeSchema,
  limitsSchema,
  nameSchema,
  parseBarometerChange,
  parseLength,
  parseLoss,
  parseTemperatureChange,
  practiceSchema,
  spellBarometerChange,
  spellLength,
  spellTemperatureChange,
  unitsSchema,
  usualPractice,
} from '@cordel/core';
import { type MeasureProblem, lossProblemText, measureProblemText } from '@cordel/text/measure';
import { issueText } from '@cordel/text/record';
import { projectForm as t } from '@cordel/text/pages/projects/projectForm';

/** A limit typed in dB; empty for none. */
const limitText = z.string().transform((text, context): number | null => {
  if (text.trim() === '') return null;
  const loss = parseLoss(text, 5000);
  if (loss.ok && loss.value > 0) return loss.value;
  context.addIssue({
    code: 'custom',
    message: loss.ok ? t('aLimitIsMoreThan0') : lossProblemText(loss.error),
  });
  return z.NEVER;
});

/** A loss of 0 dB or more, typed in dB. */
const lossText = z.string().transform((text, context): number => {
  const loss = parseLoss(text, 5000);
  if (loss.ok && loss.value >= 0) return loss.value;
  context.addIssue({
    code: 'custom',
    message: loss.ok ? t('aLossIsNotBelow0') : lossProblemText(loss.error),
  });
  return z.NEVER;
});

const lossesText = z.object({ usual: lossText, spread: lossText, most: lossText });

/** What the equipment bridges, typed in dB; empty where the parts’ most is to count. */
const bridgeText = z.string().transform((text, context): number | null => {
  if (text.trim() === '') return null;
  const loss = parseLoss(text, 60_000);
  if (loss.ok && loss.value > 0) return loss.value;
  context.addIssue({
    code: 'custom',
    message: loss.ok ? t('moreThan0Db') : lossProblemText(loss.error),
  });
  return z.NEVER;
});

const countText = (least: number, most: number) =>
  z.string().transform((text, context): number => {
    const value = /^\d+$/.test(text.trim()) ? Number(text) : Number.NaN;
    if (value >= least && value <= most) return value;
    context.addIssue({ code: 'custom', message: t('aWholeNumberFromTo', { least, most }) });
    return z.NEVER;
  });

const wavelengthsText = z.string().transform((text, context): number[] => {
  const list = text
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map(Number);
  const checked = limitsSchema.shape.wavelengths.safeParse(list);
  if (checked.success) return checked.data;
  context.addIssue({
    code: 'custom',
    message: t('writeNmSuchAs13101550', { message: issueText(checked.error.issues[0]!) }),
  });
  return z.NEVER;
});

const usual = practiceSchema.shape;
const usualArc = arcPolicySchema.shape;

/** A figure whose meaning depends on the project's units: it is read once those are known. */
const inUnits = z.string();

const bySleeve = z.object({ single: limitText, mass: limitText });

/** A project as a form types it: figures as text, read into a record when it is sent. */
export const projectFormSchema = z
  .object({
    name: nameSchema,
    practiceOnly: z.boolean(),
    units: unitsSchema,
    schemeId: z.string().min(1, issue('schemeMissing')),
    trayCapacity: z.object({ single: countText(0, 96), mass: countText(0, 24) }),
    practice: z.object({
      tubeTool: practiceSchema.shape.tubeTool,
      gel: practiceSchema.shape.gel,
      trayFiber: inUnits,
      redos: countText(0, 20),
      redoConsumption: inUnits,
      redoPercent: countText(0, 100),
      arc: z.object({
        when: arcPolicySchema.shape.when,
        arcs125: countText(10, 5000),
        arcs400: countText(5, 5000),
        temperature: inUnits,
        humidity: countText(5, 100),
        pressure: inUnits,
        streak: countText(2, 20),
        idleDays: countText(1, 365),
      }),
      adhesiveWait: countText(5, 600),
      workingLength: usual.workingLength.unwrap(),
      noTension: z.string().transform((words) => (words.trim() === '' ? null : words.trim())),
      dropEnd: usual.dropEnd.unwrap(),
      signers: usual.signers.unwrap(),
      leakLimit: inUnits,
    }),
    budget: z.object({
      glass: z.array(lossesText.extend({ wavelengthNm: z.number() })),
      splice: lossesText,
      connector: lossesText,
      connectors: countText(0, 20),
      most: bridgeText,
    }),
    limits: z.object({
      name: z.string().trim().min(1, issue('limitsNameMissing')),
      source: z.string().trim().min(1, issue('sourceMissing')),
      splice: z.object({
        estimate: bySleeve,
        'one-way': bySleeve,
        insertion: bySleeve,
        'two-way': bySleeve,
      }),
      ends: z.object({ mechanical: limitText, fused: limitText }),
      mean: z.object({ fiber: limitText, tray: limitText, closure: limitText }),
      grade: gradeSchema,
      maxTries: countText(1, 10),
      wavelengths: wavelengthsText,
    }),
  })
  .superRefine((form, context) => {
    const checked = limitsSchema.safeParse(form.limits);
    for (const found of checked.success ? [] : checked.error.issues) {
      context.addIssue({
        code: 'custom',
        path: ['limits', ...found.path],
        message: issueText(found),
      });
    }
  })
  .transform((form, context) => {
    const { units, practice } = form;
    const read = (
      path: string[],
      text: Parsed<number, MeasureProblem>,
      schema: z.ZodType<number>,
    ): number => {
      const checked = text.ok ? schema.safeParse(text.value) : null;
      if (checked?.success) return checked.data;
      const message = text.ok
        ? issueText(checked!.error!.issues[0]!)
        : measureProblemText(text.error, units);
      context.addIssue({ code: 'custom', path: ['practice', ...path], message });
      return z.NEVER;
    };
    const length = (key: 'trayFiber' | 'redoConsumption') =>
      read([key], parseLength(practice[key], units.length), usual[key]);
    const { arc } = practice;
    return {
      ...form,
      practice: {
        ...practice,
        trayFiber: length('trayFiber'),
        redoConsumption: length('redoConsumption'),
        leakLimit: read(
          ['leakLimit'],
          parseLeakRate(practice.leakLimit, units.pressure),
          usual.leakLimit.unwrap(),
        ),
        arc: {
          ...arc,
          temperature: read(
            ['arc', 'temperature'],
            parseTemperatureChange(arc.temperature, units.temperature),
            usualArc.temperature,
          ),
          pressure: read(
            ['arc', 'pressure'],
            parseBarometerChange(arc.pressure, units.pressure),
            usualArc.pressure,
          ),
        },
      },
    };
  });

export type ProjectForm = z.input<typeof projectFormSchema>;
export type ReadProjectForm = z.output<typeof projectFormSchema>;

/**
 * Practice as a form shows it, once other units are chosen: what is still usual becomes what is usual in these, and what
 * was typed is shown in them. What cannot be read stays as it was typed.
 */
export function practiceInUnits(
  typed: ProjectForm['practice'],
  from: Units,
  to: Units,
): ProjectForm['practice'] {
  const usualBefore = practiceForm(usualPractice(from), from);
  const usualNow = practiceForm(usualPractice(to), to);
  const turned = (
    before: string,
    pick: (form: ProjectForm['practice']) => string,
    read: Parsed<number, MeasureProblem>,
    spell: (value: number) => string,
  ): string =>
    before === pick(usualBefore) ? pick(usualNow) : read.ok ? spell(read.value) : before;
  const length = (key: 'trayFiber' | 'redoConsumption') =>
    turned(
      typed[key],
      (form) => form[key],
      parseLength(typed[key], from.length),
      (value) => spellLength(value, to.length),
    );
  const { arc } = typed;
  return {
    ...typed,
    trayFiber: length('trayFiber'),
    redoConsumption: length('redoConsumption'),
    leakLimit: turned(
      typed.leakLimit,
      (form) => form.leakLimit,
      parseLeakRate(typed.leakLimit, from.pressure),
      (value) => spellLeakRate(value, to.pressure),
    ),
    arc: {
      ...arc,
      temperature: turned(
        arc.temperature,
        (form) => form.arc.temperature,
        parseTemperatureChange(arc.temperature, from.temperature),
        (value) => spellTemperatureChange(value, to.temperature),
      ),
      pressure: turned(
        arc.pressure,
        (form) => form.arc.pressure,
        parseBarometerChange(arc.pressure, from.pressure),
        (value) => spellBarometerChange(value, to.pressure),
      ),
    },
  };
}

const text = (limit: number | null): string => (limit === null ? '' : formatLoss(limit));

/** Limits as a form shows them. */
export function limitsForm(limits: Limits): ProjectForm['limits'] {
  const splice = Object.fromEntries(
    GRADES.map((grade) => [
      grade,
      { single: text(limits.splice[grade].single), mass: text(limits.splice[grade].mass) },
    ]),
  ) as ProjectForm['limits']['splice'];
  return {
    name: limits.name,
    source: limits.source,
    splice,
    ends: { mechanical: text(limits.ends.mechanical), fused: text(limits.ends.fused) },
    mean: {
      fiber: text(limits.mean.fiber),
      tray: text(limits.mean.tray),
      closure: text(limits.mean.closure),
    },
    grade: limits.grade,
    maxTries: String(limits.maxTries),
    wavelengths: limits.wavelengths.join(', '),
  };
}

const practiceForm = (practice: Practice, units: Units): ProjectForm['practice'] => ({
  ...practice,
  trayFiber: spellLength(practice.trayFiber, units.length),
  redos: String(practice.redos),
  redoConsumption: spellLength(practice.redoConsumption, units.length),
  redoPercent: String(practice.redoPercent),
  arc: {
    ...(Object.fromEntries(
      Object.entries(practice.arc).map(([key, value]) => [key, String(value)]),
    ) as ProjectForm['practice']['arc']),
    when: practice.arc.when,
    temperature: spellTemperatureChange(practice.arc.temperature, units.temperature),
    pressure: spellBarometerChange(practice.arc.pressure, units.pressure),
  },
  adhesiveWait: String(practice.adhesiveWait),
  noTension: practice.noTension ?? '',
  leakLimit: spellLeakRate(practice.leakLimit, units.pressure),
});

export const projectForm = (project: Omit<Project, 'id' | 'createdAt'>): ProjectForm => ({
  name: project.name,
  practiceOnly: project.practiceOnly,
  units: project.units,
  schemeId: project.schemeId,
  trayCapacity: {
    single: String(project.trayCapacity.single),
    mass: String(project.trayCapacity.mass),
  },
  practice: practiceForm(project.practice, project.units),
  budget: {
    glass: project.budget.glass.map(({ wavelengthNm, ...losses }) => ({
      wavelengthNm,
      ...lossesForm(losses),
    })),
    splice: lossesForm(project.budget.splice),
    connector: lossesForm(project.budget.connector),
    connectors: String(project.budget.connectors),
    most: text(project.budget.most),
  },
  limits: limitsForm(project.limits),
});

const lossesForm = ({ usual, spread, most }: { usual: number; spread: number; most: number }) => ({
  usual: formatLoss(usual),
  spread: formatLoss(spread),
  most: formatLoss(most),
});

/** The record a form stands for. */
export function toProject(
  form: ReadProjectForm,
  { id, createdAt, route }: Pick<Project, 'id' | 'createdAt' | 'route'>,
): Project {
  return { ...form, id, createdAt, route };
}
