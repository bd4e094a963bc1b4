import { lazy } from 'react';

const OwnTextPage = lazy(() => import('@/features/own-text/OwnTextPage'));

export default function OwnText() {
  return <OwnTextPage />;
}
