import { plural, t } from '@lingui/core/macro';
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { isLineTooLong, LIMITS, type ShortcutSet } from '@yellow-latch/core/model';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';

import { DetailPage } from '@/frame/DetailPage';
import { Field } from '@/look/Field';
import { Icon } from '@/look/icons';
import { LatchButton } from '@/look/LatchButton';
import { dragWords } from '@/parts/dragWords';
import { usePalette } from '@/look/useLook';
import { useList, useMay } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';
import { tellTooLong } from '@/parts/kinds';

import { makingSet } from '@yellow-latch/replica/commands/makingSet';
import { movingSet } from '@yellow-latch/replica/commands/sets';
import { SetSheet } from './SetSheet';

/** Before a finger that rests becomes a drag, in ms; it may tremble by so many px. */
const FINGER = { delay: 180, tolerance: 8 };

/** The sets: made here, put in order by drag, with the arrow keys, or by buttons; what else is done to one is in its sheet. */
export default function SetsPage() {
  const run = useCommand();
  const { sets, shortcuts } = useList();
  const canEdit = useMay() === 'edit';
  const [asked, setAsked] = useState<string | null>(null);
  const [name, setName] = useState('');
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: FINGER }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const move = (moved: ShortcutSet, target: ShortcutSet | undefined) => {
    const command = target && movingSet(moved, target, sets);
    if (command) void run(command, t`Moved ${{ name: moved.name }}.`);
  };
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const moved = sets.find(({ id }) => id === active.id);
    if (moved && over)
      move(
        moved,
        sets.find(({ id }) => id === over.id),
      );
  };
  const make = () => {
    const wanted = name.trim();
    if (wanted === '' || isLineTooLong(wanted, LIMITS.setNameClusters)) return;
    void run(makingSet(wanted, sets), t`Added the set ${wanted}.`).then(
      () => setName(''),
      () => {},
    );
  };
  const open = sets.find(({ id }) => id === asked);
  return (
    <DetailPage title={t`Sets`} about="sets" back={{ label: t`Back to the list`, href: '/' }}>
      <Text variant="bodyMedium">{sets.length === 0 ? t`No sets yet.` : t`Your list shows them in this order.`}</Text>
      {canEdit && (
        <View style={styles.make}>
          <View style={styles.words}>
            <Field
              label={t`New set`}
              value={name}
              onChangeText={setName}
              onBlur={() => {}}
              onSubmit={make}
              error={isLineTooLong(name, LIMITS.setNameClusters) ? tellTooLong(LIMITS.setNameClusters) : undefined}
            />
          </View>
          {name.trim() !== '' && <LatchButton label={t`Add`} icon="plus" onPress={make} />}
        </View>
      )}
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={onDragEnd}
        accessibility={dragWords(new Map(sets.map((set) => [set.id, set.name])))}
      >
        <SortableContext items={sets.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
          {sets.map((set, index) => (
            <SetRow
              key={set.id}
              set={set}
              count={shortcuts.filter(({ setId }) => setId === set.id).length}
              onUp={index > 0 ? () => move(set, sets[index - 1]) : null}
              onDown={index < sets.length - 1 ? () => move(set, sets[index + 1]) : null}
              onMore={() => setAsked(set.id)}
            />
          ))}
        </SortableContext>
      </DndContext>
      {open && <SetSheet key={open.id} set={open} onClose={() => setAsked(null)} />}
    </DetailPage>
  );
}

interface SetRowProps {
  set: ShortcutSet;
  count: number;
  onUp: (() => void) | null;
  onDown: (() => void) | null;
  onMore: () => void;
}

function SetRow({ set, count, onUp, onDown, onMore }: SetRowProps) {
  const palette = usePalette();
  const held = plural(count, { one: '# shortcut', other: '# shortcuts' });
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: set.id });
  return (
    <div
      ref={setNodeRef}
      style={{
        transform: CSS.Transform.toString(transform),
        transition,
        zIndex: isDragging ? 1 : 0,
        position: 'relative',
      }}
    >
      <View
        style={[styles.row, { borderColor: isDragging ? palette.ink : palette.line, backgroundColor: palette.surface }]}
      >
        <div
          {...attributes}
          {...listeners}
          aria-label={t`Move ${{ name: set.name }}, ${{ shortcuts: held }}`}
          style={{
            display: 'flex',
            alignItems: 'center',
            gap: 12,
            minHeight: 48,
            flex: 1,
            minWidth: 0,
            cursor: 'grab',
            touchAction: 'none',
            color: palette.ink,
          }}
        >
          <Icon name="move" size={18} color={palette.inkSoft} />
          <Icon name={set.icon} size={20} color={palette.ink} />
          <View style={styles.words}>
            <Text variant="bodyLarge" numberOfLines={1}>
              {set.name}
            </Text>
            <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
              {held}
            </Text>
          </View>
        </div>
        <IconButton
          icon="chevron-up"
          size={20}
          style={styles.button}
          disabled={onUp === null}
          accessibilityLabel={t`Move ${{ name: set.name }} up`}
          onPress={() => onUp?.()}
        />
        <IconButton
          icon="chevron-down"
          size={20}
          style={styles.button}
          disabled={onDown === null}
          accessibilityLabel={t`Move ${{ name: set.name }} down`}
          onPress={() => onDown?.()}
        />
        <IconButton
          icon="more"
          size={20}
          style={styles.button}
          accessibilityLabel={t`More about ${{ name: set.name }}`}
          onPress={onMore}
        />
      </View>
    </div>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', borderWidth: 1.5, borderRadius: 8, paddingLeft: 12 },
  words: { flex: 1, minWidth: 0, paddingVertical: 6 },
  make: { flexDirection: 'row', alignItems: 'flex-end', gap: 8 },
  button: { width: 48, height: 48, margin: 0 },
});
