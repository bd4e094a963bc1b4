import { v7 as uuid } from 'uuid';

import { scenarioRecords, type ScenarioRecord } from './records';
import { DEMO_SETS, type DemoSet } from './scenario';

/** The sample list: the demo's, and tomorrow's date. */
const SAMPLE_SETS: readonly DemoSet[] = DEMO_SETS.map((set) =>
  set.name === 'Visits'
    ? {
        ...set,
        shortcuts: [
          ...set.shortcuts,
          [';tom', '{:today pattern=|EEEE d MMMM| plus=|P1D|}', 'message', 'template'] as const,
        ],
      }
    : set,
);

/** The records of the sample list, under new ids. */
export function sampleRecords(): ScenarioRecord[] {
  return scenarioRecords(() => uuid(), SAMPLE_SETS);
}
