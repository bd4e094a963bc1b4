import type { EffortOfOne } from '@/answers/effort/workerApi';

/** A character of a code that keyboards in use do not have. */
export interface Untypable {
  readonly character: string;
  /** Their ids; empty where none of them has it. */
  readonly keyboards: readonly string[];
}

/** Whether a code can be typed on the keyboards in use. Null: on all of them, or not known (yet). */
export function untypableOf(effort: Pick<EffortOfOne, 'on'> | null): Untypable | null {
  const missing = (effort?.on ?? []).flatMap(({ keyboard, code }) =>
    code.type === 'not-on-keyboard' ? [{ keyboard, character: code.character }] : [],
  );
  const [first] = missing;
  if (!first) return null;
  const isNowhere = missing.length === effort!.on.length;
  return { character: first.character, keyboards: isNowhere ? [] : missing.map(({ keyboard }) => keyboard) };
}
