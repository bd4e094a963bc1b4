import { lazy } from 'react';

const KeyboardsPage = lazy(() => import('@/features/keyboards/KeyboardsPage'));

export default function Keyboards() {
  return <KeyboardsPage />;
}
