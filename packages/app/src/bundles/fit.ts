/** What fits on a device, and the list carried over to it. */
export { CarryPage } from '@/features/carry/CarryPage';
export { FitPage } from '@/features/fit/FitPage';
export { FitTable } from '@/features/fit/FitTable';
