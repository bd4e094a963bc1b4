/**
 * Pages with fields that others wrote, each as its own handbook begins (from memory). Every page sets `textOf`: the text as
 * the field, or the editor itself, holds it.
 */
import { history as cmHistory, historyKeymap } from '@codemirror/commands';
import { EditorState as CmState } from '@codemirror/state';
import { EditorView as CmView, keymap as cmKeymap } from '@codemirror/view';
import { createEmptyHistoryState, registerHistory } from '@lexical/history';
import { registerRichText } from '@lexical/rich-text';
import { Editor } from '@tiptap/core';
import StarterKit from '@tiptap/starter-kit';
import { $getRoot, createEditor } from 'lexical';
import { baseKeymap } from 'prosemirror-commands';
import { history, redo, undo } from 'prosemirror-history';
import { keymap } from 'prosemirror-keymap';
import { schema } from 'prosemirror-schema-basic';
import { EditorState } from 'prosemirror-state';
import { EditorView } from 'prosemirror-view';
import Quill from 'quill';
import { useState } from 'react';
import { createRoot } from 'react-dom/client';
import { TextInput } from 'react-native-web';

declare global {
  interface Window {
    textOf: () => string;
  }
}

const root = document.querySelector<HTMLElement>('#root')!;

function control(html: string): void {
  root.innerHTML = html;
  const field = root.querySelector<HTMLInputElement>('input, textarea')!;
  window.textOf = () => field.value;
}

/** The text of an editable element as it is seen. */
function textSeen(element: HTMLElement): string {
  return element.innerText.replaceAll('\u00a0', ' ').replace(/\n$/u, '');
}

function editable(into: HTMLElement | ShadowRoot, attributes = 'contenteditable="true"'): void {
  into.innerHTML = `<div ${attributes} style="min-height:120px;border:1px solid" aria-label="Note"></div>`;
  const element = into.querySelector<HTMLElement>('div')!;
  window.textOf = () => textSeen(element);
}

function inShadow(mode: ShadowRootMode): void {
  const host = document.createElement('note-field');
  root.append(host);
  const shadow = host.attachShadow({ mode });
  shadow.innerHTML = '<textarea aria-label="Note" rows="6"></textarea>';
  const field = shadow.querySelector('textarea')!;
  window.textOf = () => field.value;
  host.addEventListener('focus', () => field.focus());
  host.tabIndex = -1;
  Object.assign(window, { focusField: () => field.focus() });
}

function Controlled() {
  const [text, setText] = useState('');
  window.textOf = () => text;
  return <input aria-label="Note" value={text} onChange={(event) => setText(event.target.value)} />;
}

function ControlledArea() {
  const [text, setText] = useState('');
  window.textOf = () => text;
  return <textarea aria-label="Note" value={text} onChange={(event) => setText(event.target.value)} />;
}

function Native() {
  const [text, setText] = useState('');
  window.textOf = () => text;
  return <TextInput aria-label="Note" multiline value={text} onChangeText={setText} />;
}

const PAGES: Readonly<Record<string, () => void>> = {
  textarea: () => control('<textarea aria-label="Note" rows="8" cols="40"></textarea>'),
  input: () => control('<input aria-label="Note" type="text">'),
  search: () => control('<input aria-label="Note" type="search">'),
  url: () => control('<input aria-label="Note" type="url">'),
  tel: () => control('<input aria-label="Note" type="tel">'),
  email: () => control('<input aria-label="Note" type="email">'),
  contenteditable: () => editable(root),
  'plaintext-only': () => editable(root, 'contenteditable="plaintext-only"'),
  prosemirror: () => {
    const plugins = [history(), keymap({ 'Mod-z': undo, 'Mod-y': redo }), keymap(baseKeymap)];
    const view = new EditorView(root, { state: EditorState.create({ schema, plugins }) });
    window.textOf = () => view.state.doc.textBetween(0, view.state.doc.content.size, '\n');
  },
  tiptap: () => {
    const editor = new Editor({ element: root, extensions: [StarterKit] });
    window.textOf = () => editor.getText({ blockSeparator: '\n' });
  },
  lexical: () => {
    root.innerHTML = '<div contenteditable="true" aria-label="Note" style="min-height:120px"></div>';
    const editor = createEditor({ namespace: 'fields', onError: (error) => console.error(error) });
    editor.setRootElement(root.querySelector('div'));
    registerRichText(editor);
    registerHistory(editor, createEmptyHistoryState(), 300);
    window.textOf = () => editor.getEditorState().read(() => $getRoot().getTextContent().replaceAll('\n\n', '\n'));
  },
  codemirror: () => {
    const extensions = [cmHistory(), cmKeymap.of(historyKeymap)];
    const view = new CmView({ state: CmState.create({ extensions }), parent: root });
    window.textOf = () => view.state.doc.toString();
  },
  quill: () => {
    const quill = new Quill(root);
    window.textOf = () => quill.getText().replace(/\n$/u, '');
  },
  react: () => createRoot(root).render(<Controlled />),
  'react-textarea': () => createRoot(root).render(<ControlledArea />),
  'react-native-web': () => createRoot(root).render(<Native />),
  shadow: () => inShadow('open'),
  'closed-shadow': () => inShadow('closed'),
};

const name = location.pathname.slice(1);
PAGES[name]!();
document.title = name;
