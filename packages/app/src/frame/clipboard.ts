import { t } from '@lingui/core/macro';

/** Copies a text; false: the browser did not let it be. */
export async function copyText(text: string): Promise<boolean> {
  try {
    await navigator.clipboard.writeText(text);
    return true;
  } catch {
    return false;
  }
}

/** Copies a text in both its forms, so that what it is pasted into takes the one it knows. */
export async function copyFormatted({ html, plain }: { html: string; plain: string }): Promise<boolean> {
  try {
    const item = new ClipboardItem({
      'text/html': new Blob([html], { type: 'text/html' }),
      'text/plain': new Blob([plain], { type: 'text/plain' }),
    });
    await navigator.clipboard.write([item]);
    return true;
  } catch {
    return false;
  }
}

/** What is said where the browser refuses. */
export const tellNotCopied = () => t`The browser didn’t allow copying. Select the text and copy it yourself.`;
