import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { STRONG } from '@/look/fonts';
import { Icon, type IconName } from '@/look/icons';
import { usePalette } from '@/look/useLook';

type SendRowProps = { icon: IconName; label: string; note: string } & ({ onPress: () => void } | { href: string });

/** One way to send on: a button, or a link that the device opens in the program for it. */
export function SendRow({ icon, label, note, ...action }: SendRowProps) {
  const palette = usePalette();
  const content = (
    <>
      <Icon name={icon} color={palette.ink} />
      <View style={styles.words}>
        <Text style={[styles.label, { color: palette.ink }]}>{label}</Text>
        <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
          {note}
        </Text>
      </View>
    </>
  );
  if ('href' in action) {
    return (
      <a
        href={action.href}
        aria-label={label}
        style={{
          display: 'flex',
          alignItems: 'center',
          gap: 14,
          minHeight: 56,
          padding: '0 20px',
          textDecoration: 'none',
        }}
      >
        {content}
      </a>
    );
  }
  return (
    <Pressable role="button" aria-label={label} onPress={action.onPress} style={styles.row}>
      {content}
    </Pressable>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 14, minHeight: 56, paddingHorizontal: 20 },
  words: { flex: 1 },
  label: { ...STRONG, fontSize: 16 },
});
