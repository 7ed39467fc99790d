import { formatDay, formatMoment } from '@cordel/core';

const ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone;

/** By the clock of this device: accounts are of no project. */
export const dayHere = (at: string): string => formatDay(at, ZONE);
export const momentHere = (at: string): string => formatMoment(at, ZONE);
