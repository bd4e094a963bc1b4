import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const LearnPage = fetched(async () => ({ default: (await import('@/bundles/write')).LearnPage }));

/** Where this place has failed; the others go on. */
export { PlaceTrouble as ErrorBoundary } from '@/frame/Trouble';

export default function Learn() {
  return (
    <Suspense fallback={null}>
      <LearnPage />
    </Suspense>
  );
}
