import { lazy } from 'react';

const ConventionsPage = lazy(() => import('@/features/conventions/ConventionsPage'));

export default function Conventions() {
  return <ConventionsPage />;
}
