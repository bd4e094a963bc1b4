/** The frames of pages: what is run in them, and what they are told. */
import type { ToPage } from '../shared/messages';

/** Runs what follows typing in one frame, where a field has got the focus for the first time. */
export async function followTyping({ tab, documentId, frameId }: chrome.runtime.MessageSender): Promise<void> {
  if (tab?.id === undefined) return;
  const target =
    documentId === undefined
      ? { tabId: tab.id, frameIds: [frameId ?? 0] }
      : { tabId: tab.id, documentIds: [documentId] };
  // A frame that is gone meanwhile needs nothing.
  await chrome.scripting.executeScript({ target, files: ['field.js'], injectImmediately: true }).catch(() => undefined);
}

/** Pages that were open before the extension was loaded, or updated, are watched from now on. */
export async function watchOpenPages(): Promise<void> {
  for (const { id } of await chrome.tabs.query({})) {
    if (id === undefined) continue;
    // Pages of the browser itself are closed to extensions.
    void chrome.scripting
      .executeScript({ target: { tabId: id, allFrames: true }, files: ['watch.js'] })
      .catch(() => undefined);
  }
}

/** Tells all frames of all pages, and those of our own pages that are open. */
export async function tellFrames(message: ToPage): Promise<void> {
  chrome.runtime.sendMessage(message).catch(() => undefined);
  for (const { id } of await chrome.tabs.query({})) if (id !== undefined) void tellTab(id, message);
}

/** Tells the frames of one page; resolves with what the one says that has an answer, else null. */
export async function tellTab<Said>(tab: number, message: ToPage): Promise<Said | null> {
  // Where nobody listens, nothing has the focus.
  return (await chrome.tabs.sendMessage(tab, message).catch(() => null)) as Said | null;
}
