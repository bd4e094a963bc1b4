// What takes a list in and out is fetched together, when the first of it is opened.
export { ExportPage } from '../export/ExportPage';
export { ImportPage } from '../import/ImportPage';
export { SheetPage } from '../sheet/SheetPage';
