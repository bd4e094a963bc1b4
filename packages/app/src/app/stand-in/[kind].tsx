import { fetched } from '@/frame/fetched';
import { Suspense } from 'react';

const StandInPage = fetched(async () => ({ default: (await import('@/bundles/write')).StandInPage }));

export default function StandInRoute() {
  return (
    <Suspense fallback={null}>
      <StandInPage />
    </Suspense>
  );
}
