import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const PracticePage = fetched(async () => ({ default: (await import('@/bundles/write')).PracticePage }));

/** Where this place has failed; the others go on. */
export { PlaceTrouble as ErrorBoundary } from '@/frame/Trouble';

export default function Practice() {
  return (
    <Suspense fallback={null}>
      <PracticePage />
    </Suspense>
  );
}
