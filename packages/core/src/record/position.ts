import { z } from 'zod';

/** Longitude and latitude in degrees, WGS 84, in this order, to seven digits. Source: RFC 7946, section 3.1.1. */
export const positionSchema = z.tuple([
  z.number().min(-180, 'A longitude is at least -180.').max(180, 'A longitude is at most 180.'),
  z.number().min(-90, 'A latitude is at least -90.').max(90, 'A latitude is at most 90.'),
]);

export type Position = z.infer<typeof positionSchema>;

/** A line along which cable runs, from its start. */
export const routeLineSchema = z.object({
  name: z.string().trim().max(80),
  points: z.array(positionSchema).min(2, 'A line has two points at least.').max(50_000),
});

export type RouteLine = z.infer<typeof routeLineSchema>;
