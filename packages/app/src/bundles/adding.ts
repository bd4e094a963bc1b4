/** What adds many shortcuts at once: symbols, people, corrections, clips. */
export { ClipsPage } from '@/features/clips/ClipsPage';
export { CorrectionsPage } from '@/features/corrections/CorrectionsPage';
export { PeoplePage } from '@/features/people/PeoplePage';
export { SymbolsPage } from '@/features/symbols/SymbolsPage';
export { SymbolPicker } from '@/parts/symbols/SymbolPicker';
