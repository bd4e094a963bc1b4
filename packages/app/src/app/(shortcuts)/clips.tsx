import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const ClipsPage = fetched(async () => ({
  default: (await import('@/bundles/adding')).ClipsPage,
}));

export default function Clips() {
  return (
    <Suspense fallback={null}>
      <ClipsPage />
    </Suspense>
  );
}
