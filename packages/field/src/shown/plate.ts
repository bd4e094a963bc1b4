import { splitMarker } from '@yellow-latch/core/model/marker';

/** A code on its plate: the marker stands out as the latch that holds it. */
export function plateOf(document: Document, code: string): HTMLElement {
  const plate = document.createElement('span');
  plate.className = 'plate';
  const { before, mnemonic, after } = splitMarker(code);
  const parts = [
    ['latch before', before],
    ['', mnemonic],
    ['latch after', after],
  ] as const;
  for (const [name, text] of parts) {
    if (text === '') continue;
    const part = document.createElement('span');
    part.className = name;
    part.textContent = text.replaceAll(' ', '␣');
    plate.append(part);
  }
  return plate;
}
