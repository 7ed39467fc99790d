import { z } from 'zod';
import { issue } from './issue.ts';

/** One color of a scheme: its name, the letters printed beside it, and how it is drawn. */
export const colourSchema = z.object({
  name: z.string().trim().min(2, issue('colourNameMissing')).max(24),
  code: z
    .string()
    .trim()
    .regex(/^[A-Z]{2,3}$/, issue('colourCodeWrong')),
  hex: z.string().regex(/^#[0-9a-fA-F]{6}$/, issue('colourHexWrong')),
  /** Other words people use for the same colour. */
  aliases: z.array(z.string().trim().min(2).max(24)).max(6).default([]),
});

/**
 * A color scheme: the order in which fibers and tubes are counted. Past its last color the order
 * repeats with a mark (a tracer or a ring) once, then twice, and so on.
 */
export const schemeSchema = z
  .object({
    id: z.string().regex(/^[a-z0-9-]{3,64}$/, issue('schemeIdWrong')),
    name: z.string().trim().min(1, issue('schemeNameMissing')).max(80),
    source: z.string().trim().min(1, issue('orderSourceMissing')).max(300),
    mark: z.enum(['tracer', 'ring']),
    colours: z.array(colourSchema).min(4, issue('coloursTooFew')).max(24, issue('coloursTooMany')),
  })
  .superRefine((scheme, context) => {
    const seen = new Map<string, number>();
    scheme.colours.forEach((colour, index) => {
      for (const word of [colour.name, colour.code, ...colour.aliases]) {
        const key = word.toLowerCase();
        const before = seen.get(key);
        if (before !== undefined && before !== index) {
          context.addIssue({
            code: 'custom',
            path: ['colours', index, 'name'],
            message: issue('colourTwice'),
            params: { word, place: before + 1 },
          });
        }
        seen.set(key, index);
      }
    });
  });

export type Colour = z.infer<typeof colourSchema>;
export type ColourScheme = z.infer<typeof schemeSchema>;
