/**
 * A plan for the codes of a whole list: each shortcut gets one, none clashes with another on any device, and what they cost is
 * least. Options are made and priced (`options.ts`), what may not stand together is found (`conflicts.ts`), and the choice is an
 * assignment with conflicts (`search.ts`). The check has the last word.
 */
export { optionsOf, type CodeOption, type Planned } from './options';
export { planCodes, weighAll, type CodePlan, type PlanInput, type PlannedMove } from './plan';
export { solve, solveGreedily, type Solved } from './search';
