import { DeviceList } from '@yellow-latch/core/compose';
import { compileFor } from '@yellow-latch/core/fit';
import { settleRules, simulate, type FiringEntry, type Keystroke, type Simulation } from '@yellow-latch/core/fire';
import type { Shortcut, ShortcutSet } from '@yellow-latch/core/model';
import type { DeviceProfile } from '@yellow-latch/core/profile';
import { correctsFor, type OwnEntry } from '@yellow-latch/core/standIn';
import { Speller, type SpellerWords } from '@yellow-latch/core/spelling';

/** What a stand-in types with. */
export interface TypedWith {
  readonly entries: readonly FiringEntry[];
  readonly profile: DeviceProfile;
  readonly own: readonly OwnEntry[];
  /** The words of its keyboard's language; null: it corrects none. */
  readonly words: SpellerWords | null;
}

/** The list of the app, made ready: nobody is there to fill in blanks, so they are gaps. */
export function entriesOfApp(
  list: { readonly shortcuts: readonly Shortcut[]; readonly sets: readonly ShortcutSet[] },
  profile: DeviceProfile,
  now: number,
): FiringEntry[] {
  const byId = new Map(list.shortcuts.map((shortcut) => [shortcut.id, shortcut]));
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const plain = { ...profile, blanks: false, formatting: false };
  const { placed } = compileFor(list, plain, { now, locale: 'en-GB', zone });
  return settleRules({
    sets: list.sets,
    shortcuts: placed.map(({ id, text }) => ({
      ...byId.get(id)!,
      content: { expansion: text, template: false, format: 'plain' },
    })),
  });
}

/** Types a script of keys into an empty field of the stand-in. */
export function typed(keys: readonly Keystroke[], { entries, profile, own, words }: TypedWith): Simulation {
  const { list } = DeviceList.of(entries, profile);
  const corrects = words && correctsFor(Speller.of(words), own);
  return simulate(keys, list, profile, { corrects });
}
