import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const ExportPage = fetched(async () => ({
  default: (await import('@/bundles/keeping')).ExportPage,
}));

export default function Export() {
  return (
    <Suspense fallback={null}>
      <ExportPage />
    </Suspense>
  );
}
