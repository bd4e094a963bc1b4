import { t } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { LateQrCode } from '@/bundles/qr';
import { FACES, STRONG } from '@/look/fonts';
import { usePalette } from '@/look/useLook';

interface Props {
  address: string;
  /** Groups of eight digits, as the phone shows them too. */
  fingerprint: string;
  onDone: () => void;
}

/** Before its first code: a phone learns to trust the computer with the server. */
export function TrustFirst({ address, fingerprint, onDone }: Props) {
  const palette = usePalette();
  return (
    <>
      <Text variant="bodyLarge">{t`New phone? Scan this first, in the same Wi-Fi. The page it opens shows how to trust your computer.`}</Text>
      <View style={styles.both}>
        <View style={[styles.qr, { borderColor: palette.ink }]}>
          <LateQrCode text={address} size={228} label={t`QR code with the address of that page`} />
        </View>
        <View style={styles.words}>
          <Text variant="bodyMedium">{t`Or open`}</Text>
          <Text selectable variant="bodyLarge" style={STRONG}>
            {address}
          </Text>
          <Text variant="bodyMedium">{t`Your phone must show the same digits:`}</Text>
          <Text selectable variant="bodyMedium" style={[styles.digits, { borderColor: palette.line }]}>
            {fingerprint}
          </Text>
        </View>
      </View>
      <Button mode="contained" style={styles.start} contentStyle={styles.tall} onPress={onDone}>
        {t`Next: the code`}
      </Button>
    </>
  );
}

const styles = StyleSheet.create({
  both: { flexDirection: 'row', flexWrap: 'wrap', gap: 20 },
  qr: { borderWidth: 1.5, borderRadius: 6, overflow: 'hidden', alignSelf: 'flex-start' },
  words: { gap: 4, minWidth: 220, maxWidth: 340, flexShrink: 1 },
  digits: { fontFamily: FACES.code, borderWidth: 1, borderRadius: 6, padding: 8 },
  start: { alignSelf: 'flex-start' },
  tall: { minHeight: 48 },
});
