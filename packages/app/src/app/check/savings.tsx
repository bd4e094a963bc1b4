import { lazy } from 'react';

const SavingsPage = lazy(() => import('@/features/savings/SavingsPage'));

export default function Savings() {
  return <SavingsPage />;
}
