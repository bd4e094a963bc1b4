import { t } from '@lingui/core/macro';
import type { Placed } from '@yellow-latch/core/fit';
import type { Device } from '@yellow-latch/core/model';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { useAnswer } from '@/answers/effort/useAnswer';
import type { CarryState } from '@/answers/fit/useCarry';
import { CodePlate } from '@/look/CodePlate';
import { LateQrCode } from '@/bundles/qr';
import { usePalette } from '@/look/useLook';
import { useDirectory } from '@/parts/directory';
import { Working } from '@/parts/findings/Working';

/** So many are shown as a sheet: more are not typed off a screen. */
const MOST = 60;

/** The list beside the device that it is typed into: as two columns, or this page opened there by its address. */
export function OnAnotherScreen({ device, carry: { request, plan } }: { device: Device; carry: CarryState }) {
  const palette = usePalette();
  const { directory } = useDirectory();
  const { answer } = useAnswer(
    request,
    ({ fit }) => fit.held(request!, request!.place) as Promise<readonly Placed[] | null>,
  );
  const address = `${directory?.address ?? location.origin}/devices/${device.id}/carry`;
  const due = plan?.steps.map(({ id }) => id) ?? [];
  const rows = (answer ?? [])
    .filter(({ id }) => due.includes(id))
    .sort((a, b) => due.indexOf(a.id) - due.indexOf(b.id));
  return (
    <View style={styles.parts}>
      <Text variant="bodyMedium">{t`Scan this with that device to open this page there. There’s no text in it, and it only opens for your devices.`}</Text>
      <View style={[styles.qr, { borderColor: palette.ink }]}>
        <LateQrCode text={address} size={180} label={t`QR code that opens this page`} />
      </View>
      {!answer && <Working text={t`Looking at what’s there…`} />}
      {rows.length > 0 && (
        <View role="table" aria-label={t`Sheet to type from`}>
          {rows.slice(0, MOST).map(({ id, code, text }) => (
            <View key={id} role="row" style={[styles.row, { borderColor: palette.line }]}>
              <View role="cell" style={styles.code}>
                <CodePlate code={code} />
              </View>
              <Text role="cell" selectable style={styles.text}>
                {text}
              </Text>
            </View>
          ))}
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  parts: { gap: 10 },
  qr: { borderWidth: 1.5, borderRadius: 6, overflow: 'hidden', alignSelf: 'flex-start' },
  row: { flexDirection: 'row', gap: 12, borderBottomWidth: 1, paddingVertical: 8, alignItems: 'flex-start' },
  code: { width: 110 },
  text: { flex: 1, fontSize: 16, lineHeight: 22 },
});
