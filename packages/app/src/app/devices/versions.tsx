import { lazy } from 'react';

const VersionsPage = lazy(async () => ({ default: (await import('@/bundles/devices')).VersionsPage }));

export default function Route() {
  return <VersionsPage />;
}
