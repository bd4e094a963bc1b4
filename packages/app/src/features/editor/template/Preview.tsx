import { t } from '@lingui/core/macro';
import type { Expandable } from '@yellow-latch/core/expansion';
import { profileOf } from '@yellow-latch/core/profile';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { deviceLabel } from '@/answers/audit/sentences';
import { contextNow, loadedExpansion } from '@/answers/expansion/context';
import { nameOfBlank, tellExpansionError, tellLosses, tellRefusal } from '@/answers/expansion/words';
import { copyFormatted, tellNotCopied } from '@/frame/clipboard';
import { useNotice } from '@/frame/Notices';
import { ChoiceChip } from '@/look/ChoiceChip';
import { STRONG } from '@/look/fonts';
import { Formatted } from '@/look/Formatted';
import { usePalette } from '@/look/useLook';
import { useList } from '@/frame/replica/ReplicaProvider';

/** What a shortcut would give now, here and on the devices in use. */
export default function Preview({ shortcut }: { shortcut: Expandable }) {
  const { expand, expandFor } = loadedExpansion();
  const palette = usePalette();
  const notify = useNotice();
  const { shortcuts, profiles } = useList();
  const [chosen, setDevice] = useState('app');
  const device = profiles.includes(chosen) ? chosen : 'app';
  const context = contextNow(shortcuts);
  const open = expand(shortcut, context);
  const names = open.type === 'expanded' ? open.openBlanks : [];
  const here = expand(shortcut, {
    ...context,
    values: Object.fromEntries(names.map((blank) => [blank.name, blank.default || `[${nameOfBlank(blank)}]`])),
  });
  const there = device === 'app' ? null : expandFor(shortcut, profileOf(device), context);
  const failed = [here, there].find((one) => one?.type === 'errors');
  const errors = failed?.type === 'errors' ? failed.errors : null;
  const copy = () => {
    if (here.type !== 'expanded' || here.html === null) return;
    void copyFormatted({ html: here.html, plain: here.plain }).then((isCopied) =>
      notify({ text: isCopied ? t`Copied with formatting.` : tellNotCopied() }),
    );
  };
  return (
    <View style={[styles.preview, { borderColor: palette.line }]}>
      <View style={styles.head}>
        <Text variant="labelLarge" style={styles.title}>{t`You get now`}</Text>
        <ChoiceChip
          label={t`Device`}
          value={device}
          choices={[...new Set(['app', ...profiles])].map((value) => ({ value, label: deviceLabel(value) }))}
          onChange={setDevice}
        />
      </View>
      {errors && (
        <Text role="alert" variant="bodyMedium" style={{ color: palette.alarm }}>
          {tellExpansionError(errors[0]!)}
        </Text>
      )}
      {!errors && there === null && here.type === 'expanded' && (
        <>
          {here.html === null ? <Text variant="bodyMedium">{here.plain}</Text> : <Formatted html={here.html} />}
          {here.html !== null && (
            <View style={styles.actions}>
              <Button
                mode="outlined"
                icon="copy"
                onPress={copy}
                style={styles.button}
                contentStyle={styles.tall}
              >{t`Copy with formatting`}</Button>
            </View>
          )}
        </>
      )}
      {!errors && there?.type === 'refused' && <Text variant="bodyMedium">{tellRefusal(there.why)}</Text>}
      {!errors && there?.type === 'text' && (
        <>
          <Text variant="bodyMedium">{there.text}</Text>
          <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
            {tellLosses(there.lost)}
          </Text>
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  preview: { borderWidth: 1, borderRadius: 8, padding: 12, gap: 8 },
  head: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  title: { ...STRONG, flex: 1 },
  actions: { flexDirection: 'row' },
  button: { borderRadius: 6 },
  tall: { minHeight: 48 },
});
