import { lazy } from 'react';

const SettingsPage = lazy(() => import('@/features/settings/SettingsPage'));

export default function Route() {
  return <SettingsPage />;
}
