import { t } from '@lingui/core/macro';
import { joinerBefore, tagsIn, withoutTag, type MissedChance, type Tag } from '@yellow-latch/core/compose';
import { idOfFormer } from '@yellow-latch/core/convention/former';
import { applyCasing } from '@yellow-latch/core/expansion/casing';
import type { Casing } from '@yellow-latch/core/expansion/segment';
import type { Offer } from '@yellow-latch/core/fire';
import { profileOf, THIS_APP } from '@yellow-latch/core/profile';
import { shownText, type Shortcut } from '@yellow-latch/core/model';
import type { FieldEvent, FieldState } from '@yellow-latch/field/own';
import { countUse } from '@yellow-latch/replica/storage/uses';
import { useMemo, useRef, useState } from 'react';

import { MASK } from '@/answers/audit/sentences/mask';
import { useSendUses } from '@/answers/effort/useSendUses';
import { useSeen } from '@/answers/learn/useSeen';
import { useList, useOpened } from '@/frame/replica/ReplicaProvider';
import { usePalette } from '@/look/useLook';

import { LiveWrite } from './composer/live';
import { useChances } from './composer/useChances';
import { useNarration } from './composer/useNarration';
import { useTags } from './composer/useTags';
import type { WriteSettings } from '@/parts/writeSettings';
import { prefersStillness, sound } from './signs';
import { entriesOf } from '@yellow-latch/core/fire';
import { useDeviceList } from './useDeviceList';
import type { Drafts } from './useDrafts';
import { useFilling } from '@/parts/typing/useFilling';
import type { WritePadHandle } from './WritePad';

/** A page to write on: the field over the open draft, what it offers, and what is told of it. */
export function useComposer(drafts: Drafts, settings: WriteSettings) {
  const { shortcuts, sets, profiles } = useList();
  const { db } = useOpened().replica;
  const palette = usePalette();
  // A place of a device that is gone is none any more.
  const profile = profiles.includes(settings.device) ? profileOf(settings.device) : THIS_APP;
  const device = useDeviceList(shortcuts, sets, profile);
  const pad = useRef<WritePadHandle>(null);
  const state = useRef<FieldState | null>(null);
  const [live] = useState(() => new LiveWrite());
  const byId = useMemo(() => new Map(shortcuts.map((shortcut) => [shortcut.id, shortcut])), [shortcuts]);
  const shortcutOf = (id: string) => byId.get(idOfFormer(id) ?? id);
  const narration = useNarration(live, shortcutOf);
  const { see, miss } = useSeen(shortcutOf);
  const lookForTags = useTags(live);
  const chances = useChances(shortcuts, settings.missed);
  useSendUses();

  const filling = useFilling(shortcuts, device.list.profile, {
    textAround: ({ range }) => {
      const text = state.current?.text ?? '';
      return `${text.slice(0, range.start)}\n${text.slice(range.end)}`;
    },
    put: (asked, made, note) => {
      pad.current?.focus();
      const isIn = pad.current?.field.fill(asked, made) ?? false;
      if (!isIn) live.say(t`The code is gone, so nothing was inserted.`, true);
      else if (note) live.say(note);
    },
    refuse: ({ typed, id }, reason) =>
      live.say(typed === '' ? `${narration.codeOf(id)}: ${reason}` : t`“${typed}” stays. ${reason}`, true),
  });

  const opening = drafts.opened?.opening;
  const stateOf = useRef(opening);
  const onState = (next: FieldState) => {
    // What another draft held is no text that was changed.
    const before = stateOf.current === opening ? state.current : null;
    stateOf.current = opening;
    state.current = next;
    live.show(next, before);
    if (before?.text === next.text) return;
    lookForTags(next.text);
    // Its content is asked for when one pauses, or has left the page.
    const typedIn = pad.current?.field;
    if (before && typedIn) drafts.touched(() => typedIn.content);
  };
  /** A template fires when it is filled in; how long one hesitated is known when it asks. */
  const hesitated = useRef<number | null>(null);
  const onFiring = (event: FieldEvent, hesitation: number | null) => {
    narration.tellFiring(event);
    if (event.type === 'asked') {
      hesitated.current = hesitation;
      filling.ask(event);
    } else see(event, event.type === 'fired' && event.by === 'filled' ? hesitated.current : hesitation);
    if (event.type !== 'fired') return;
    void countUse(db, idOfFormer(event.id) ?? event.id);
    if (settings.sound) sound();
    if (settings.flash && !prefersStillness()) pad.current?.flash(palette.ink);
  };
  /** Something that is done by a tap, after which one types on. */
  const byTap = (act: (handle: WritePadHandle) => void) => {
    live.tap();
    if (!pad.current) return;
    act(pad.current);
    pad.current.focus();
  };

  return {
    pad,
    device,
    profile,
    chances,
    filling,
    live,
    listeners: {
      onState,
      onFiring,
      onExplained: narration.tellWhy,
      onMissed: (missed: MissedChance) => {
        miss(missed.id);
        narration.tellMissed(missed);
      },
    },
    text: () => state.current?.text ?? '',
    before: () => state.current?.text.slice(0, state.current.caret.start) ?? '',
    textOf: ({ entry }: Offer) => {
      const shortcut = shortcutOf(entry.id);
      if (!shortcut) return entry.expansion;
      return shortcut.private ? MASK : shownText(shortcut);
    },
    take: (offer: Offer) => byTap(({ field }) => field.take(offer)),
    keep: () => byTap(({ field }) => field.keep(live.offered.value.offers)),
    putShortcut: (shortcut: Shortcut) => {
      live.tap();
      const [entry] = entriesOf([shortcut], sets, device.list.profile);
      const before = state.current?.text.slice(0, state.current.caret.start) ?? '';
      pad.current?.field.put(entry!, joinerBefore(before, shownText(shortcut), shortcut.kind));
    },
    removeTag: (tag: Tag) => {
      const now = tagsIn(state.current?.text ?? '').find(({ key, start }) => key === tag.key && start === tag.start);
      if (!now) return;
      const { text, caret } = state.current!;
      const gone = withoutTag(text, now);
      // What one types next goes where the cursor was.
      pad.current?.field.change(gone, '', {
        start: placeWithout(caret.start, gone),
        end: placeWithout(caret.end, gone),
      });
    },
    setCasing: (casing: Casing) => {
      const { text, caret } = state.current!;
      const set = applyCasing(text.slice(caret.start, caret.end), casing, navigator.language);
      pad.current?.field.change(caret, set, { start: caret.start, end: caret.start + set.length });
    },
    wrap: (shortcut: Shortcut) => {
      const { text, caret: range } = state.current!;
      const selected = text.slice(range.start, range.end);
      filling.ask({ type: 'asked', id: shortcut.id, typed: selected, range }, selected);
    },
    wrappers: useMemo(
      () => shortcuts.filter(({ content }) => content.template && content.expansion.includes(':selection')),
      [shortcuts],
    ),
  };
}

/** A place of a text once a part of it is gone; in that part, where it began. */
function placeWithout(place: number, gone: { readonly start: number; readonly end: number }): number {
  return place >= gone.end ? place - (gone.end - gone.start) : Math.min(place, gone.start);
}

export type Composer = ReturnType<typeof useComposer>;
