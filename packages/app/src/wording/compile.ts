import { compileMessage, type CompiledMessage } from '@lingui/message-utils/compileMessage';

const compiled = new Map<string, ReturnType<typeof compileMessage>>();

/** A message of the sources (ICU MessageFormat) made ready once; most have nothing to fill in and are it already. */
export function compileCached(message: string): CompiledMessage {
  if (!/[{'#<]/.test(message)) return [message];
  let ready = compiled.get(message);
  if (!ready) compiled.set(message, (ready = compileMessage(message)));
  return ready;
}
