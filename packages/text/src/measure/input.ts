import {
  type AirProblem,
  type DistanceProblem,
  type LengthProblem,
  type LengthUnit,
  type LossProblem,
  type NumberProblem,
  type TemperatureProblem,
  type TorqueProblem,
  unitsOfDistance,
} from '@cordel/core';
import type { GaugeProblem } from '@cordel/core/pressure';
import { catalog } from '../catalog.ts';

/** Why a measure that a person typed cannot be read. */
export type MeasureProblem =
  LengthProblem | DistanceProblem | LossProblem | TemperatureProblem | AirProblem | GaugeProblem;

const numbers = {
  noNumber: 'Write a number, such as 4200 or 0.02.',
  twoNumbers: '“{text}” can be {whole} or {decimal}: write {whole} or {decimal}.',
} as const;

/** Why a number cannot be read. */
export const numberProblemText = catalog<NumberProblem>()(numbers);

const distances = {
  ...numbers,
  typeDistance: 'Type a distance, such as 12.4 {unit}.',
  noDistance: '“{text}” is not a distance: type it such as 12.4 {unit}.',
  negativeDistance: 'A distance cannot be negative.',
  overZero: 'A fraction cannot be over 0.',
} as const;

/** Why a distance cannot be read. */
export const distanceProblemText = catalog<DistanceProblem>()(distances);

const lengths = {
  ...numbers,
  mixedUnits: 'Metric units and inches are mixed: write the length in one of them.',
  typeLength: 'Type a length, such as 133 {unit}.',
  noLength: '“{text}” is not a length: type it such as 133 {unit}.',
  tooLong: '“{text}” is too long: at most {most}. Check the unit.',
  negativeLength: 'A length cannot be negative.',
  overZero: 'A fraction cannot be over 0.',
} as const;

const lengthProblems = catalog<LengthProblem>()(lengths);

/** Why a length cannot be read. Of a project's units only that of lengths shows in it. */
export const lengthProblemText = (problem: LengthProblem, unit: LengthUnit): string =>
  lengthProblems(problem, { ...unitsOfDistance('m'), length: unit });

const losses = {
  typeLoss: 'Type the loss in dB, such as 0.02.',
  noLoss: '“{text}” is not a loss: type it in dB, such as 0.02.',
  tooManyDecimals:
    'Losses are kept in thousandths of a dB: give at most three decimals, such as 0.015.',
  noSplice: '{loss} cannot be a splice; at most {most}.',
  noSpliceMeant: '{loss} cannot be a splice; at most {most}. Did you mean {meant}?',
} as const;

/** Why a loss cannot be read. */
export const lossProblemText = catalog<LossProblem>()(losses);

/** Why a measure cannot be read. */
export const measureProblemText = catalog<MeasureProblem>()({
  ...distances,
  ...lengths,
  ...losses,
  typeTemperature: 'Type a temperature, such as 12 C or 54 F.',
  typeDegrees: 'Type a number of degrees, such as 10 C or 18 F.',
  meantFahrenheit: '{figure} C is hotter than any site: did you mean {figure} F?',
  noWeather: '{celsius} C is outside what any site has: check the unit.',
  typeAir: 'Type a pressure or an altitude, such as 98.5 kPa or 450 m.',
  noSuchRoad: 'No road is that high: check the altitude.',
  noAirPressure: '{kpa} kPa is not an air pressure: about 101 kPa at sea level.',
  typeAirChange: 'Type a change of pressure, such as 5 kPa or 1.5 inHg.',
  typeGauge: 'Type what the gauge shows, such as 4.9 psi or 33.8 kPa.',
  typeLeakRate: 'Type a fall of pressure in a minute, such as 0.015 psi or 100 Pa.',
});

/** Why a torque cannot be read. */
export const torqueProblemText = catalog<TorqueProblem>()({
  typeTorque: 'Type a torque with its unit, such as 2.8 N m or 25 in-lb.',
  torqueUnitMissing: 'Say the unit of the torque, such as 2.8 N m or 25 in-lb.',
  torqueOutside: 'A torque is over 0 and at most 200 N m: check the unit.',
});
