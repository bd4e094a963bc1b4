import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const SymbolsPage = fetched(async () => ({
  default: (await import('@/bundles/adding')).SymbolsPage,
}));

export default function Symbols() {
  return (
    <Suspense fallback={null}>
      <SymbolsPage />
    </Suspense>
  );
}
