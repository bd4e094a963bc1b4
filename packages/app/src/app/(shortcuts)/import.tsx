import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const ImportPage = fetched(async () => ({
  default: (await import('@/bundles/keeping')).ImportPage,
}));

export default function Import() {
  return (
    <Suspense fallback={null}>
      <ImportPage />
    </Suspense>
  );
}
