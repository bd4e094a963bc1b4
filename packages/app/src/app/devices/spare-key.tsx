import { lazy } from 'react';

const SpareKeyPage = lazy(async () => ({ default: (await import('@/bundles/devices')).SpareKeyPage }));

export default function Route() {
  return <SpareKeyPage />;
}
