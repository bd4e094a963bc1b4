import type { FieldWords } from '@yellow-latch/field/guest';

import { say } from './say';

/** What is said around a field. */
export function fieldWords(): FieldWords {
  return {
    suggestions: say('suggestions'),
    fillIn: (code) => say('fillIn', code),
    insert: say('insert'),
    cancel: say('cancel'),
    fromClipboard: say('fromClipboard'),
    fromSelection: say('fromSelection'),
  };
}
