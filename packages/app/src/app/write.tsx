import { lazy, Suspense } from 'react';

const WritePage = lazy(async () => ({ default: (await import('@/features/write')).WritePage }));

export default function Write() {
  return (
    <Suspense fallback={null}>
      <WritePage />
    </Suspense>
  );
}
