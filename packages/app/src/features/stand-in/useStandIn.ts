import { t } from '@lingui/core/macro';
import { DeviceList, type Refused } from '@yellow-latch/core/compose';
import { usualKeyboards } from '@yellow-latch/core/devices';
import type { Keyboard } from '@yellow-latch/core/effort';
import { LAYOUTS } from '@yellow-latch/core/effort/layouts';
import { shownText, type Shortcut } from '@yellow-latch/core/model';
import type { Explanation, Offer } from '@yellow-latch/core/fire';
import { Speller } from '@yellow-latch/core/spelling';
import {
  correctsFor,
  entriesForTyping,
  ownListProfile,
  profileOfStandIn,
  type OwnEntry,
  type Switches,
} from '@yellow-latch/core/standIn';
import type { AskedEvent, FieldEvent } from '@yellow-latch/field/own';
import { countUse } from '@yellow-latch/replica/storage/uses';
import { createContext, use, useEffect, useMemo, useRef, useState } from 'react';

import { useSendUses } from '@/answers/effort/useSendUses';
import { useSeen } from '@/answers/learn/useSeen';
import { useAudit } from '@/answers/audit/AuditProvider';
import { keyboardOf } from '@/answers/effort/keyboards';
import { whenIdle } from '@/frame/moments';
import { useList, useOpened } from '@/frame/replica/ReplicaProvider';
import { switchBoardOf, useSwitches } from '@/frame/standIn/switches';
import type { StandInTab } from '@/frame/standIn/tab';
import { entriesOf } from '@yellow-latch/core/fire';
import { useFilling } from '@/parts/typing/useFilling';
import { tellFiring, tellRefused, tellWhy } from '@/parts/typing/words';

import type { Memory } from './memory';
import { Typing } from './typing';
import { useRemembered } from './useMemory';

/** A stand-in as its places and its keys use it. */
export function useStandInOf(tab: StandInTab, memory: Memory) {
  const { shortcuts, sets } = useList();
  const { db } = useOpened().replica;
  const kept = useRemembered(memory);
  const [switches, setSwitches] = useSwitches(tab);
  const [typing] = useState(() => new Typing(memory));
  const { source, own } = kept;
  const isWithout = kept.job?.way === 'without';
  const profile = useMemo(() => profileOfStandIn(tab.kind, source, switches), [tab.kind, source, switches]);
  const corrects = useCorrects(switches, own);
  const device = useMemo(() => {
    if (isWithout) return DeviceList.of([], profile).correctedBy(corrects);
    const entries = source === 'own' ? entriesForTyping(own) : entriesOf(shortcuts, sets, profile);
    return DeviceList.of(entries, profile).correctedBy(corrects);
  }, [isWithout, source, own, shortcuts, sets, profile, corrects]);
  const byId = useMemo(() => new Map(shortcuts.map((shortcut) => [shortcut.id, shortcut])), [shortcuts]);
  const codeOf = (id: string) => (source === 'own' ? (own[Number(id)]?.code ?? id) : (byId.get(id)?.code ?? id));
  const asking = useRef<string | null>(null);
  const { see } = useSeen((id) => byId.get(id));
  useSendUses();
  const filling = useFilling(shortcuts, profile, {
    clock: switchBoardOf(tab).clock,
    textAround: ({ range }) => {
      const text = memory.textOf(asking.current ?? '');
      return `${text.slice(0, range.start)}\n${text.slice(range.end)}`;
    },
    put: (asked, made, note) => {
      const name = asking.current!;
      typing.focus(name);
      if (!typing.fill(name, asked, made)) typing.say(t`The code is gone, so nothing was inserted.`, true);
      else if (note !== null) typing.say(note);
    },
    refuse: ({ typed }: AskedEvent, reason) => typing.say(t`“${typed}” stays. ${reason}`, true),
  });
  const hesitated = useRef<number | null>(null);
  const onFiring = (name: string, event: FieldEvent, hesitation: number | null) => {
    typing.say(tellFiring(event, codeOf));
    if (event.type === 'asked') {
      asking.current = name;
      hesitated.current = hesitation;
      filling.ask(event);
    }
    if (source === 'app') see(event, event.type === 'fired' && event.by === 'filled' ? hesitated.current : hesitation);
    if (event.type !== 'fired') return;
    typing.noteExpanded(name, event.id);
    if (source === 'app') void countUse(db, event.id).catch(() => {});
  };
  return {
    tab,
    memory,
    kept,
    switches,
    setSwitches,
    typing,
    device,
    ownProfile: useMemo(() => ownListProfile(tab.kind, switches), [tab.kind, switches]),
    keyboard: keyboardFor(tab, switches),
    shortcuts,
    shortcutOf: (id: string): Shortcut | undefined => (source === 'app' ? byId.get(id) : undefined),
    filling,
    onFiring,
    onExplained: (explanations: readonly Explanation[], refused: Refused | null) => {
      if (refused) return typing.say(tellRefused(refused), true);
      const why = tellWhy(explanations, codeOf);
      if (why !== null) typing.say(why);
    },
    textOfOffer: ({ entry }: Offer) => {
      const shortcut = source === 'app' ? byId.get(entry.id) : undefined;
      return shortcut ? shownText(shortcut) : entry.expansion;
    },
  };
}

export type StandIn = ReturnType<typeof useStandInOf>;

export const StandInContext = createContext<StandIn | null>(null);

export function useStandIn(): StandIn {
  const standIn = use(StandInContext);
  if (!standIn) throw new Error('outside of a stand-in');
  return standIn;
}

/** The keyboard's spelling correction; null until its words have come, and where it is off. */
function useCorrects({ correctsSpelling, language }: Switches, own: readonly OwnEntry[]) {
  const { client } = useAudit();
  const [speller, setSpeller] = useState<{ language: string; speller: Speller } | null>(null);
  useEffect(() => {
    if (!correctsSpelling || speller?.language === language) return;
    let isOver = false;
    const callOff = whenIdle(() => {
      void client
        .ask(({ audit }) => audit.words(language))
        .then((words) => {
          if (!isOver && words) setSpeller({ language, speller: Speller.of(words) });
        })
        .catch(() => {});
    });
    return () => {
      isOver = true;
      callOff();
    };
  }, [client, correctsSpelling, language, speller]);
  return useMemo(
    () => (correctsSpelling && speller?.language === language ? correctsFor(speller.speller, own) : null),
    [correctsSpelling, language, speller, own],
  );
}

/** The keyboard it has, or shows where nothing but taps count. */
function keyboardFor({ kind }: StandInTab, { language, tapsOnly }: Switches): Keyboard {
  const form = kind === 'computer' && tapsOnly ? 'tablet' : kind;
  const { keyboard } = usualKeyboards(form, [language])[0]!;
  return keyboardOf(keyboard, LAYOUTS[keyboard]!);
}
