import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const SharedPage = fetched(async () => ({ default: (await import('@/bundles/edit')).SharedPage }));

export default function Share() {
  return (
    <Suspense fallback={null}>
      <SharedPage />
    </Suspense>
  );
}
