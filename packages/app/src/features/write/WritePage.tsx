import { idOfFormer } from '@yellow-latch/core/convention/former';
import type { FiringEvent } from '@yellow-latch/core/fire';
import { countClusters } from '@yellow-latch/core/model';
import { useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';

import { countUse } from '@/effort/uses';
import { useNotice } from '@/frame/Notices';
import { SyncLine } from '@/frame/SyncLine';
import { LatchButton } from '@/look/LatchButton';
import { useIsWide, usePalette } from '@/look/useLook';
import { useList, useOpened } from '@/replica/ReplicaProvider';

import { BlanksSheet } from './BlanksSheet';
import { useCompiled } from './useCompiled';
import { useDraft } from './useDraft';
import { useFilling } from './useFilling';
import { WritePad, type WritePadHandle } from './WritePad';

/** A page to type on, with the list at hand: a code and a space become its text. */
export function WritePage() {
  const palette = usePalette();
  const isWide = useIsWide();
  const notify = useNotice();
  const { shortcuts, sets } = useList();
  const draft = useDraft();
  const { db } = useOpened().replica;
  const pad = useRef<WritePadHandle>(null);
  const text = useRef('');
  const [length, setLength] = useState<number | null>(null);
  const [event, setEvent] = useState<FiringEvent | null>(null);
  /** Why a code that fired has given nothing. */
  const [refusal, setRefusal] = useState<string | null>(null);
  const [can, setCan] = useState({ undo: false, redo: false });
  const list = useCompiled(shortcuts, sets);
  const { filling, ask, close } = useFilling(shortcuts, {
    put: (asked, { plain, caret }) => {
      pad.current?.fill(asked, plain, caret);
    },
    refuse: (asked, reason) => setRefusal(`${asked.typed} stays. ${reason}`),
  });
  const sample = shortcuts.find(({ kind }) => kind === 'message')?.code ?? shortcuts[0]?.code;

  if (draft.text === null) return null;
  const initial = draft.text;
  const copyAll = () => {
    const all = length === null ? initial : text.current;
    navigator.clipboard.writeText(all).then(
      () => notify({ text: `Copied all ${countClusters(all)} characters.` }),
      () => notify({ text: 'The browser did not let this be copied. Mark the text and copy it.' }),
    );
  };
  const isEmpty = (length ?? initial.length) === 0;
  return (
    <View style={[styles.page, isWide && styles.widePage]}>
      <View style={styles.head}>
        <Text variant="headlineSmall" role="heading" aria-level={1}>
          Write
        </Text>
        <SyncLine />
      </View>
      <View style={[styles.sheet, { borderColor: palette.line }]}>
        <WritePad
          ref={pad}
          list={list}
          initialText={initial}
          placeholder={
            sample
              ? `Type ${sample} and a space.`
              : 'Type here. When the list holds a shortcut, its code and a space become its text.'
          }
          onText={(next) => {
            text.current = next;
            setLength(next.length);
            draft.keep(next);
          }}
          onFiring={(next) => {
            setRefusal(null);
            setEvent(next);
            if (next.type === 'asked') ask(next);
            if (next.type === 'fired') void countUse(db, idOfFormer(next.id) ?? next.id);
          }}
          onHistory={setCan}
        />
      </View>
      <View role="status" style={styles.told}>
        <Text variant="bodyMedium" numberOfLines={refusal ? 3 : 1} style={{ color: refusal ? palette.alarm : palette.inkSoft }}>
          {refusal ?? (event ? tellFiring(event, (id) => shortcuts.find((shortcut) => shortcut.id === id)?.code) : 'A code fires after a space, a return or a mark.')}
        </Text>
      </View>
      {filling && (
        <BlanksSheet
          key={`${filling.asked.id} ${filling.asked.range.start}`}
          filling={filling}
          onDone={(values) => {
            const made = filling.make(values);
            close();
            // The page has the focus again when the text goes in.
            pad.current?.focus();
            if (made && !pad.current?.fill(filling.asked, made.plain, made.caret)) setRefusal('The code is not there any more.');
          }}
          onCancel={() => {
            close();
            pad.current?.focus();
          }}
        />
      )}
      <View style={styles.foot}>
        <PadButton icon="undo" label="Undo" isOn={can.undo} onPress={() => pad.current?.undo()} />
        <PadButton icon="redo" label="Redo" isOn={can.redo} onPress={() => pad.current?.redo()} />
        <PadButton
          icon="trash"
          label="Clear the page"
          isOn={!isEmpty}
          onPress={() => {
            pad.current?.clear();
            pad.current?.focus();
            notify({
              text: 'The page is empty.',
              action: { label: 'Undo', onPress: () => pad.current?.undo() },
            });
          }}
        />
        <View style={styles.push} />
        <LatchButton icon="copy" label="Copy all" onPress={copyAll} />
      </View>
    </View>
  );
}

function tellFiring(event: FiringEvent, codeOf: (id: string) => string | undefined): string {
  if (event.type === 'asked') return `${event.typed} asks for what is missing.`;
  if (event.type === 'taken-back') return `${event.typed} stays as you typed it.`;
  const former = idOfFormer(event.id);
  const now = former === null ? undefined : codeOf(former);
  return now === undefined ? `${event.typed} fired. Backspace gives back what you typed.` : `${event.typed} still works for a while. It is ${now} now.`;
}

interface PadButtonProps {
  icon: string;
  label: string;
  isOn: boolean;
  onPress: () => void;
}

function PadButton({ icon, label, isOn, onPress }: PadButtonProps) {
  return (
    <IconButton
      icon={icon}
      size={22}
      style={styles.button}
      accessibilityLabel={label}
      disabled={!isOn}
      onPress={onPress}
    />
  );
}

const styles = StyleSheet.create({
  page: { flex: 1, minHeight: 0 },
  widePage: { width: '100%', maxWidth: 820, alignSelf: 'center' },
  head: {
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    paddingHorizontal: 16,
    paddingTop: 12,
    paddingBottom: 8,
  },
  sheet: { flex: 1, minHeight: 0, borderTopWidth: 1, borderBottomWidth: 1 },
  told: { paddingHorizontal: 16, paddingTop: 8 },
  foot: { flexDirection: 'row', alignItems: 'center', padding: 10, gap: 2 },
  button: { width: 48, height: 48, margin: 0 },
  push: { flex: 1 },
});
