import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const ImportPage = fetched(async () => ({
  default: (await import('@/bundles/keeping')).ImportPage,
}));

/** `at`: which file it was opened for; another one begins anew. */
export default function Import() {
  const { at } = useLocalSearchParams<{ at?: string }>();
  return (
    <Suspense fallback={null}>
      <ImportPage key={at} />
    </Suspense>
  );
}
