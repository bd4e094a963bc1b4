// Making and changing a shortcut, fetched behind the list.
export { Editor } from '@/features/editor/Editor';
export { SharedPage } from '@/features/editor/SharedPage';
