import { lazy } from 'react';

const PlanPage = lazy(() => import('@/features/plan/PlanPage'));

export default function Plan() {
  return <PlanPage />;
}
