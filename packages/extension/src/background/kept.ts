/** What the extension keeps beside its database: where its list is, its token, and which device it is. */
import { noteIn } from '@yellow-latch/replica/storage/currentDevice';

const KEPT = 'device';

export interface Kept {
  readonly address: string;
  readonly token: string;
  /** What a page would keep in its local storage, which an extension's background has not. */
  readonly notes: Readonly<Record<string, string>>;
}

let kept: Kept = { address: '', token: '', notes: {} };

export function known(): Kept {
  return kept;
}

/** Reads what is kept. Scripts in pages cannot: the token is in there. */
export async function readKept(): Promise<Kept> {
  await chrome.storage.local.setAccessLevel({ accessLevel: 'TRUSTED_CONTEXTS' });
  kept = { ...kept, ...((await chrome.storage.local.get(KEPT))[KEPT] as Partial<Kept> | undefined) };
  const change = (name: string, value: string | null) => {
    const { [name]: _before, ...others } = kept.notes;
    void keep({ notes: value === null ? others : { ...others, [name]: value } });
  };
  noteIn({
    getItem: (name) => kept.notes[name] ?? null,
    setItem: (name, value) => change(name, value),
    removeItem: (name) => change(name, null),
  });
  return kept;
}

export async function keep(changes: Partial<Kept>): Promise<void> {
  kept = { ...kept, ...changes };
  await chrome.storage.local.set({ [KEPT]: kept });
}
