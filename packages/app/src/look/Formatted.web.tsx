import { FACES } from './fonts';
import { usePalette } from './useLook';

/** Formatted text, from HTML that is safe to show. Its links lead nowhere: it is a picture of what will be pasted. */
export function Formatted({ html }: { html: string }) {
  const palette = usePalette();
  return (
    <div
      className="formatted"
      onClick={(event) => event.preventDefault()}
      style={{ fontFamily: FACES.text, fontSize: 16, lineHeight: '24px', color: palette.ink, overflowWrap: 'anywhere' }}
      dangerouslySetInnerHTML={{ __html: html }}
    />
  );
}
