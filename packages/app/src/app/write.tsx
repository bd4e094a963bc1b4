import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const WritePage = fetched(async () => ({ default: (await import('@/bundles/write')).WritePage }));

export default function Write() {
  return (
    <Suspense fallback={null}>
      <WritePage />
    </Suspense>
  );
}
