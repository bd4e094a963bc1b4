import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';
import { SideBySide } from '@/frame/SideBySide';

const DevicesPane = fetched(async () => ({ default: (await import('@/bundles/devices')).DevicesPane }));

/** Where this place has failed; the others go on. */
export { PlaceTrouble as ErrorBoundary } from '@/frame/Trouble';

export default function DevicesLayout() {
  return (
    <Suspense fallback={null}>
      <SideBySide list={<DevicesPane />} home="/devices" />
    </Suspense>
  );
}
