/** Sentences, from `_locales`: the browser chooses the language (WebExtensions, internationalisation). */
import english from '../../_locales/en/messages.json';

type Sentence = { readonly message: string; readonly placeholders?: Readonly<Record<string, { content: string }>> };

/** A sentence by its name. Throws for one that is not there. */
export function say(name: string, ...values: readonly string[]): string {
  // A browser that is busy starting may have no sentences yet, and says nothing.
  return chrome.i18n.getMessage(name, [...values]) || inEnglish(name, values);
}

function inEnglish(name: string, values: readonly string[]): string {
  const sentence = (english as Readonly<Record<string, Sentence | undefined>>)[name];
  if (!sentence) throw new Error(`no sentence is called ${name}`);
  return sentence.message.replaceAll(/\$(\w+)\$/gu, (_whole, placeholder: string) => {
    const { content } = sentence.placeholders![placeholder]!;
    return values[Number(content.slice(1)) - 1] ?? '';
  });
}

/** A number as it is written there. */
export function sayCount(count: number): string {
  return count.toLocaleString(chrome.i18n.getUILanguage());
}

/** A clock time of today as it is written there. */
export function sayTime(moment: number): string {
  return new Date(moment).toLocaleTimeString(chrome.i18n.getUILanguage(), { hour: 'numeric', minute: '2-digit' });
}
