import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const SetsPage = fetched(async () => ({ default: (await import('@/bundles/write')).SetsPage }));

export default function Sets() {
  return (
    <Suspense fallback={null}>
      <SetsPage />
    </Suspense>
  );
}
