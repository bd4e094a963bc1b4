import type { LanguageCode } from './languages';

/**
 * Words that stand alike in sentences, in small letters: what people greet and answer with, and the days and months. A word that books hardly
 * have (`ok`, `wed`) is taken to stand as the others of its class. Common practice, no source.
 */
export const WORD_CLASSES: Readonly<
  Record<LanguageCode, { readonly answers: readonly string[]; readonly days: readonly string[] }>
> = {
  en: {
    answers: words(
      'yes no ok okay oh well thanks please hi hey hello bye sorry sure yeah yep nope right great good fine cheers indeed welcome congrats',
    ),
    days: words(`monday tuesday wednesday thursday friday saturday sunday january february march april june july august september october november december
      mon tue tues wed thu thur thurs fri sat sun jan feb mar apr jun jul aug sep sept oct nov dec today tomorrow yesterday tonight`),
  },
  de: {
    answers: words(
      'ja nein ok okay ach danke bitte hallo hi tschüss ciao sorry klar gut prima genau doch nee jo super schön leider willkommen gern gerne',
    ),
    days: words(`montag dienstag mittwoch donnerstag freitag samstag sonntag sonnabend januar februar märz april mai juni juli august september oktober november dezember
      mo di mi do fr sa so jan feb mär apr jun jul aug sep okt nov dez heute morgen gestern`),
  },
  fr: {
    answers: words(
      'oui non ok ah oh merci bonjour salut bonsoir pardon désolé désolée voilà bien parfait super bravo bienvenue ouais coucou enfin',
    ),
    days: words(`lundi mardi mercredi jeudi vendredi samedi dimanche janvier février mars avril mai juin juillet août septembre octobre novembre décembre
      lun mar mer jeu ven sam dim janv févr avr juil sept oct nov déc demain hier`),
  },
  es: {
    answers: words(
      'sí no ok ah oh gracias hola adiós perdón vale claro bueno bien perfecto genial bienvenido bienvenida chao vaya',
    ),
    days: words(`lunes martes miércoles jueves viernes sábado domingo enero febrero marzo abril mayo junio julio agosto septiembre octubre noviembre diciembre
      lun mar mié jue vie sáb dom ene feb abr jun jul ago sep oct nov dic hoy mañana ayer`),
  },
};

function words(text: string): string[] {
  return text.trim().split(/\s+/u);
}
