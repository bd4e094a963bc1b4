import { t } from '@lingui/core/macro';
import {
  checkCode,
  checkExpansion,
  cleanEnd,
  isLineTooLong,
  LIMITS,
  shownText,
  inUseBy,
  trimCode,
  withUnixNewlines,
  type AskedRules,
  type Content,
  type Kind,
  type Shortcut,
} from '@yellow-latch/core/model';
import type { FieldErrors, Resolver } from 'react-hook-form';

import { loadExpansion } from '@/answers/expansion/context';
import { tellTemplateProblem } from '@/answers/expansion/words';

import { tellProblem, tellTooLong, tellInUse } from '@/parts/kinds';

/** The set chosen in the form: one of the list, none, or one that saving makes. */
export const NEW_SET = 'new';

export interface FormValues {
  expansion: string;
  code: string;
  kind: Kind;
  setId: string | null;
  /** The name of the set that saving makes, where `setId` is NEW_SET. */
  newSet: string;
  /** Whether `expansion` is the source of a template, and how it is set. */
  template: boolean;
  format: Content['format'];
  /** How it fires and where it may stand, if it asks for that itself. */
  fires: NonNullable<AskedRules['fires']> | null;
  edge: NonNullable<AskedRules['edge']> | null;
  /** How often it is said to be used in a week. */
  usesAWeek: number | null;
  /** What its owner wants to remember of it. */
  note: string;
  /** The language it is written in; null: any. */
  language: string | null;
  /** Of a block of tags: the most that are wanted; null: any number. */
  tagLimit: number | null;
  /** Whether it stays on this device. */
  isPrivate: boolean;
  /** Whether blanks and newlines at the end were put back, and so are meant. */
  keepsEnd: boolean;
}

export function formValuesOf(shortcut: Shortcut | null): FormValues {
  return {
    expansion: shortcut?.content.expansion ?? '',
    template: shortcut?.content.template ?? false,
    format: shortcut?.content.format ?? 'plain',
    code: shortcut?.code ?? '',
    kind: shortcut?.kind ?? 'message',
    setId: shortcut?.setId ?? null,
    newSet: '',
    fires: shortcut?.rules.fires ?? null,
    edge: shortcut?.rules.edge ?? null,
    usesAWeek: shortcut?.usesAWeek ?? null,
    note: shortcut?.note ?? '',
    language: shortcut?.language ?? null,
    tagLimit: shortcut?.tagLimit ?? null,
    isPrivate: shortcut?.private ?? false,
    keepsEnd: false,
  };
}

export function newFormValues(expansion = ''): FormValues {
  return { ...formValuesOf(null), expansion };
}

/** The rules that the form asks for, with what else the shortcut asked for before. */
export function rulesOf({ fires, edge }: Pick<FormValues, 'fires' | 'edge'>, saved: AskedRules = {}): AskedRules {
  const { fires: _fires, edge: _edge, ...rest } = saved;
  return { ...rest, ...(fires ? { fires } : {}), ...(edge ? { edge } : {}) };
}

/** What is kept of the form: line breaks as LF, no white space around the code. */
export function tidy(values: FormValues): FormValues {
  const expansion = withUnixNewlines(values.expansion);
  return {
    ...values,
    // The end of a template is where its source says.
    expansion: values.keepsEnd || values.template ? expansion : cleanEnd(expansion).text,
    code: trimCode(values.code),
    newSet: values.newSet.trim(),
    note: values.note.trim(),
  };
}

/** Checks a form against the model and the list. A code that was there before may stay as it is. */
export function makeResolver(shortcuts: readonly Shortcut[], saved: Shortcut | null): Resolver<FormValues> {
  return async (values) => {
    const { expansion, template, code, setId, newSet, note } = tidy(values);
    const errors: FieldErrors<FormValues> = {};
    const inExpansion = checkExpansion(expansion);
    if (inExpansion) {
      errors.expansion = { type: inExpansion.type, message: tellProblem('expansion', inExpansion) };
    }
    if (template && !errors.expansion) {
      const problem = await problemOfTemplate(expansion);
      if (problem) errors.expansion = { type: problem.type, message: tellTemplateProblem(problem) };
    }
    const inCode = checkCode(code);
    if (inCode) {
      errors.code = { type: inCode.type, message: tellProblem('code', inCode) };
    } else if (code !== saved?.code) {
      const other = inUseBy(code, shortcuts, saved?.id ?? null);
      if (other) {
        errors.code = { type: 'in-use', message: tellInUse(other.code, shownText(other)) };
      }
    }
    if (setId === NEW_SET && newSet === '') {
      errors.newSet = { type: 'empty', message: t`Give the new set a name.` };
    } else if (setId === NEW_SET && isLineTooLong(newSet, LIMITS.setNameClusters)) {
      errors.newSet = {
        type: 'too-many-clusters',
        message: tellTooLong(LIMITS.setNameClusters),
      };
    }
    if (isLineTooLong(note, LIMITS.noteClusters))
      errors.note = {
        type: 'too-many-clusters',
        message: tellTooLong(LIMITS.noteClusters),
      };
    return Object.keys(errors).length > 0 ? { values: {}, errors } : { values, errors: {} };
  };
}

async function problemOfTemplate(source: string) {
  const { parseTemplate } = await loadExpansion();
  const parsed = parseTemplate(source);
  return parsed.type === 'problems' ? parsed.problems[0]! : null;
}
