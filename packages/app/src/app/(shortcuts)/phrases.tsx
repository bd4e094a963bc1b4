import { Suspense } from 'react';

import { fetched } from '@/frame/fetched';

const PhrasesPage = fetched(async () => ({
  default: (await import('@/bundles/adding')).PhrasesPage,
}));

export default function Phrases() {
  return (
    <Suspense fallback={null}>
      <PhrasesPage />
    </Suspense>
  );
}
