/**
 * Fields of pages that others wrote: which of them codes may expand in, what was typed there by hand, and how a text gets
 * in so that the page hears of it and its undo goes on working. `PageTyping` ties them together.
 */
export { focusedIn, surfaceFor } from './fields';
export { TAKE, type Chord } from './keys';
export { PageTyping, type Answer, type Asked, type Made, type MakeText, type PageTypingOptions } from './pageTyping';
export { FrameGuard, isSeen } from './seen';
export type { GuestSurface } from './surface';
export { ENGLISH, type FieldWords } from '../shown/words';
