/** What a browser has and jsdom lacks. */
import 'fake-indexeddb/auto';
import { webcrypto } from 'node:crypto';
import { TextDecoder, TextEncoder } from 'node:util';

import { chooseLocale } from '../wording/locale';
import { speak } from '../wording/start';

Object.defineProperty(globalThis, 'crypto', { value: webcrypto, configurable: true });
Object.assign(globalThis, { TextDecoder, TextEncoder });
globalThis.structuredClone ??= (value: unknown) => JSON.parse(JSON.stringify(value)) as never;

globalThis.matchMedia ??= (() => ({ matches: false })) as never;

/** A channel without other tabs. */
class LoneChannel {
  onmessage = null;
  postMessage(): void {}
  close(): void {}
}
globalThis.BroadcastChannel ??= LoneChannel as never;

// Sentences are in English, with numbers and dates as in Britain; each test may speak otherwise.
speak(chooseLocale(['en-GB']), {});
