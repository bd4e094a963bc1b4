import { RECORD_TYPES, type Shortcut } from './record';

/** A shortcut for a test. What is not given is as in a new one; its id is its code. */
export function makeShortcut(code: string, expansion = `what ${code} gives`, more: Partial<Shortcut> = {}): Shortcut {
  return {
    ...RECORD_TYPES.shortcut.defaults,
    id: code,
    code,
    content: { expansion, template: false, format: 'plain' },
    kind: 'message',
    setId: null,
    private: false,
    changed: 0,
    ...more,
  };
}
