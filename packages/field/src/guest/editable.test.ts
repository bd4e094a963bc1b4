import { EditableOfPage } from './editable';

let edits: { selected: string; command: string; text: string }[];

/** An editable element, its caret where `|` stands. What the browser is asked to do is noted; jsdom cannot do it. */
function editable(html: string): EditableOfPage {
  document.body.innerHTML = `<div contenteditable="true">${html}</div>`;
  const element = document.body.firstElementChild as HTMLElement;
  const walker = document.createTreeWalker(element, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const at = node.nodeValue!.indexOf('|');
    if (at < 0) continue;
    node.nodeValue = node.nodeValue!.replace('|', '');
    document.getSelection()!.collapse(node, at);
  }
  return new EditableOfPage(element);
}

beforeEach(() => {
  edits = [];
  document.execCommand = (command, _shows, text = '') => {
    edits.push({ selected: String(document.getSelection()), command, text });
    return true;
  };
  Object.assign(globalThis, {
    DataTransfer: class {
      setData() {}
    },
    ClipboardEvent: class extends Event {},
  });
});

test.each([
  ['Dear ;ws|', 'Dear ;ws'],
  ['Dear <b>;w</b>s|', 'Dear ;ws'],
  ['<p>one</p><p>two ;ws|</p>', 'two ;ws'],
  ['one<br>two|', 'two'],
  ['one<div>two|</div>', 'two'],
  ['<ul><li>one</li><li>t<i>w</i>o|</li></ul>', 'two'],
  ['<span contenteditable="false">@Mara</span> hi|', '\ufffc hi'],
  ['Dear\u00a0;ws|', 'Dear ;ws'],
  ['<!-- a remark -->x|', 'x'],
])('before the caret in %s stands “%s”', (html, text) => {
  expect(editable(html).before(400)).toEqual({ text, isWhole: true, isCaret: true });
});

test('it is read no further than asked', () => {
  expect(editable(`${'x'.repeat(50)};ws|`).before(10)).toEqual({ text: 'xxxxxxx;ws', isWhole: false, isCaret: true });
});

test.each([
  ['Dear ;ws|', ';ws', ';ws'],
  ['Dear <b>;w</b>s|', ';ws', ';ws'],
  ['<p>Unit 3</p><p>The Ropewalk |</p>', 'Unit 3\nThe Ropewalk ', 'Unit 3The Ropewalk '],
  ['Unit 3<br>The Ropewalk|', 'Unit 3\nThe Ropewalk', 'Unit 3The Ropewalk'],
  ['<p>a</p><p><br></p><p>b|</p>', 'a\n\nb', 'ab'],
])('in %s the place of “%s” is found', (html, expected, selected) => {
  expect(editable(html).replaceBefore(expected, 'x', null)).toBe(true);
  expect(edits).toEqual([{ selected, command: 'insertText', text: 'x' }]);
});

test('where something else stands, nothing is replaced', () => {
  expect(editable('Dear ;wx|').replaceBefore(';ws', 'x', null)).toBe(false);
  expect(editable('s|').replaceBefore(';ws', 'x', null)).toBe(false);
  expect(edits).toEqual([]);
});

test('several lines go in as a paste, which an editor takes; a plain element is given them by the browser', () => {
  const plain = editable(';ws|');
  plain.replaceBefore(';ws', 'a\nb', null);
  expect(edits.map(({ command }) => command)).toEqual(['insertText']);
  const editor = editable(';ws|');
  editor.element.addEventListener('paste', (event) => event.preventDefault());
  edits = [];
  expect(editor.replaceBefore(';ws', 'a\nb', null)).toBe(true);
  expect(edits).toEqual([]);
});

test('formatted text goes in as HTML, but not where the element takes plain text alone', () => {
  editable(';ws|').replaceBefore(';ws', 'a b', '<b>a</b> b');
  const plain = editable(';ws|');
  plain.element.contentEditable = 'plaintext-only';
  plain.replaceBefore(';ws', 'a b', '<b>a</b> b');
  expect(edits.map(({ command, text }) => [command, text])).toEqual([
    ['insertHTML', '<b>a</b> b'],
    ['insertText', 'a b'],
  ]);
});
