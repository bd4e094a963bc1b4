/** Where the build has put what it made of a language, or of look-alikes. */
export function languageFile(name: string): string {
  return new URL(`../../app/public/language/${name}.json`, import.meta.url).pathname;
}
