import { t } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { STRONG } from '@/look/fonts';
import { Icon, type IconName } from '@/look/icons';
import { usePalette } from '@/look/useLook';

/** Where codes expand today, and what to do in all other places. It promises nothing that is not there. */
export function WhereCodesExpand() {
  return (
    <View style={styles.page}>
      <Text variant="titleMedium" role="heading" aria-level={2} style={STRONG}>{t`Here, right away`}</Text>
      <Line icon="pencil">{t`In Write: type a code and a space.`}</Line>
      <Line icon="check">{t`In the line “Try it here”, when you make or change a shortcut.`}</Line>
      <Text variant="titleMedium" role="heading" aria-level={2} style={STRONG}>{t`In other apps`}</Text>
      <Line icon="devices">{t`From your phone’s or computer’s own list: choose the device under Devices, then “Copy your list over”.`}</Line>
      <Text variant="bodyLarge">{t`Where that doesn’t work, you can still use your texts:`}</Text>
      <Line icon="send">{t`Write your message in Write, then copy, share or email it.`}</Line>
      <Line icon="copy">{t`Copy any text from your list with one tap.`}</Line>
      <Line icon="download">{t`Export your list as a file, for a keyboard or app that can import it.`}</Line>
    </View>
  );
}

function Line({ icon, children }: { icon: IconName; children: string }) {
  const palette = usePalette();
  return (
    <View style={styles.line}>
      <Icon name={icon} size={20} color={palette.inkSoft} />
      <Text variant="bodyLarge" style={styles.words}>
        {children}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  page: { gap: 10 },
  line: { flexDirection: 'row', gap: 12, alignItems: 'flex-start' },
  words: { flex: 1 },
});
