import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const ProgressPage = fetched(async () => ({ default: (await import('@/bundles/write')).ProgressPage }));

/** Where this place has failed; the others go on. */
export { PlaceTrouble as ErrorBoundary } from '@/frame/Trouble';

export default function Progress() {
  return (
    <Suspense fallback={null}>
      <ProgressPage />
    </Suspense>
  );
}
