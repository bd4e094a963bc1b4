import {
  MissedChances,
  tagsIn,
  withoutTag,
  joinerBefore,
  type MissedChance,
  type Refused,
  type Tag,
} from '@yellow-latch/core/compose';
import { idOfFormer } from '@yellow-latch/core/convention/former';
import { applyCasing } from '@yellow-latch/core/expansion/casing';
import type { Casing } from '@yellow-latch/core/expansion/segment';
import type { Offer, Explanation } from '@yellow-latch/core/fire';
import { DEVICE_PROFILES, THIS_APP } from '@yellow-latch/core/fit';
import { shownText, type Shortcut } from '@yellow-latch/core/model';
import { useEffect, useMemo, useRef, useState } from 'react';

import { useAudit } from '@/answers/audit/AuditProvider';
import { MASK } from '@/answers/audit/sentences/mask';
import { countUse } from '@yellow-latch/replica/storage/uses';
import { useSendUses } from '@/answers/effort/useSendUses';
import { whenIdle } from '@/frame/fetched';
import { Live } from '@/frame/live';
import { usePalette } from '@/look/useLook';
import { useList, useOpened } from '@/frame/replica/ReplicaProvider';

import type { PadEvent, PadState } from './pad';
import type { WriteSettings } from './settings';
import { prefersStillness, sound } from './signs';
import { entriesOf, useDeviceList } from './useDeviceList';
import type { Drafts } from './useDrafts';
import { useFilling } from './useFilling';
import { tellFiring, tellMissed, tellRefused, tellWhy } from './words';
import type { WritePadHandle } from './WritePad';

/** One line on what has just happened. */
export interface Line {
  readonly text: string;
  readonly isAlarm: boolean;
}

/** What is offered, and what fires unless a longer code follows. */
export type Offered = Pick<PadState, 'offers' | 'waiting'>;

/** What the buttons around the page need to know of it. */
export type Page = Pick<PadState, 'canUndo' | 'canRedo'> & {
  readonly isEmpty: boolean;
  readonly isSelected: boolean;
  readonly hasGap: boolean;
};

const NOTHING_OFFERED: Offered = { offers: [], waiting: null };
const EMPTY_PAGE: Page = { canUndo: false, canRedo: false, isEmpty: true, isSelected: false, hasGap: false };

/** A pause after which the tags of the text are looked at, in ms. */
const TAGS_AFTER = 200;

