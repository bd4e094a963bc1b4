/** The parts of the editor that are fetched when a text is more than plain. */
import { loadExpansion } from '@/answers/expansion/context';
import { fetched } from '@/frame/fetched';

const loadTemplateEditor = async () => {
  await loadExpansion();
  return import('@/features/editor/template/TemplateEditor');
};
const loadInsertSheet = async () => {
  await loadExpansion();
  return import('@/features/editor/template/InsertSheet');
};
const loadPreview = async () => {
  await loadExpansion();
  return import('@/features/editor/template/Preview');
};

export const TemplateEditor = fetched(loadTemplateEditor);
export const InsertSheet = fetched(loadInsertSheet);
/** Typing with the list at hand is one bundle with the page to write on. */
const loadTryHere = async () => ({ default: (await import('./write')).TryHere });

export const Preview = fetched(loadPreview);
export const TryHere = fetched(loadTryHere);
export const Versions = fetched(async () => ({
  default: (await import('./devices')).Versions,
}));

/** Fetches them while the server is there, for when it is not. */
export async function fetchParts(): Promise<void> {
  await Promise.all([loadTemplateEditor(), loadInsertSheet(), loadPreview()]).catch(() => {});
}
