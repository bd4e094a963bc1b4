/** QR codes, which only the pages that hand something over need: what draws them is fetched with the first. */
import { Suspense } from 'react';
import { View } from 'react-native';

import { fetched } from '@/frame/fetched';

const QrCode = fetched(async () => ({ default: (await import('@/look/QrCode')).QrCode }));

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
