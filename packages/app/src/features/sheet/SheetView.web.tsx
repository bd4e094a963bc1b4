import { t } from '@lingui/core/macro';

const FRAME = 'sheet';

/** The sheet as it will be: a page of its own inside this one, in which nothing runs. */
export function SheetView({ html }: { html: string }) {
  return (
    <iframe
      id={FRAME}
      title={t`The sheet`}
      srcDoc={html}
      sandbox="allow-same-origin allow-modals"
      style={{ border: 0, width: '100%', height: '100%', background: '#dde4e4' }}
    />
  );
}

/** Prints the sheet alone. */
export function printSheet(): void {
  const frame = document.getElementById(FRAME);
  if (frame instanceof HTMLIFrameElement) frame.contentWindow?.print();
}
