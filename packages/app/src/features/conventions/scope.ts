import { t } from '@lingui/core/macro';
import { KINDS, type Kind, type Scope, type Shortcut, type ShortcutSet } from '@yellow-latch/core/model';

import type { ChoiceOption } from '@/look/ChoiceSheet';
import { kindName } from '@/parts/kinds';

/** A scope as it stands in addresses and choices. */
export function scopeName(scope: Scope): string {
  if (scope.of === 'list') return 'list';
  return scope.of === 'set' ? `set ${scope.setId}` : `kind ${scope.kind}`;
}

/** The scope of a name; what is not known is the whole list. */
export function scopeOf(name: string): Scope {
  const [of, ...rest] = name.split(' ');
  const value = rest.join(' ');
  if (of === 'set' && value !== '') return { of, setId: value };
  if (of === 'kind' && KINDS.includes(value as Kind)) return { of, kind: value as Kind };
  return { of: 'list' };
}

/** What may be chosen: the list, its sets, and the kinds that it has. */
export function scopeChoices(sets: readonly ShortcutSet[], shortcuts: readonly Shortcut[]): ChoiceOption<string>[] {
  const kinds = KINDS.filter((kind) => shortcuts.some((shortcut) => shortcut.kind === kind));
  return [
    { value: 'list', label: t`The whole list` },
    ...sets.map(({ id, name }) => ({ value: `set ${id}`, label: t`Set: ${name}` })),
    ...kinds.map((kind) => ({ value: `kind ${kind}`, label: ofKind(kind) })),
  ];
}

function ofKind(kind: Kind): string {
  const name = kindName(kind);
  return t`Kind: ${name}`;
}

export function tellScope(scope: Scope, sets: readonly ShortcutSet[]): string {
  if (scope.of === 'list') return t`The whole list`;
  if (scope.of === 'kind') return ofKind(scope.kind);
  const name = sets.find(({ id }) => id === scope.setId)?.name;
  return name === undefined ? t`A set that was deleted` : t`Set: ${name}`;
}
