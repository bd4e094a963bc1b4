import { Editor } from '@/features/editor/Editor';

export default function NewShortcut() {
  return <Editor key="new" id={null} />;
}
