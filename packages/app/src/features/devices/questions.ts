/** Three questions about a place, for what nobody knows by heart: each is answered by trying it out. */
import type { MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import type { Answers } from '@yellow-latch/core/model';
import type { Contradiction } from '@yellow-latch/core/profile';

export interface Question {
  readonly asks: keyof Answers;
  /** With the code that is tried. */
  readonly text: (code: string) => string;
  readonly answers: readonly {
    readonly value: NonNullable<Answers[keyof Answers]>;
    readonly label: MessageDescriptor;
  }[];
}

export const QUESTIONS: readonly Question[] = [
  {
    asks: 'fires',
    text: (code) => t`Type ${code} and a space in a note. What happened?`,
    answers: [
      { value: 'delimiter', label: msg`My text came after the space` },
      { value: 'instant', label: msg`My text came right away, before the space` },
      { value: 'offer', label: msg`I had to tap a suggestion` },
    ],
  },
  {
    asks: 'lines',
    text: () => t`Save a text of two lines there and use it. What came?`,
    answers: [
      { value: 'kept', label: msg`Two lines` },
      { value: 'joined', label: msg`One line` },
      { value: 'refused', label: msg`It couldn’t be saved` },
    ],
  },
  {
    asks: 'punctuation',
    text: () => t`Type a word and two hyphens in a note. What’s there?`,
    answers: [
      { value: 'kept', label: msg`Two hyphens: --` },
      { value: 'changed', label: msg`One long dash: —` },
    ],
  },
];

/** Why answers cannot both be right. */
export function tellContradiction(why: Contradiction): string {
  switch (why) {
    case 'suggestions-never-expand-by-themselves':
      return t`A keyboard with suggestions waits for your tap. If your text comes without one, choose “Its own list of shortcuts”.`;
    case 'expander-waits-for-a-tap':
      return t`A program that expands right away doesn’t wait for a tap. If yours does, choose “Its own list of shortcuts”.`;
    case 'app-is-known':
      return t`How Yellow Latch expands is known. There’s nothing to answer.`;
  }
}
