import { Suspense } from 'react';
import { View } from 'react-native';

import { fetched } from '@/frame/fetched';

const QrCode = fetched(async () => ({ default: (await import('@/bundles/qr')).QrCode }));

/** A QR code, whose room is kept until what draws it has come. */
export function LateQrCode({ text, size, label }: { text: string; size: number; label: string }) {
  return (
    <View style={{ width: size, height: size }}>
      <Suspense fallback={null}>
        <QrCode text={text} size={size} label={label} />
      </Suspense>
    </View>
  );
}
