import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import type { ShortcutSet } from '@yellow-latch/core/model';
import { StyleSheet, View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';

import { counted } from '@/audit/sentences/words';
import { DetailPage } from '@/frame/DetailPage';
import { Icon } from '@/look/icons';
import { usePalette } from '@/look/useLook';
import { useList } from '@/replica/ReplicaProvider';
import { useDo } from '@/replica/useDo';

import { movingSet } from './ordering';

/** Before a finger that rests becomes a drag, in ms; it may tremble by so many px. */
const FINGER = { delay: 180, tolerance: 8 };

/** The sets, to be put in order: by drag, with the arrow keys, or by buttons. */
export default function SetsPage() {
  const doIt = useDo();
  const { sets, shortcuts } = useList();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: FINGER }), useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }));
  const move = (moved: ShortcutSet, target: ShortcutSet | undefined) => {
    const doing = target && movingSet(moved, target, sets);
    if (doing) void doIt(doing, `${moved.name} is moved.`);
  };
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const moved = sets.find(({ id }) => id === active.id);
    if (moved && over) move(moved, sets.find(({ id }) => id === over.id));
  };
  return (
    <DetailPage title="Sets" about="sets" back={{ label: 'Back to the list', href: '/' }}>
        <Text variant="bodyMedium">{sets.length === 0 ? 'There is no set yet. Make one when you save a shortcut.' : 'Their order here is their order in the list, on every device.'}</Text>
        <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
          <SortableContext items={sets.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
            {sets.map((set, index) => (
              <SetRow
                key={set.id}
                set={set}
                count={shortcuts.filter(({ setId }) => setId === set.id).length}
                onUp={index > 0 ? () => move(set, sets[index - 1]) : null}
                onDown={index < sets.length - 1 ? () => move(set, sets[index + 1]) : null}
              />
            ))}
          </SortableContext>
        </DndContext>
    </DetailPage>
  );
}

interface SetRowProps {
  set: ShortcutSet;
  count: number;
  onUp: (() => void) | null;
  onDown: (() => void) | null;
}

function SetRow({ set, count, onUp, onDown }: SetRowProps) {
  const palette = usePalette();
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: set.id });
  return (
    <div ref={setNodeRef} style={{ transform: CSS.Transform.toString(transform), transition, zIndex: isDragging ? 1 : 0, position: 'relative' }}>
      <View style={[styles.row, { borderColor: isDragging ? palette.ink : palette.line, backgroundColor: palette.surface }]}>
        <div {...attributes} {...listeners} aria-label={`Move ${set.name}`} style={{ display: 'flex', alignItems: 'center', gap: 12, minHeight: 48, flex: 1, minWidth: 0, cursor: 'grab', touchAction: 'none', color: palette.ink }}>
          <Icon name="move" size={18} color={palette.inkSoft} />
          <Icon name={set.icon} size={20} color={palette.ink} />
          <View style={styles.words}>
            <Text variant="bodyLarge" numberOfLines={1}>
              {set.name}
            </Text>
            <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
              {counted(count, 'shortcut')}
            </Text>
          </View>
        </div>
        <IconButton icon="chevron-up" size={20} style={styles.button} disabled={onUp === null} accessibilityLabel={`Move ${set.name} up`} onPress={() => onUp?.()} />
        <IconButton icon="chevron-down" size={20} style={styles.button} disabled={onDown === null} accessibilityLabel={`Move ${set.name} down`} onPress={() => onDown?.()} />
      </View>
    </div>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', borderWidth: 1.5, borderRadius: 8, paddingLeft: 12 },
  words: { flex: 1, minWidth: 0, paddingVertical: 6 },
  button: { width: 48, height: 48, margin: 0 },
});
