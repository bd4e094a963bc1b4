import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const CorrectionsPage = fetched(async () => ({
  default: (await import('@/bundles/adding')).CorrectionsPage,
}));

export default function Corrections() {
  return (
    <Suspense fallback={null}>
      <CorrectionsPage />
    </Suspense>
  );
}
