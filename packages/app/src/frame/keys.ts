/** The key that commands are given with: ⌘ on Apple's keyboards, Ctrl on all others. */
export const isApple = /Mac|iPhone|iPad/.test(globalThis.navigator?.platform ?? '');

/** Whether that key, and not the other, is held. */
export function isCommand({ ctrlKey, metaKey }: Pick<KeyboardEvent, 'ctrlKey' | 'metaKey'>): boolean {
  return isApple ? metaKey && !ctrlKey : ctrlKey && !metaKey;
}

/** Keys as the keyboard at hand has them. `keys`: with Ctrl, as sentences name them. */
export function asOnThisKeyboard(keys: string): string {
  return isApple ? keys.replaceAll('Ctrl', '⌘') : keys;
}
