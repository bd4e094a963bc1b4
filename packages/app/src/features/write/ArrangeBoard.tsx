import { t } from '@lingui/core/macro';
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { rectSortingStrategy, SortableContext, sortableKeyboardCoordinates, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { shownText, type Shortcut } from '@yellow-latch/core/model';
import { ScrollView, StyleSheet, View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';

import { MASK } from '@/answers/audit/sentences/mask';
import { CodePlate } from '@/look/CodePlate';
import { Icon } from '@/look/icons';
import { dragWords } from '@/parts/dragWords';
import { usePalette } from '@/look/useLook';
import { useCommand } from '@/frame/replica/useCommand';

import { movingTo, pinning } from '@yellow-latch/replica/commands/tapBoard';

/** Before a finger that rests becomes a drag, in ms; a mouse drags after so many px. */
const FINGER = { delay: 180, tolerance: 8 };

interface ArrangeBoardProps {
  shortcuts: readonly Shortcut[];
  /** All on the board, of which `shortcuts` may be those of one set. */
  all: readonly Shortcut[];
}

/** The keys of the board to be put in order: by drag, with the arrow keys, or by buttons; or taken off. */
export function ArrangeBoard({ shortcuts, all }: ArrangeBoardProps) {
  const run = useCommand();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: FINGER }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const move = (moved: Shortcut, target: Shortcut | undefined) => {
    const command = target && movingTo(moved, target, all);
    if (command) void run(command, t`Moved “${{ code: moved.code }}”.`);
  };
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const moved = shortcuts.find(({ id }) => id === active.id);
    if (moved && over)
      move(
        moved,
        shortcuts.find(({ id }) => id === over.id),
      );
  };
  return (
    <ScrollView style={styles.scroll} contentContainerStyle={styles.keys}>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={onDragEnd}
        accessibility={dragWords(new Map(shortcuts.map(({ id, code }) => [id, code])))}
      >
        <SortableContext items={shortcuts.map(({ id }) => id)} strategy={rectSortingStrategy}>
          {shortcuts.map((shortcut, index) => (
            <ArrangedKey
              key={shortcut.id}
              shortcut={shortcut}
              onEarlier={index > 0 ? () => move(shortcut, shortcuts[index - 1]) : null}
              onLater={index < shortcuts.length - 1 ? () => move(shortcut, shortcuts[index + 1]) : null}
              onTakeOff={() => void run(pinning(shortcut, all), t`Took “${{ code: shortcut.code }}” off the board.`)}
            />
          ))}
        </SortableContext>
      </DndContext>
    </ScrollView>
  );
}

interface ArrangedKeyProps {
  shortcut: Shortcut;
  onEarlier: (() => void) | null;
  onLater: (() => void) | null;
  onTakeOff: () => void;
}

function ArrangedKey({ shortcut, onEarlier, onLater, onTakeOff }: ArrangedKeyProps) {
  const palette = usePalette();
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: shortcut.id });
  return (
    <div
      ref={setNodeRef}
      style={{
        flex: '1 1 150px',
        minWidth: 0,
        maxWidth: 260,
        transform: CSS.Transform.toString(transform),
        transition,
        zIndex: isDragging ? 1 : 0,
        position: 'relative',
      }}
    >
      <View
        style={[
          styles.key,
          { borderColor: isDragging ? palette.ink : palette.inkSoft, backgroundColor: palette.surface },
        ]}
      >
        <div
          {...attributes}
          {...listeners}
          aria-label={t`Move ${{ code: shortcut.code }}`}
          style={{
            display: 'flex',
            alignItems: 'center',
            gap: 6,
            height: 40,
            padding: '0 8px',
            cursor: 'grab',
            touchAction: 'none',
            color: palette.ink,
          }}
        >
          <View style={styles.plate}>
            <Icon name="move" size={18} color={palette.inkSoft} />
          </View>
          <View style={styles.plate}>
            <CodePlate code={shortcut.code} />
          </View>
          <Text numberOfLines={1} style={styles.text}>
            {shortcut.private ? MASK : shownText(shortcut)}
          </Text>
        </div>
        <View style={styles.buttons}>
          <KeyButton icon="chevron-left" label={t`Move ${{ code: shortcut.code }} earlier`} onPress={onEarlier} />
          <KeyButton icon="chevron-right" label={t`Move ${{ code: shortcut.code }} later`} onPress={onLater} />
          <KeyButton icon="close" label={t`Take ${{ code: shortcut.code }} off the board`} onPress={onTakeOff} />
        </View>
      </View>
    </div>
  );
}

function KeyButton({ icon, label, onPress }: { icon: string; label: string; onPress: (() => void) | null }) {
  return (
    <IconButton
      icon={icon}
      size={20}
      style={styles.button}
      accessibilityLabel={label}
      disabled={onPress === null}
      onPress={() => onPress?.()}
    />
  );
}

const styles = StyleSheet.create({
  scroll: { flex: 1 },
  keys: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, padding: 8 },
  key: { borderWidth: 1.5, borderRadius: 8 },
  plate: { flexShrink: 0 },
  text: { flexShrink: 1, fontSize: 14 },
  buttons: { flexDirection: 'row', justifyContent: 'space-between' },
  button: { width: 48, height: 48, margin: 0 },
});
