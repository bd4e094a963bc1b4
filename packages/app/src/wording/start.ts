import { i18n } from '@lingui/core';

import { compileCached } from './compile';
import { chooseLocale, LANGUAGES, type ChosenLocale } from './locale';

/** Where the language chosen on this device is kept. */
const KEPT_UNDER = 'language';

i18n.setMessagesCompiler(compileCached);

/**
 * Chooses the language of the screens. English stands in the sources and is there right away; for another language the
 * promise is of its catalogue.
 */
export function startWording(): Promise<void> | null {
  const chosen = chooseLocale(globalThis.navigator?.languages ?? [], keptLanguage());
  if (chosen.language === LANGUAGES[0]) {
    speak(chosen, {});
    return null;
  }
  return fetchCatalogue(chosen);
}

async function fetchCatalogue(chosen: ChosenLocale): Promise<void> {
  try {
    const answer = await fetch(`/locales/${chosen.language}.json`);
    if (!answer.ok) throw new Error(String(answer.status));
    speak(chosen, (await answer.json()) as Catalogue);
  } catch {
    // Out of reach and not kept here: better English than nothing.
    speak({ ...chosen, language: LANGUAGES[0] }, {});
  }
}

type Catalogue = Parameters<typeof i18n.loadAndActivate>[0]['messages'];

/** From now on, sentences are of this language. */
export function speak({ language, locale }: ChosenLocale, catalogue: Catalogue): void {
  i18n.loadAndActivate({ locale: language, locales: [locale], messages: catalogue });
  if (typeof document !== 'undefined') document.documentElement.lang = language;
}

function keptLanguage(): string | null {
  try {
    return globalThis.localStorage?.getItem(KEPT_UNDER) ?? null;
  } catch {
    return null;
  }
}
