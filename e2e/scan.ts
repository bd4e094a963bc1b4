import jsQR from 'jsqr';
import { PNG } from 'pngjs';

import type { App } from './app';

/** The text of the QR code that is on the screen, as another program reads it off a picture (jsqr). */
export async function scan(app: App): Promise<string | null> {
  const { data, width, height } = PNG.sync.read(await app.browser.picture());
  return jsQR(new Uint8ClampedArray(data), width, height)?.data ?? null;
}
