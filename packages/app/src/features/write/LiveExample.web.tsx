import { t } from '@lingui/core/macro';
import { CompiledList } from '@yellow-latch/core/fire';
import { DeviceList } from '@yellow-latch/core/compose';
import { THIS_APP } from '@yellow-latch/core/profile';
import { attach } from '@yellow-latch/field/own';
import { useEffect, useId, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { CodePlate } from '@/look/CodePlate';
import { FACES } from '@/look/fonts';
import { usePalette } from '@/look/useLook';

import { entriesOf } from '@yellow-latch/core/fire';

const CODE = ';ten';

/** For who has no list yet: a line in which one code expands. */
export function LiveExample() {
  const palette = usePalette();
  const id = useId();
  const area = useRef<HTMLTextAreaElement>(null);
  const text = t`I’ll be there in about ten minutes.`;
  useEffect(() => {
    const shortcut = {
      id: 'example',
      code: CODE,
      kind: 'message' as const,
      setId: null,
      content: { expansion: text, template: false, format: 'plain' as const },
      rules: {},
    };
    const list = CompiledList.compile(entriesOf([shortcut], [], THIS_APP), THIS_APP);
    const attached = attach(area.current!, { device: DeviceList.whole(list) });
    return () => attached.detach();
  }, [text]);
  return (
    <View style={styles.block}>
      <View style={styles.pair}>
        <CodePlate code={CODE} size="large" />
        <Text variant="bodyLarge" style={[styles.text, { color: palette.ink }]}>
          {text}
        </Text>
      </View>
      <Text variant="labelLarge" nativeID={id}>{t`Try it: type ;ten and a space`}</Text>
      <textarea
        ref={area}
        rows={1}
        aria-labelledby={id}
        spellCheck={false}
        autoCapitalize="none"
        style={{
          resize: 'vertical',
          minHeight: 52,
          boxSizing: 'border-box',
          padding: '12px',
          border: `1.5px solid ${palette.inkSoft}`,
          borderRadius: 6,
          fontFamily: FACES.text,
          fontSize: 17,
          lineHeight: '25px',
          color: palette.ink,
          backgroundColor: palette.surface,
        }}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: 8 },
  pair: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  text: { flex: 1 },
});
