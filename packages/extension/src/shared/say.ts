/** Sentences, from `_locales`: the browser chooses the language (WebExtensions, internationalisation). */

/** A sentence by its name. Throws for one that is not there. */
export function say(name: string, ...values: readonly string[]): string {
  const said = chrome.i18n.getMessage(name, [...values]);
  if (said === '') throw new Error(`no sentence is called ${name}`);
  return said;
}

/** A number as it is written there. */
export function sayCount(count: number): string {
  return count.toLocaleString(chrome.i18n.getUILanguage());
}

/** A clock time of today as it is written there. */
export function sayTime(moment: number): string {
  return new Date(moment).toLocaleTimeString(chrome.i18n.getUILanguage(), { hour: 'numeric', minute: '2-digit' });
}
