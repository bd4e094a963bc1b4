import { plural, t } from '@lingui/core/macro';
import { useRouter } from 'expo-router';
import { useEffect, useMemo, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { shownExpansion } from '@/answers/audit/sentences/mask';
import { useLearningNow } from '@/answers/learn/useLearningNow';
import { DetailPage } from '@/frame/DetailPage';
import { useNotice } from '@/frame/Notices';
import { saveBlob } from '@/frame/saveFile';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';

import { drawPicture, MOST_PAIRS, screenSize } from './picture';

const LONGEST = 80;

/** The codes being learnt, to have in sight: a picture for the lock screen, made here at the size of this screen, or a card on paper. */
export function PicturePage() {
  const palette = usePalette();
  const router = useRouter();
  const notify = useNotice();
  const learning = useLearningNow();
  const canvas = useRef<HTMLCanvasElement>(null);
  const [size] = useState(screenSize);
  const pairs = useMemo(
    () => learning.slice(0, MOST_PAIRS).map((one) => ({ code: one.code, text: shownExpansion(one, LONGEST) })),
    [learning],
  );
  useEffect(() => {
    if (canvas.current) void drawPicture(canvas.current, pairs, size);
  }, [pairs, size]);
  const save = () =>
    canvas.current?.toBlob((blob) => {
      if (blob) saveBlob('yellow-latch-codes.png', blob);
      else notify({ text: t`The picture couldn’t be made. Try again.` });
    }, 'image/png');
  const print = () => router.navigate({ pathname: '/sheet', params: { of: 'learning' } });
  return (
    <DetailPage title={t`Take them along`} about="picture" back={{ label: t`Back to Learn`, href: '/learn' }}>
      {learning.length === 0 ? (
        <Text variant="bodyLarge">{t`You aren’t learning any codes right now.`}</Text>
      ) : (
        <>
          <Text variant="bodyMedium">
            {t`A picture for your lock screen, the size of this screen. The clock has room above it.`}
          </Text>
          <canvas
            ref={canvas}
            role="img"
            aria-label={plural(pairs.length, { one: 'Picture with # code', other: 'Picture with # codes' })}
            style={{ height: 420, alignSelf: 'flex-start', borderRadius: 14, border: `1.5px solid ${palette.ink}` }}
          />
          <View style={styles.actions}>
            <LatchButton icon="download" label={t`Save picture`} onPress={save} />
            <Button mode="outlined" icon="printer" contentStyle={styles.tall} onPress={print}>{t`Print a card`}</Button>
          </View>
        </>
      )}
    </DetailPage>
  );
}

const styles = StyleSheet.create({
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
  tall: { minHeight: 48 },
});
