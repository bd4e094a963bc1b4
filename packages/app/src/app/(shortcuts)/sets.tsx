import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const SetsPage = fetched('Sets', () => import('@/features/sets/SetsPage'));

export default function Sets() {
  return (
    <Suspense fallback={null}>
      <SetsPage />
    </Suspense>
  );
}
