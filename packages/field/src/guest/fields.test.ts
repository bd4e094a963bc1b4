import { surfaceFor } from './fields';

function fieldOf(html: string): Element {
  document.body.innerHTML = html;
  return document.body.querySelector('[data-it], input, textarea')!;
}

const isOpen = (html: string, evenCode = false) => surfaceFor(fieldOf(html), { evenCode }) !== null;

test.each([
  '<textarea></textarea>',
  '<input>',
  '<input type="search">',
  '<input type="url" autocomplete="url">',
  '<input type="email" autocomplete="email">',
  '<input type="tel" name="phone">',
  '<input name="opinion">',
  '<input name="town" autocomplete="shipping address-level2">',
  '<input spellcheck="false" autocomplete="off" style="font-family: Georgia">',
])('codes may expand in %s', (html) => expect(isOpen(html)).toBe(true));

// Names of fields: common practice, no source. Autofill's own: HTML, "autofill detail tokens".
test.each([
  '<input type="password">',
  '<input type="number">',
  '<input type="date">',
  '<input type="checkbox">',
  '<input readonly>',
  '<textarea disabled></textarea>',
  '<input autocomplete="current-password">',
  '<input autocomplete="section-a one-time-code">',
  '<input autocomplete="cc-number">',
  '<input autocomplete="billing cc-csc">',
  '<input name="otp">',
  '<input id="user-password-visible">',
  '<input placeholder="Card number">',
  '<input aria-label="PIN">',
  '<button data-it>x</button>',
  '<div data-it>no field</div>',
])('codes leave %s alone', (html) => expect(isOpen(html)).toBe(false));

test('a field for program code is left alone until one asks for it', () => {
  const html = '<textarea spellcheck="false" autocomplete="off" style="font-family: Menlo, monospace"></textarea>';
  expect([isOpen(html), isOpen(html, true)]).toEqual([false, true]);
  expect(isOpen('<pre><textarea spellcheck="false" autocomplete="off"></textarea></pre>')).toBe(false);
  // Its page wants no help with spelling: that alone is no reason.
  expect(isOpen('<textarea spellcheck="false" style="font-family: monospace"></textarea>')).toBe(true);
});

test('a password that is shown is still one', () => {
  const field = fieldOf('<input type="password">') as HTMLInputElement;
  expect(surfaceFor(field, { evenCode: true })).toBeNull();
  field.type = 'text';
  expect(surfaceFor(field, { evenCode: true })).toBeNull();
});

test('in an editable element the outermost one is the field', () => {
  document.body.innerHTML = '<div contenteditable="true" id="out"><p><b id="in">x</b></p></div>';
  const inner = document.querySelector<HTMLElement>('#in')!;
  // jsdom does not know whether an element is editable.
  for (const element of [inner, inner.parentElement!, document.querySelector<HTMLElement>('#out')!])
    Object.defineProperty(element, 'isContentEditable', { value: true });
  expect(surfaceFor(inner, { evenCode: false })?.element.id).toBe('out');
});
