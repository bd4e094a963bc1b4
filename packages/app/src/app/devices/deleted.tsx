import { lazy } from 'react';

const HistoryPage = lazy(async () => ({ default: (await import('@/bundles/devices')).HistoryPage }));

export default function Route() {
  return <HistoryPage key="deleted" isDeletedOnly />;
}
