import { lazy } from 'react';

const KeyboardsPage = lazy(async () => ({ default: (await import('@/features/keyboards')).KeyboardsPage }));

export default function Keyboards() {
  return <KeyboardsPage />;
}
