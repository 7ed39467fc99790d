import { z } from 'zod';
import { issue } from './issue.ts';

/** Longitude and latitude in degrees, WGS 84, in this order, to seven digits. Source: RFC 7946, section 3.1.1. */
export const positionSchema = z.tuple([
  z.number().min(-180, issue('longitudeTooSmall')).max(180, issue('longitudeTooLarge')),
  z.number().min(-90, issue('latitudeTooSmall')).max(90, issue('latitudeTooLarge')),
]);

export type Position = z.infer<typeof positionSchema>;

/** A line along which cable runs, from its start. */
export const routeLineSchema = z.object({
  name: z.string().trim().max(80),
  points: z.array(positionSchema).min(2, issue('linePointsMissing')).max(50_000),
});

export type RouteLine = z.infer<typeof routeLineSchema>;
