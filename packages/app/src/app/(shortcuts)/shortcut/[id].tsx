import { useLocalSearchParams } from 'expo-router';

import { Editor } from '@/features/editor/Editor';

export default function OpenShortcut() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <Editor key={id} place={id} />;
}
