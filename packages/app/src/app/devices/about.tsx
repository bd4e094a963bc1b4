import { lazy } from 'react';

const AboutPage = lazy(() => import('@/features/settings/AboutPage'));

export default function Route() {
  return <AboutPage />;
}
