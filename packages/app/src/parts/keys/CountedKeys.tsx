import { t } from '@lingui/core/macro';
import type { Keyboard } from '@yellow-latch/core/effort';
import { pricerOf, typeFrom } from '@yellow-latch/core/effort/inUse';
import { BEGINNING_STATE } from '@yellow-latch/core/effort/price';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { tellTaps } from '@/answers/effort/words';
import { useLive, type Live } from '@/frame/live';
import { STRONG } from '@/look/fonts';
import { usePalette } from '@/look/useLook';

import { GlassKeys } from './GlassKeys';
import { useGlassKeyboard } from './useGlassKeyboard';

export interface CountedKeysProps {
  /** The device it stands in for, by its profile. */
  device: string;
  /** The page it types on: the text now and what of it stands before the caret. */
  text: () => string;
  before: () => string;
  onKey: (text: string) => void;
  onBackspace: () => void;
  /** Taps on offers and other keys beside it, so far. */
  otherTaps: Live<number>;
}

/** A longer text is not counted along: pricing it would hold up the keys. */
const LONGEST_COUNTED = 20_000;

/**
 * The keyboard of a phone or a tablet, drawn and typed on, with a running count of the taps beside what the same text
 * takes written out on the same keys, the quickest way.
 */
export function CountedKeys({ device, text, before, onKey, onBackspace, otherTaps: live }: CountedKeysProps) {
  const otherTaps = useLive(live);
  const palette = usePalette();
  const keyboard = useGlassKeyboard(device);
  const [start] = useState(() => ({ written: writtenOut(text(), keyboard), otherTaps }));
  const [taps, setTaps] = useState(0);
  const all = taps + otherTaps - start.otherTaps;
  const written = writtenOut(text(), keyboard);
  return (
    <View>
      <Text role="status" variant="bodyMedium" style={[styles.count, { color: palette.inkSoft }]}>
        {all === 0 && t`Type here, as you would on the device.`}
        {all > 0 && (written === null || start.written === null) && tellTaps(all)}
        {all > 0 && written !== null && start.written !== null && (
          <>
            <Text style={[STRONG, { color: palette.ink }]}>{tellTaps(all)}</Text>
            {' · '}
            {t`${{ taps: tellTaps(Math.max(0, written - start.written)) }} without codes`}
          </>
        )}
      </Text>
      <GlassKeys
        key={keyboard.id}
        keyboard={keyboard}
        before={before}
        onKey={onKey}
        onBackspace={onBackspace}
        onTap={() => setTaps((count) => count + 1)}
      />
    </View>
  );
}

/** The taps that a text takes written out from its beginning; null: it is too long to be counted along. */
function writtenOut(text: string, keyboard: Keyboard): number | null {
  return text.length > LONGEST_COUNTED
    ? null
    : typeFrom(pricerOf(keyboard), text.normalize('NFC'), BEGINNING_STATE).taps;
}

const styles = StyleSheet.create({
  count: { textAlign: 'center', paddingVertical: 4 },
});
