import { create } from 'qrcode';
import { useMemo } from 'react';
import Svg, { Path, Rect } from 'react-native-svg';

/** Modules of quiet around the code: four, as ISO/IEC 18004 asks. */
const QUIET = 4;

/** A text as a QR code: dark on light in every theme, since that is what cameras look for. */
export function QrCode({ text, size, label }: { text: string; size: number; label: string }) {
  const { path, width } = useMemo(() => draw(text), [text]);
  return (
    <Svg width={size} height={size} viewBox={`0 0 ${width} ${width}`} role="img" aria-label={label}>
      <Rect width={width} height={width} fill="#ffffff" />
      <Path d={path} fill="#0a3a42" />
    </Svg>
  );
}

function draw(text: string): { path: string; width: number } {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  let path = '';
  for (let y = 0; y < modules.size; y += 1) {
    for (let x = 0; x < modules.size; x += 1) {
      if (modules.get(y, x)) path += `M${x + QUIET} ${y + QUIET}h1v1h-1z`;
    }
  }
  return { path, width: modules.size + 2 * QUIET };
}
