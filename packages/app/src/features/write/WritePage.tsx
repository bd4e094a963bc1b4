import { t } from '@lingui/core/macro';
import type { FieldContent } from '@yellow-latch/field/own';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';

import { useNotice } from '@/frame/Notices';
import { SyncLine } from '@/frame/SyncLine';
import { Sheet } from '@/look/Sheet';
import { useIsWide, usePalette } from '@/look/useLook';
import { useList } from '@/frame/replica/ReplicaProvider';
import { usePageTitle } from '@/look/usePageTitle';

import { CountedKeys } from '@/parts/keys/CountedKeys';
import { BlanksSheet } from '@/parts/typing/BlanksSheet';
import { DraftList } from './DraftList';
import { KeysSheet } from './KeysSheet';
import { LearningStrip } from './LearningStrip';
import { SendSheet } from './SendSheet';
import { useWriteSettings, type WriteSettings } from '@/parts/writeSettings';
import { Strip } from './Strip';
import { TagChips } from './TagChips';
import { TapBoard } from './TapBoard';
import { useComposer } from './useComposer';
import { useDrafts } from './useDrafts';
import { standsIn, WriteAs } from './WriteAs';
import { WriteFoot } from './WriteFoot';
import { writeKey } from './writeKeys';
import { WritePad } from './WritePad';

