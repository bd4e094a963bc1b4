import type { ExpansionError, Loss, OpenBlank, TemplateProblem } from '@yellow-latch/core/expansion';
import type { Refusal } from '@yellow-latch/core/fit';

/** What is wrong with a template, in words that say what to do. */
export function tellTemplateProblem({ type, what, start }: TemplateProblem): string {
  switch (type) {
    case 'syntax':
      return `The text has a brace or a backslash at character ${start + 1} that opens nothing. Take it out, or put a backslash before it.`;
    case 'unknown-function':
      return `Nothing here is called ${what} (character ${start + 1}).`;
    case 'unknown-option':
      return `Nothing here knows the option ${what} (character ${start + 1}).`;
    case 'bad-option':
      return `${what} cannot be used so (character ${start + 1}).`;
    case 'unknown-letters':
      return what === "'"
        ? 'In the date a quote is opened and not closed.'
        : `${what} stands for nothing in a date. Put words in quotes: 'at'.`;
    case 'bad-duration':
      return `${what} is no length of time. Write it as ISO 8601 has it: P7D, P6M, PT2H.`;
    case 'choice-without-options':
      return `The choice ${what} has nothing to choose from.`;
    case 'different-blanks':
      return `The blank ${what} is there twice and differs. Give one of them another name.`;
    case 'several-carets':
      return 'The caret can go to one place only.';
    case 'too-many-blanks':
      return `It asks for ${what} blanks; a hundred are the most.`;
  }
}

/** Why an expansion could not be made. `path`: from the shortcut that fired to that in which it is. */
export function tellExpansionError(error: ExpansionError): string {
  const where = error.path.length > 1 ? ` (in ${error.path.join(', then ')})` : '';
  switch (error.type) {
    case 'template':
      return tellTemplateProblem(error.problem) + where;
    case 'missing':
      return `A shortcut inside it is gone${where}.`;
    case 'circle':
      return `It leads back to itself: ${error.path.join(', then ')}.`;
    case 'too-deep':
      return `Shortcuts stand too deep inside one another: ${error.path.slice(0, 4).join(', then ')} and so on.`;
    case 'date-out-of-range':
      return `Its date lies outside the years 1 to 9999${where}.`;
    case 'too-long':
      return `All together it is too long${where}.`;
  }
}

const GIVEN: Readonly<Record<string, string>> = {
  ' clipboard': 'From the clipboard',
  ' selection': 'The text to wrap',
};

/** What a blank is called when it is asked for. */
export function nameOfBlank({ name, label }: Pick<OpenBlank, 'name' | 'label'>): string {
  return GIVEN[name] ?? (label === '' ? name : label);
}

const LOSSES: Readonly<Record<Loss, string>> = {
  formatting: 'its formatting',
  lines: 'its lines',
  blanks: 'its blanks, which become gaps',
  caret: 'the place of the caret',
  given: 'what is on the clipboard',
};

/** What a device would lose of an expansion. */
export function tellLosses(lost: readonly Loss[]): string {
  if (lost.length === 0) return 'Nothing of it is lost there.';
  const parts = lost.map((loss) => LOSSES[loss]);
  return `Lost there: ${parts.length === 1 ? parts[0]! : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)!}`}.`;
}

/** Why a device cannot take a shortcut. */
export function tellRefusal(why: Refusal | 'date'): string {
  switch (why) {
    case 'date':
      return 'That device knows no dates that stay true: it would give the day on which it was taken over.';
    case 'too long':
      return 'Its text is longer than that device holds.';
    case 'space in code':
      return 'That device takes no code with a space in it.';
  }
}
