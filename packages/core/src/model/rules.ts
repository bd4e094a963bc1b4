import { z } from 'zod';

/** The rules by which one shortcut fires. */
export const FiringRulesSchema = z.strictObject({
  /** How a code becomes its expansion: when a delimiter ends it, at once, or when it is taken. */
  fires: z.enum(['delimiter', 'instant', 'offer']),
  /** `word`: only where a word could begin; `anywhere`: no test. */
  edge: z.enum(['word', 'anywhere']),
  /** What typed capitals mean: nothing, must be as in the code, or go over to the expansion. */
  capitals: z.enum(['ignore', 'match', 'follow']),
  /** What becomes of the delimiter that ended the code. */
  delimiter: z.enum(['keep', 'drop']),
});
export type FiringRules = Readonly<z.infer<typeof FiringRulesSchema>>;

/** The rules asked for somewhere: what is missing is inherited. */
export const AskedRulesSchema = FiringRulesSchema.partial();
export type AskedRules = Readonly<z.infer<typeof AskedRulesSchema>>;
