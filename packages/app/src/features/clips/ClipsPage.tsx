import { plural, t } from '@lingui/core/macro';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';

import { shortened } from '@/answers/audit/sentences';
import { guessKindOf } from '@/answers/kind';
import { copyText, tellNotCopied } from '@/frame/clipboard';
import { DetailPage } from '@/frame/DetailPage';
import { useNotice } from '@/frame/Notices';
import { useMay } from '@/frame/replica/ReplicaProvider';
import { Field } from '@/look/Field';
import { LatchButton } from '@/look/LatchButton';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';
import { MakeShortcuts } from '@/parts/making/MakeShortcuts';
import type { WantedShortcut } from '@/parts/making/wanted';
import { tellAgo } from '@/wording/format';

import type { Clip } from './clips';
import { useClips } from './useClips';

const NONE: ReadonlySet<string> = new Set();

/** Several things that were copied one after the other: to send again, or to make shortcuts of. */
export function ClipsPage() {
  const router = useRouter();
  const { step } = useLocalSearchParams<{ step?: string }>();
  const clips = useClips();
  const [ticked, setTicked] = useState(NONE);
  const [wanted, setWanted] = useState<readonly WantedShortcut[]>([]);
  if (step === 'save' && wanted.length > 0) {
    return (
      <MakeShortcuts
        title={t`New shortcuts`}
        back={{ label: t`Back to Clips`, href: '/clips' }}
        wanted={wanted}
        setName={t`Clips`}
        onMade={() => {
          setTicked(NONE);
          setWanted([]);
        }}
      />
    );
  }
  const make = async () => {
    const chosen = clips.clips.filter(({ id }) => ticked.has(id));
    const found = chosen.map(async ({ id, text }): Promise<WantedShortcut> => {
      const kind = (await guessKindOf(text)) ?? 'message';
      return { key: id, text: text.trimEnd(), kind, label: '', called: [] };
    });
    setWanted(await Promise.all(found));
    router.navigate('/clips?step=save');
  };
  return <KeptClips clips={clips} ticked={ticked} onTick={setTicked} onMake={() => void make()} />;
}

interface KeptClipsProps {
  clips: ReturnType<typeof useClips>;
  ticked: ReadonlySet<string>;
  onTick: (ticked: ReadonlySet<string>) => void;
  onMake: () => void;
}

function KeptClips({ clips: kept, ticked, onTick, onMake }: KeptClipsProps) {
  const palette = usePalette();
  const notify = useNotice();
  const canEdit = useMay() === 'edit';
  const [written, setWritten] = useState('');
  const [wasRefused, setRefused] = useState(false);
  const { clips } = kept;
  const chosen = useMemo(() => clips.filter(({ id }) => ticked.has(id)), [clips, ticked]);
  const paste = async () => {
    try {
      kept.add(await navigator.clipboard.readText());
      setRefused(false);
    } catch {
      setRefused(true);
    }
  };
  const addWritten = () => {
    kept.add(written);
    setWritten('');
  };
  const remove = (ids: ReadonlySet<string>) => {
    const before = clips;
    kept.remove(ids);
    onTick(new Set([...ticked].filter((id) => !ids.has(id))));
    notify({
      text: plural(ids.size, { one: 'Removed # clip.', other: 'Removed # clips.' }),
      action: { label: t`Undo`, onPress: () => kept.putBack(before) },
    });
  };
  const toggle = (id: string) => {
    const next = new Set(ticked);
    if (!next.delete(id)) next.add(id);
    onTick(next);
  };
  return (
    <DetailPage
      title={t`Clips`}
      about="clips"
      back={{ label: t`Back to the list`, href: '/' }}
      gap={8}
      foot={
        chosen.length > 0 ? (
          <View style={[styles.foot, { borderColor: palette.line }]}>
            <Button
              mode="text"
              icon="trash"
              onPress={() => remove(ticked)}
              contentStyle={styles.tall}
            >{t`Remove`}</Button>
            <View style={styles.push} />
            {canEdit && (
              <LatchButton
                label={plural(chosen.length, { one: 'Make # shortcut', other: 'Make # shortcuts' })}
                icon="plus"
                onPress={onMake}
              />
            )}
          </View>
        ) : undefined
      }
    >
      <Text variant="bodyMedium">
        {t`Copy something, paste it here, copy the next. Clips stay on this device for a day, or for as long as you pin them.`}
      </Text>
      <View style={styles.add}>
        <LatchButton icon="clipboard-paste" label={t`Paste`} onPress={() => void paste()} isQuiet={chosen.length > 0} />
      </View>
      {wasRefused && (
        <View>
          <Field
            label={t`The browser didn’t allow it. Paste here yourself.`}
            multiline
            startsHere
            value={written}
            onChangeText={setWritten}
            onBlur={() => {}}
            onSubmit={addWritten}
          />
          <Button
            mode="outlined"
            onPress={addWritten}
            style={styles.button}
            contentStyle={styles.tall}
          >{t`Keep it`}</Button>
        </View>
      )}
      <View role="list">
        {clips.map((clip) => (
          <ClipRow
            key={clip.id}
            clip={clip}
            isTicked={ticked.has(clip.id)}
            onToggle={() => toggle(clip.id)}
            onCopy={() =>
              void copyText(clip.text).then((isCopied) =>
                notify({ text: isCopied ? t`Copied: ${{ text: shortened(clip.text, 60) }}` : tellNotCopied() }),
              )
            }
            onPin={() => kept.pin(clip.id, !clip.isPinned)}
          />
        ))}
      </View>
    </DetailPage>
  );
}

interface ClipRowProps {
  clip: Clip;
  isTicked: boolean;
  onToggle: () => void;
  onCopy: () => void;
  onPin: () => void;
}

function ClipRow({ clip, isTicked, onToggle, onCopy, onPin }: ClipRowProps) {
  const palette = usePalette();
  const text = shortened(clip.text, 140);
  const name = shortened(clip.text, 40);
  return (
    <View role="listitem" style={[styles.row, { borderColor: palette.line }]}>
      <Tick role="checkbox" isOn={isTicked} label={text} onPress={onToggle} style={styles.tick}>
        <View style={styles.words}>
          <Text numberOfLines={2} style={styles.text}>
            {text}
          </Text>
          <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
            {clip.isPinned ? t`Pinned` : tellAgo(clip.at)}
          </Text>
        </View>
      </Tick>
      <IconButton icon="copy" size={20} style={styles.small} accessibilityLabel={t`Copy “${name}”`} onPress={onCopy} />
      <IconButton
        icon="pin"
        size={20}
        iconColor={clip.isPinned ? palette.ink : palette.inkSoft}
        style={[styles.small, clip.isPinned && { backgroundColor: palette.latch }]}
        accessibilityLabel={clip.isPinned ? t`Unpin “${name}”` : t`Pin “${name}”`}
        onPress={onPin}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  foot: { flexDirection: 'row', alignItems: 'center', padding: 10, borderTopWidth: 1 },
  push: { flex: 1 },
  add: { alignItems: 'flex-start' },
  button: { borderRadius: 6, alignSelf: 'flex-start', marginTop: 8 },
  tall: { minHeight: 48 },
  row: { flexDirection: 'row', alignItems: 'center', borderTopWidth: 1 },
  tick: { flex: 1, minHeight: 64, paddingVertical: 6, minWidth: 0 },
  words: { flex: 1, minWidth: 0 },
  text: { fontSize: 16, lineHeight: 21 },
  small: { width: 48, height: 48, margin: 0 },
});
