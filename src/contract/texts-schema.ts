import { z } from 'zod';

/** A language that sheets are written in. */
export const clinicLanguageSchema = z.object({
  /** A tag by BCP 47. */
  language: z.string(),
  name: z.string(),
  isShipped: z.boolean(),
  /** Sentences of the clinic's own. */
  own: z.int(),
  /** Sentences without which no sheet is written in it. */
  lacking: z.int(),
});
export type ClinicLanguage = z.infer<typeof clinicLanguageSchema>;

/** The sentences of one language. */
export const clinicTextsSchema = z.object({
  language: z.string(),
  name: z.string(),
  direction: z.enum(['ltr', 'rtl']),
  isShipped: z.boolean(),
  texts: z.array(z.object({ key: z.string(), standard: z.string(), own: z.string().nullable() })),
});
export type ClinicTexts = z.infer<typeof clinicTextsSchema>;

/** Sentences by key; an empty one takes the standard again. */
export const changedTextsSchema = z.strictObject({
  texts: z
    .record(z.string().max(80), z.string().max(2000))
    .refine((texts) => Object.keys(texts).length <= 600, 'A language has fewer than 600 sentences.'),
});
