/** The events by which typing is followed. */
export const HEARD = ['keydown', 'input', 'compositionend', 'pointerdown', 'focusout'] as const;
export type HeardType = (typeof HEARD)[number];
