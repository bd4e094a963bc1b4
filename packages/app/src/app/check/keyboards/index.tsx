import { lazy } from 'react';

const KeyboardsPage = lazy(async () => ({ default: (await import('@/bundles/keyboards')).KeyboardsPage }));

export default function Keyboards() {
  return <KeyboardsPage />;
}
