/** Which fields of a page codes may expand in. */
import { ControlOfPage } from './control';
import { EditableOfPage } from './editable';
import type { GuestSurface } from './surface';

/** Types of inputs that hold a line of text. */
const TEXT_TYPES = new Set(['text', 'search', 'tel', 'url', 'email']);

/** Autofill's names for what nobody's list belongs in (HTML, "autofill detail tokens"). */
const SECRET_TOKENS = /^(current-password|new-password|one-time-code|cc-.*)$/u;
/** The same by the name that a page gives a field. Common practice, no source. */
const SECRET_NAMES = /passw|passcode|one.?time|\botp\b|\b2fa\b|\bpin\b|\bcvc|\bcvv|csc\b|card.?(number|no\b)/iu;
const FIXED_WIDTH = /mono|courier|consolas/iu;

/** Fields that hid what was typed into them once: to show a password makes it no other text. */
const hidden = new WeakSet<Element>();

/** The field that an element is, or is in; null: no text is typed there, or codes are to leave it alone. */
export function surfaceFor(element: Element, options: { evenCode: boolean }): GuestSurface | null {
  if (element instanceof HTMLTextAreaElement || element instanceof HTMLInputElement) {
    if (element instanceof HTMLInputElement && !isText(element)) return null;
    const isOpen = !element.readOnly && !element.disabled;
    return isOpen && isOrdinary(element, options) ? new ControlOfPage(element) : null;
  }
  const host = editingHostOf(element);
  return host && isOrdinary(host, options) ? new EditableOfPage(host) : null;
}

function isText(input: HTMLInputElement): boolean {
  if (input.type === 'password') hidden.add(input);
  return TEXT_TYPES.has(input.type) && !hidden.has(input);
}

/** The outermost editable element around one. */
function editingHostOf(element: Element): HTMLElement | null {
  if (!(element instanceof HTMLElement) || !element.isContentEditable) return null;
  let host = element;
  while (host.parentElement?.isContentEditable) host = host.parentElement;
  return host;
}

function isOrdinary(field: HTMLElement, { evenCode }: { evenCode: boolean }): boolean {
  const tokens = (field.getAttribute('autocomplete') ?? '').toLowerCase().split(/\s+/u);
  if (tokens.some((token) => SECRET_TOKENS.test(token))) return false;
  const names = ['name', 'id', 'aria-label', 'placeholder'].map((name) => field.getAttribute(name) ?? '');
  if (field instanceof HTMLInputElement && names.some((name) => SECRET_NAMES.test(name))) return false;
  return evenCode || !isForCode(field, tokens);
}

/** A field for program code: its page wants no help with spelling there, and it looks the part. */
function isForCode(field: HTMLElement, tokens: readonly string[]): boolean {
  if (field.getAttribute('spellcheck') !== 'false' || !tokens.includes('off')) return false;
  return field.closest('pre, code') !== null || FIXED_WIDTH.test(getComputedStyle(field).fontFamily);
}

/** The element that the keyboard types into, inside open shadow roots too. */
export function focusedIn(document: Document): Element | null {
  let focused = document.activeElement;
  while (focused?.shadowRoot?.activeElement) focused = focused.shadowRoot.activeElement;
  return focused;
}
