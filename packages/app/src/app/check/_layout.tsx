import { lazy, Suspense } from 'react';

import { SideBySide } from '@/frame/SideBySide';

// Fetched when it is first opened: it is not part of the first screen.
const CheckPane = lazy(() => import('@/features/check/CheckPane'));

export default function CheckLayout() {
  return (
    <Suspense fallback={null}>
      <SideBySide list={<CheckPane />} home="/check" />
    </Suspense>
  );
}
