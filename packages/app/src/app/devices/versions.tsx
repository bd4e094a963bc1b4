import { lazy } from 'react';

const VersionsPage = lazy(async () => ({ default: (await import('@/features/devices')).VersionsPage }));

export default function Route() {
  return <VersionsPage />;
}
