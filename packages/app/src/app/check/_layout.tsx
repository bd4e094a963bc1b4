import { lazy, Suspense } from 'react';

import { SideBySide } from '@/frame/SideBySide';

// Fetched when it is first opened: it is not part of the first screen.
const CheckPane = lazy(() => import('@/features/check/CheckPane'));

/** Where this place has failed; the others go on. */
export { PlaceTrouble as ErrorBoundary } from '@/frame/Trouble';

export default function CheckLayout() {
  return (
    <Suspense fallback={null}>
      <SideBySide list={<CheckPane />} home="/check" />
    </Suspense>
  );
}
