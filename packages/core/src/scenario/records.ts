import { generateNKeysBetween } from 'fractional-indexing';

import { LIST_RECORD_ID, RECORD_TYPES, type ListFields, type SetFields, type ShortcutFields } from '../model';
import { DEMO_BOARD, DEMO_SETS, DEMO_USES, type DemoSet } from './scenario';

/** A record of the scenario, as a list is given it. */
export type ScenarioRecord =
  | { readonly type: 'set'; readonly id: string; readonly fields: SetFields }
  | { readonly type: 'shortcut'; readonly id: string; readonly fields: ShortcutFields }
  | { readonly type: 'list'; readonly id: string; readonly fields: ListFields };

/** The scenario's sets, shortcuts and choices for the list, in their order. `newId`: makes ids, each greater than the last. */
export function scenarioRecords(newId: () => string, sets: readonly DemoSet[] = DEMO_SETS): ScenarioRecord[] {
  const orders = generateNKeysBetween(null, null, sets.length);
  const pins = generateNKeysBetween(null, null, DEMO_BOARD.length);
  const ids = new Map(sets.flatMap(({ shortcuts }) => shortcuts.map(([code]) => [code, newId()] as const)));
  const withIds = (expansion: string) =>
    expansion.replaceAll(/code=\|([^|]+)\|/gu, (_, code: string) => `id=|${ids.get(code)!}|`);
  const list: ListFields = { languages: ['en'], devices: ['app'], keyboards: [], hasDevices: true };
  return [
    ...sets.flatMap(({ name, icon, shortcuts }, index): ScenarioRecord[] => {
      const setId = newId();
      return [
        { type: 'set', id: setId, fields: { name, icon, order: orders[index]! } },
        ...shortcuts.map(([code, expansion, kind, shape]): ScenarioRecord => ({
          type: 'shortcut',
          id: ids.get(code)!,
          fields: {
            ...RECORD_TYPES.shortcut.defaults,
            code,
            content: {
              expansion: shape === 'template' ? withIds(expansion) : expansion,
              template: shape === 'template',
              format: shape === 'markdown' ? 'markdown' : 'plain',
            },
            kind: kind ?? 'message',
            setId,
            usesAWeek: DEMO_USES[code] ?? null,
            pinned: pins[DEMO_BOARD.indexOf(code)] ?? null,
          },
        })),
      ];
    }),
    { type: 'list', id: LIST_RECORD_ID, fields: list },
  ];
}
