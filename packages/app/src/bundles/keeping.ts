// What takes a list in and out is fetched together, when the first of it is opened.
export { ExportPage } from '@/features/export/ExportPage';
export { ImportPage } from '@/features/import/ImportPage';
export { SheetPage } from '@/features/sheet/SheetPage';
