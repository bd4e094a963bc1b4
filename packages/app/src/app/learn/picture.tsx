import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const PicturePage = fetched(async () => ({ default: (await import('@/bundles/write')).PicturePage }));

/** Where this place has failed; the others go on. */
export { PlaceTrouble as ErrorBoundary } from '@/frame/Trouble';

export default function Picture() {
  return (
    <Suspense fallback={null}>
      <PicturePage />
    </Suspense>
  );
}
