/** What a browser has and Node lacks. */
import 'fake-indexeddb/auto';

/** A channel without other tabs. */
class LoneChannel {
  onmessage = null;
  postMessage(): void {}
  close(): void {}
}
const kept = new Map<string, string>();

Object.defineProperties(globalThis, {
  BroadcastChannel: { value: LoneChannel },
  navigator: { value: {} },
  addEventListener: { value: () => {} },
  removeEventListener: { value: () => {} },
  localStorage: {
    value: {
      getItem: (name: string) => kept.get(name) ?? null,
      setItem: (name: string, value: string) => void kept.set(name, value),
      removeItem: (name: string) => void kept.delete(name),
    },
  },
});
