/** A text on its way to where phrases are found in it. It goes by memory, as no text of a person enters an address. */
interface HandedMessages {
  readonly name: string;
  readonly bytes: Uint8Array<ArrayBuffer>;
}

let waiting: HandedMessages | null = null;

export function handMessages(messages: HandedMessages): void {
  waiting = messages;
}

/** What was handed over, once. */
export function takeMessages(): HandedMessages | null {
  const messages = waiting;
  waiting = null;
  return messages;
}
