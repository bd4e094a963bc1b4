import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const PeoplePage = fetched(async () => ({
  default: (await import('@/bundles/adding')).PeoplePage,
}));

export default function People() {
  return (
    <Suspense fallback={null}>
      <PeoplePage />
    </Suspense>
  );
}