/** A page to type on, with the list at hand: a code and a space become its text. */
export function WritePage() {
  const palette = usePalette();
  const isWide = useIsWide();
  const notify = useNotice();
  usePageTitle(t`Write`);
  const { shortcuts } = useList();
  const drafts = useDrafts();
  const [settings, setSettings] = useWriteSettings();
  const [sheet, setSheet] = useState<'keys' | 'drafts' | null>(null);
  const [sending, setSending] = useState<FieldContent | null>(null);
  const composer = useComposer(drafts, settings);
  const { pad, live, filling } = composer;
  const { opened, trouble } = drafts;
  const hasKeys = standsIn(settings.device);
  const below = settings.below === 'keys' && !hasKeys ? null : settings.below;
  const turn = (what: 'board' | 'keys') => setSettings({ ...settings, below: settings.below === what ? null : what });
  const close = () => {
    setSheet(null);
    setSending(null);
    pad.current?.focus();
  };
  const send = () => setSending(pad.current!.field.content);
  const sample = shortcuts.find(({ kind }) => kind === 'message')?.code ?? shortcuts[0]?.code;

  useEffect(() => {
    if (trouble) composer.live.say(trouble, true);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- said once when it comes
  }, [trouble]);

  if (opened === null) return null;
  const onKey = (event: KeyboardEvent) =>
    writeKey(event, composer, {
      send,
      board: isWide ? intoBoard : () => turn('board'),
      drafts: () => setSheet('drafts'),
      keys: () => setSheet('keys'),
    });
  const clear = () => {
    pad.current?.field.clear();
    pad.current?.focus();
    // What happened last was in the text that is gone.
    live.line.set(null);
    notify({ text: t`Cleared.`, action: { label: t`Undo`, onPress: () => pad.current?.field.undo() } });
  };
  const board = (
    <TapBoard
      onPut={composer.putShortcut}
      onKey={(text) => pad.current?.field.press(text)}
      onBackspace={() => pad.current?.field.backspace()}
    />
  );
  return (
    <View style={[styles.page, isWide && styles.widePage]}>
      <View style={styles.main}>
        <View style={styles.head}>
          <Text variant="headlineSmall" role="heading" aria-level={1}>{t`Write`}</Text>
          <WriteAs
            device={settings.device}
            onChange={(device) =>
              setSettings({
                ...settings,
                device,
                below: belowFor(device, settings.below),
              })
            }
          />
          <View style={styles.push} />
          {isWide ? (
            <SyncLine />
          ) : (
            <IconButton
              icon="drafts"
              style={styles.button}
              accessibilityLabel={t`Drafts`}
              onPress={() => setSheet('drafts')}
            />
          )}
          <IconButton
            icon="more"
            style={styles.button}
            accessibilityLabel={t`Keys and signals`}
            onPress={() => setSheet('keys')}
          />
        </View>
        <View style={[styles.sheet, { borderColor: palette.line }]}>
          <WritePad
            key={opened.opening}
            ref={pad}
            device={composer.device}
            chances={composer.chances}
            start={opened.draft}
            hasKeys={below === 'keys'}
            chosen={live.chosen}
            page={live.page}
            placeholder={
              sample
                ? t`Type ${sample} and a space.`
                : t`Type here. Add a shortcut first, then its code becomes its text.`
            }
            onKey={onKey}
            {...composer.listeners}
          />
        </View>
        <TagChips live={live.tags} onRemove={composer.removeTag} />
        {settings.learning && <LearningStrip onPut={composer.putShortcut} />}
        <Strip composer={composer} />
        {below === 'keys' && (
          <CountedKeys
            key={`${settings.device} ${opened.opening}`}
            device={settings.device}
            text={composer.text}
            before={composer.before}
            onKey={(text) => pad.current?.field.press(text)}
            onBackspace={() => pad.current?.field.backspace()}
            otherTaps={live.taps}
          />
        )}
        {below === 'board' && !isWide && <View style={styles.below}>{board}</View>}
        <WriteFoot
          live={live.page}
          below={below}
          hasKeys={hasKeys}
          hasBoard={!isWide}
          onUndo={() => pad.current?.field.undo()}
          onRedo={() => pad.current?.field.redo()}
          onGap={() => pad.current?.field.walkGap('forward', true)}
          onClear={clear}
          onTurn={turn}
          onSend={send}
        />
      </View>
      {isWide && (
        <View style={[styles.side, { borderColor: palette.line }]}>
          <View style={styles.sideDrafts}>
            <Text variant="titleMedium" role="heading" aria-level={2} style={styles.sideTitle}>{t`Drafts`}</Text>
            <DraftList drafts={drafts} />
          </View>
          {board}
        </View>
      )}
      {filling.filling && (
        <BlanksSheet
          key={`${filling.filling.asked.id} ${filling.filling.asked.range.start}`}
          filling={filling.filling}
          onDone={filling.finish}
          onCancel={() => {
            filling.close();
            pad.current?.focus();
          }}
        />
      )}
      {sending && <SendSheet draft={sending} onClose={close} />}
      <KeysSheet settings={settings} onChange={setSettings} isOpen={sheet === 'keys'} onClose={close} />
      {sheet === 'drafts' && (
        <Sheet title={t`Drafts`} isOpen onClose={close}>
          <DraftList drafts={drafts} onOpened={() => setSheet(null)} />
        </Sheet>
      )}
    </View>
  );
}

/** What stands below the page, typed as on another device: its keyboard, or what stood there. */
function belowFor(device: WriteSettings['device'], before: WriteSettings['below']): WriteSettings['below'] {
  if (standsIn(device)) return 'keys';
  return before === 'keys' ? null : before;
}

/** The board beside a wide page is always there: its first key takes the focus. */
function intoBoard(): void {
  document.querySelector<HTMLElement>('[aria-label="Tap board"] [role=button]')?.focus();
}

const styles = StyleSheet.create({
  page: { flex: 1, minHeight: 0 },
  widePage: { flexDirection: 'row' },
  main: { flex: 1, minHeight: 0, minWidth: 0 },
  head: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    minHeight: 60,
    paddingHorizontal: 16,
    paddingVertical: 6,
  },
  push: { flex: 1 },
  button: { width: 48, height: 48, margin: 0 },
  sheet: { flex: 1, minHeight: 90, borderTopWidth: 1, borderBottomWidth: 1 },
  below: { height: '46%' },
  side: { width: 340, borderLeftWidth: 1, minHeight: 0 },
  sideDrafts: { maxHeight: '40%', paddingBottom: 4 },
  sideTitle: { paddingHorizontal: 20, paddingTop: 18, paddingBottom: 6 },
});
