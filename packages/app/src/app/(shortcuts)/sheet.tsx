import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const SheetPage = fetched(async () => ({ default: (await import('@/bundles/keeping')).SheetPage }));

export default function Sheet() {
  return (
    <Suspense fallback={null}>
      <SheetPage />
    </Suspense>
  );
}
