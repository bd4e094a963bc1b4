import { lazy } from 'react';

const FitTable = lazy(async () => ({ default: (await import('@/bundles/fit')).FitTable }));

export default function Route() {
  return <FitTable />;
}
