/** The scenario that the demo, the sample list and the stand-ins share: Corrie & Vale, travelling piano care, an invented firm. */
export { scenarioRecords, type ScenarioRecord } from './records';
export { DEMO_DEVICES, DEMO_SETS, type DemoSet } from './scenario';
export { sampleRecords } from './sample';
export { JOBS, SPOKEN, TALK, type Ask, type Job, type JobId, type JobWant, type Want } from './jobs';
export { sentMessages } from './sentMessages';
export { mailboxOf } from './mailbox';
