import { z } from 'zod';

/** A slip that people make, and the word that was meant. */
export interface Slip {
  readonly typed: string;
  readonly meant: string;
}

/** Slips as a file: a line each, the slip and what was meant; what is meant most often first. */
export const SlipsFileSchema = z.strictObject({
  format: z.literal(1),
  source: z.string(),
  licence: z.string(),
  slips: z.string(),
});
export type SlipsFile = z.infer<typeof SlipsFileSchema>;

/** Reads a file's content. Errors: not such a file. */
export function parseSlips(content: unknown): Slip[] {
  return SlipsFileSchema.parse(content)
    .slips.split('\n')
    .flatMap((line) => {
      const [typed, meant] = line.split(' ');
      return typed && meant ? [{ typed, meant }] : [];
    });
}
