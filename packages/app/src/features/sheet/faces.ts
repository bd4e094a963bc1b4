import type { SheetOptions } from '@yellow-latch/core/exchange';

import { toBase64 } from '@/answers/exchange/base64';
import { FONT_FILES } from '@/look/fonts';

let faces: Promise<SheetOptions['faces']> | null = null;

/** Our faces as addresses of data, so that a sheet needs nothing else; null: they cannot be had now. */
export function facesForSheet(): Promise<SheetOptions['faces']> {
  faces ??= Promise.all([asData('Atkinson Next'), asData('Atkinson Mono')]).then(
    ([text, code]) => ({ text, code }),
    () => {
      faces = null;
      return null;
    },
  );
  return faces;
}

async function asData(name: keyof typeof FONT_FILES): Promise<string> {
  const source = FONT_FILES[name] as unknown;
  const address = typeof source === 'string' ? source : (source as { uri: string }).uri;
  const response = await fetch(address);
  if (!response.ok) throw new Error(`${address}: ${response.status}`);
  return `data:font/woff2;base64,${toBase64(new Uint8Array(await response.arrayBuffer()))}`;
}
