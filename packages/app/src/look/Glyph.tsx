import { writeCodePoints } from '@yellow-latch/core/symbols/codePoint';
import { useEffect } from 'react';
import { StyleSheet, Text, View } from 'react-native';

import { FACES } from './fonts';
import { usePalette } from './useLook';

const SHEET = '/faces/faces.css';
/** Emoji by themselves, and what chooses a picture. */
const IS_PICTURE = /^\p{Emoji_Presentation}|\ufe0f/u;
/** What is drawn on top of another character needs one below it. */
const IS_MARK = /^\p{M}/u;

/** Tells the browser of the faces for symbols; each of their files is fetched when something of it is drawn. */
export function useSymbolFaces(): void {
  useEffect(() => {
    if (document.querySelector(`link[href="${SHEET}"]`)) return;
    const link = document.createElement('link');
    link.rel = 'stylesheet';
    link.href = SHEET;
    document.head.append(link);
  }, []);
}

interface GlyphProps {
  text: string;
  /** Whether a shipped face has it; otherwise its code point stands for it. */
  isDrawn: boolean;
  size?: number;
}

/** A symbol for the eye, large enough to tell it from others; its name stands beside it. */
export function Glyph({ text, isDrawn, size = 28 }: GlyphProps) {
  const palette = usePalette();
  if (!isDrawn)
    return (
      <View aria-hidden style={[styles.box, { minWidth: size * 1.7 }]}>
        <Text style={[styles.codePoint, { color: palette.inkSoft }]}>{writeCodePoints(text)}</Text>
      </View>
    );
  const fontFamily = IS_PICTURE.test(text) ? FACES.emoji : FACES.symbol;
  return (
    <View aria-hidden style={[styles.box, { minWidth: size * 1.7 }]}>
      <Text style={[styles.text, { fontFamily, fontSize: size, lineHeight: size * 1.35, color: palette.ink }]}>
        {IS_MARK.test(text) ? `\u25cc${text}` : text}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { alignItems: 'center', justifyContent: 'center' },
  text: { textAlign: 'center' },
  codePoint: { fontFamily: FACES.code, fontSize: 12, lineHeight: 16, maxWidth: 64, textAlign: 'center' },
});