/** A page to write on: a pad over the open draft, what it offers, and what of it is told. */
export function useComposer(drafts: Drafts, settings: WriteSettings) {
  const { shortcuts, sets, keyboards, ownKeyboards } = useList();
  const { db } = useOpened().replica;
  const { client } = useAudit();
  const palette = usePalette();
  const profile = DEVICE_PROFILES[settings.device] ?? THIS_APP;
  const device = useDeviceList(shortcuts, sets, profile === DEVICE_PROFILES.app ? THIS_APP : profile);
  const pad = useRef<WritePadHandle>(null);
  const state = useRef<PadState | null>(null);
  // What changes with the keys is followed by those who show it: the page around them is not drawn anew.
  const [live] = useState(() => ({
    offered: new Live(NOTHING_OFFERED),
    page: new Live(EMPTY_PAGE),
    line: new Live<Line | null>(null),
    tags: new Live<readonly Tag[]>([]),
    /** The offer that the arrows have come to. */
    chosen: new Live<number | null>(null),
    /** Taps beside the stand-in keyboard that count as typing. */
    taps: new Live(0),
  }));
  useSendUses();
  const chances = useChances(shortcuts, settings.missed);
  const byId = useMemo(() => new Map(shortcuts.map((shortcut) => [shortcut.id, shortcut])), [shortcuts]);
  const shortcutOf = (id: string) => byId.get(idOfFormer(id) ?? id);
  const codeOf = (id: string) => shortcutOf(id)?.code ?? id;
  const say = (text: string, isAlarm = false) => live.line.set({ text, isAlarm });

  const filling = useFilling(shortcuts, device.list.profile, {
    textAround: ({ range }) => {
      const text = state.current?.text ?? '';
      return `${text.slice(0, range.start)}\n${text.slice(range.end)}`;
    },
    put: (asked, made, note) => {
      pad.current?.focus();
      const isIn = pad.current?.pad.fill(asked, made) ?? false;
      if (!isIn) say('The code is not there any more.', true);
      else if (note) say(note);
    },
    refuse: ({ typed, id }, reason) =>
      say(typed === '' ? `${codeOf(id)}: ${reason}` : `${typed} stays. ${reason}`, true),
  });

  // Tags are looked for when one pauses: a text of a megabyte takes longer than a key may.
  const tagsAfter = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(tagsAfter.current), []);
  const lookForTags = (text: string) => {
    clearTimeout(tagsAfter.current);
    if (live.tags.value.length === 0 && !text.includes('#')) return;
    tagsAfter.current = setTimeout(() => live.tags.set(tagsIn(text).slice(0, 100)), TAGS_AFTER);
  };

  const opening = drafts.opened?.opening;
  const stateOf = useRef(opening);
  const onState = (next: PadState) => {
    // What another draft held is no text that was changed.
    const before = stateOf.current === opening ? state.current : null;
    stateOf.current = opening;
    state.current = next;
    live.page.set(pageOf(next, live.page.value));
    live.offered.set(next.offers.length === 0 ? NOTHING_OFFERED : next);
    if (next.offers !== before?.offers) live.chosen.set(null);
    if (before && before.text !== next.text) {
      // Its content is asked for when one pauses, or has left the page.
      const typedIn = pad.current?.pad;
      if (typedIn) drafts.touched(() => typedIn.content);
      lookForTags(next.text);
    } else if (!before) lookForTags(next.text);
  };
  const onFiring = (event: PadEvent) => {
    say(tellFiring(event, codeOf));
    if (event.type === 'asked') filling.ask(event);
    if (event.type !== 'fired') return;
    void countUse(db, idOfFormer(event.id) ?? event.id);
    if (settings.sound) sound();
    if (settings.flash && !prefersStillness()) pad.current?.flash(palette.ink);
  };
  const onTold = (told: readonly Explanation[], refused: Refused | null) => {
    if (refused) say(tellRefused(refused), true);
    else {
      const why = tellWhy(told, codeOf);
      if (why !== null) say(why);
    }
  };
  const onMissed = ({ id }: MissedChance) => {
    const shortcut = shortcutOf(id);
    if (!shortcut) return;
    say(tellMissed(shortcut.code, null));
    void client
      .ask(({ effort }) => effort.one(shortcut, { keyboards, ownKeyboards }))
      .then((answer) => {
        const line = tellMissed(shortcut.code, answer?.saved ?? null);
        if (live.line.value?.text === tellMissed(shortcut.code, null)) say(line);
      });
  };

  return {
    pad,
    device,
    profile,
    chances,
    filling,
    live,
    say,
    listeners: { onState, onFiring, onTold, onMissed },
    text: () => state.current?.text ?? '',
    before: () => state.current?.text.slice(0, state.current.caret.start) ?? '',
    textOf: ({ entry }: Offer) => {
      const shortcut = shortcutOf(entry.id);
      if (!shortcut) return entry.expansion;
      return shortcut.private ? MASK : shownText(shortcut);
    },
    take: (offer: Offer) => {
      live.taps.set(live.taps.value + 1);
      pad.current?.pad.take(offer);
      pad.current?.focus();
    },
    keep: () => {
      live.taps.set(live.taps.value + 1);
      pad.current?.pad.keep(live.offered.value.offers);
      pad.current?.focus();
    },
    putShortcut: (shortcut: Shortcut) => {
      live.taps.set(live.taps.value + 1);
      const [entry] = entriesOf([shortcut], sets, device.list.profile);
      const text = state.current?.text ?? '';
      pad.current?.pad.put(
        entry!,
        joinerBefore(text.slice(0, state.current?.caret.start), shownText(shortcut), shortcut.kind),
      );
    },
    removeTag: (tag: Tag) => {
      const now = tagsIn(state.current?.text ?? '').find(({ key, start }) => key === tag.key && start === tag.start);
      if (now) pad.current?.pad.change(withoutTag(state.current!.text, now), '');
    },
    setCasing: (casing: Casing) => {
      const { text, caret } = state.current!;
      const set = applyCasing(text.slice(caret.start, caret.end), casing, navigator.language);
      pad.current?.pad.change(caret, set, { start: caret.start, end: caret.start + set.length });
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

export type Composer = ReturnType<typeof useComposer>;

/** What the buttons need to know; the same object where nothing of it has changed, so that most keys draw none anew. */
function pageOf({ text, caret, canUndo, canRedo }: PadState, last: Page): Page {
  const page: Page = {
    canUndo,
    canRedo,
    isEmpty: text === '',
    isSelected: caret.start !== caret.end,
    hasGap: text.includes('___'),
  };
  return (Object.keys(page) as (keyof Page)[]).every((name) => page[name] === last[name]) ? last : page;
}

/** The texts of the list, to be found when they are typed out; made when the page has nothing better to do. */
function useChances(shortcuts: readonly Shortcut[], isOn: boolean): MissedChances | null {
  const [chances, setChances] = useState<MissedChances | null>(null);
  useEffect(() => {
    if (!isOn) return;
    return whenIdle(() => setChances(new MissedChances(shortcuts)));
  }, [shortcuts, isOn]);
  return isOn ? chances : null;
}
