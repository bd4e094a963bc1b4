import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const Editor = fetched(async () => ({ default: (await import('@/bundles/edit')).Editor }));

export default function OpenShortcut() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <Suspense fallback={null}>
      <Editor key={id} place={id} />
    </Suspense>
  );
}
