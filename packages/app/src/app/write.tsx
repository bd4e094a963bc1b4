import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const WritePage = fetched(async () => ({ default: (await import('@/bundles/write')).WritePage }));

/** Where this place has failed; the others go on. */
export { PlaceTrouble as ErrorBoundary } from '@/frame/Trouble';

export default function Write() {
  return (
    <Suspense fallback={null}>
      <WritePage />
    </Suspense>
  );
}
