import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const ImportPage = fetched('What brings lists in', async () => ({
  default: (await import('@/bundles/keeping')).ImportPage,
}));

export default function Import() {
  return (
    <Suspense fallback={null}>
      <ImportPage />
    </Suspense>
  );
}
