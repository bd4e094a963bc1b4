import { lazy } from 'react';

const SpareKeyPage = lazy(async () => ({ default: (await import('@/features/devices')).SpareKeyPage }));

export default function Route() {
  return <SpareKeyPage />;
}
