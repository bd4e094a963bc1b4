import { createEmptyHistoryState, registerHistory } from '@lexical/history';
import { registerPlainText } from '@lexical/plain-text';
import type { Segment } from '@yellow-latch/core/expansion/segment';
import {
  $getNearestNodeFromDOMNode,
  $getNodeByKey,
  $getRoot,
  $getSelection,
  $isRangeSelection,
  $setSelection,
  createEditor,
  type LexicalEditor,
  type NodeKey,
  type RangeSelection,
} from 'lexical';
import { useEffect, useId, useImperativeHandle, useRef, useState, type ReactNode, type Ref } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { FieldHead } from '@/look/Field';
import { FACES } from '@/look/fonts';
import { useLatest } from '@/look/useLatest';
import { usePalette } from '@/look/useLook';

import { $createChip, $isChip, ChipNode, type ChipSegment } from './chipNode';
import { $readSegments, $showSegments } from './templateText';

export interface TemplateFieldHandle {
  /** Typing goes on behind what was put in. */
  insert(segment: ChipSegment): void;
  insertText(text: string): void;
  /** Another in the place of a chip; null: it goes. */
  replace(key: string, segment: ChipSegment | null): void;
}

/** A chip in the text, and the key by which it is replaced. */
export interface PlacedChip {
  readonly key: string;
  readonly segment: ChipSegment;
}

interface TemplateFieldProps {
  label: string;
  /** What stands beside the label. */
  beside?: ReactNode;
  /** Whether typing goes on behind the first chip. */
  startsAfterChip?: boolean;
  segments: readonly Segment[];
  labelOf: (segment: ChipSegment) => string;
  error?: string;
  onChange: (segments: readonly Segment[]) => void;
  onChips: (chips: readonly PlacedChip[]) => void;
  onOpen: (chip: PlacedChip) => void;
  onSubmit: () => void;
  ref?: Ref<TemplateFieldHandle>;
}

/** A text with chips in it. It is not rewritten from state: it begins with its segments, and tells what becomes of them. */
export default function TemplateField({
  label,
  beside,
  startsAfterChip = false,
  segments,
  labelOf,
  error,
  ref,
  ...listener
}: TemplateFieldProps) {
  const palette = usePalette();
  const id = useId();
  const root = useRef<HTMLDivElement>(null);
  const [first] = useState({ segments, startsAfterChip });
  const latest = useLatest({ listener, labelOf });
  const editor = useRef<LexicalEditor | null>(null);
  const place = useRef<RangeSelection | null>(null);

  useEffect(() => {
    const made = createEditor({
      namespace: 'template',
      nodes: [ChipNode],
      onError: (problem) => {
        throw problem;
      },
    });
    editor.current = made;
    made.setRootElement(root.current);
    const stops = [
      registerPlainText(made),
      registerHistory(made, createEmptyHistoryState(), 300),
      made.registerUpdateListener(({ editorState, dirtyElements, dirtyLeaves }) => {
        // A sheet takes the focus, and with it the selection.
        const selection = editorState.read($getSelection);
        if ($isRangeSelection(selection)) place.current = selection.clone();
        if (dirtyElements.size === 0 && dirtyLeaves.size === 0) return;
        editorState.read(() => {
          const now = $readSegments();
          const chips = $getRoot()
            .getAllTextNodes()
            .filter($isChip)
            .map((node) => ({ key: node.getKey(), segment: node.segment }));
          latest.current.listener.onChips(chips);
          latest.current.listener.onChange(now);
        });
      }),
    ];
    const show = () => {
      $showSegments(first.segments, latest.current.labelOf);
    };
    made.update(show, { tag: 'history-merge' });
    if (first.startsAfterChip) goOn(made, () => $getRoot().getAllTextNodes().find($isChip)?.selectNext(0, 0));
    return () => {
      stops.forEach((stop) => stop());
      made.setRootElement(null);
    };
  }, [first, latest]);

  useImperativeHandle(ref, () => ({
    insert: (segment) => {
      let key: NodeKey;
      editor.current?.update(() => {
        const chip = $createChip(segment, latest.current.labelOf(segment));
        $placeAt(place.current).insertNodes([chip]);
        key = chip.getKey();
      });
      goOn(editor.current, () => $getNodeByKey(key)?.selectNext(0, 0));
    },
    insertText: (text) => {
      let after: RangeSelection | null = null;
      editor.current?.update(() => {
        const at = $placeAt(place.current);
        at.insertText(text);
        after = at.clone();
      });
      goOn(editor.current, () => $placeAt(after));
    },
    replace: (key, segment) =>
      editor.current?.update(() => {
        const node = $getNodeByKey(key);
        if (!$isChip(node)) return;
        if (segment === null) node.remove();
        else node.replace($createChip(segment, latest.current.labelOf(segment)));
      }),
  }));

  return (
    <View style={styles.field}>
      <FieldHead nativeID={`${id}-label`} label={label} beside={beside} />
      <div
        ref={root}
        contentEditable
        suppressContentEditableWarning
        role="textbox"
        aria-multiline
        aria-labelledby={`${id}-label`}
        aria-invalid={error !== undefined}
        className="template-field"
        onClick={(event) => {
          const element = (event.target as HTMLElement).closest('.chip');
          if (!element) return;
          editor.current?.read(() => {
            const node = $getNearestNodeFromDOMNode(element);
            if ($isChip(node)) latest.current.listener.onOpen({ key: node.getKey(), segment: node.segment });
          });
        }}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' || !(event.ctrlKey || event.metaKey)) return;
          event.preventDefault();
          latest.current.listener.onSubmit();
        }}
        style={
          {
            minHeight: 84,
            padding: 12,
            border: `1.5px solid ${error ? palette.alarm : palette.inkSoft}`,
            borderRadius: 6,
            fontFamily: FACES.text,
            fontSize: 17,
            lineHeight: '29px',
            whiteSpace: 'pre-wrap',
            overflowWrap: 'anywhere',
            color: palette.ink,
            backgroundColor: palette.surface,
            '--chip-ground': palette.ground,
            '--chip-line': palette.ink,
          } as React.CSSProperties
        }
      />
      {error && (
        <Text role="alert" variant="bodyMedium" style={{ color: palette.alarm }}>
          {error}
        </Text>
      )}
    </View>
  );
}

/** Where something goes in: where the cursor stood last, else at the end. It stands there then. */
function $placeAt(last: RangeSelection | null): RangeSelection {
  if (!last || !$getNodeByKey(last.anchor.key) || !$getNodeByKey(last.focus.key)) return $getRoot().selectEnd();
  const place = last.clone();
  $setSelection(place);
  return place;
}

/** Typing goes on in the text, when the sheet that asked has given the focus back; `$select` says where. */
function goOn(editor: LexicalEditor | null, $select: () => void): void {
  requestAnimationFrame(() => editor?.update($select, { tag: 'focus' }));
}

const styles = StyleSheet.create({ field: { gap: 4, paddingTop: 6 } });
