/** Learning codes: what to practise, the practice itself, how it goes, and codes to take along. */
export { LearnPage } from '@/features/learn/LearnPage';
export { PicturePage } from '@/features/learn/PicturePage';
export { PracticePage } from '@/features/learn/PracticePage';
export { ProgressPage } from '@/features/learn/ProgressPage';
