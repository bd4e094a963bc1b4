import { lazy } from 'react';

const AddDevicePage = lazy(async () => ({ default: (await import('@/bundles/devices')).AddDevicePage }));

export default function Route() {
  return <AddDevicePage />;
}
