/** What adds many shortcuts at once: symbols, people, corrections, clips, phrases found in messages. */
export { ClipsPage } from '@/features/clips/ClipsPage';
export { CorrectionsPage } from '@/features/corrections/CorrectionsPage';
export { PhrasesPage } from '@/features/phrases/PhrasesPage';
export { PeoplePage } from '@/features/people/PeoplePage';
export { SymbolsPage } from '@/features/symbols/SymbolsPage';
export { SymbolPicker } from '@/parts/symbols/SymbolPicker';
