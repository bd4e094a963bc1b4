import type { OpenBlank } from '@yellow-latch/core/expansion';
import {
  applyInput,
  offersOf,
  type CompiledList,
  type Edit,
  type FiringEvent,
  type Offer,
  type TypingSession,
} from '@yellow-latch/core/fire';

import { KeyTimes } from '@yellow-latch/core/learn/keyTimes';

import { askBlanks } from '../shown/blanks';
import { Suggestions } from '../shown/suggestions';
import { ENGLISH, type FieldWords } from '../shown/words';
import {
  backspacedByHand,
  beginByHand,
  fits,
  heldAs,
  REACH,
  reconciled,
  typedByHand,
  withSession,
  type ByHand,
} from './byHand';
import type { HeardType } from './heard';
import { isChord, TAKE, typedBy, type Chord } from './keys';
import type { GuestSurface } from './surface';

/** A code whose text is made as it fires. */
export type Asked = Extract<FiringEvent, { type: 'asked' }>;

/** What takes the place of a code. `caret`: in `plain`; null: behind it. */
export interface Made {
  readonly plain: string;
  readonly html: string | null;
  readonly caret: number | null;
}

/** What comes of asking for a text: the text, what it needs first, or nothing, since it cannot be made. */
export type Answer =
  | { readonly type: 'made'; readonly made: Made }
  | { readonly type: 'blanks'; readonly blanks: readonly OpenBlank[] }
  | { readonly type: 'none' };

/** What makes texts: asked once without values and, where there are blanks, once more with them. */
export type MakeText = (
  id: string,
  values: Readonly<Record<string, string>>,
  around: { readonly selection: string; readonly text: string },
) => Promise<Answer>;

export interface PageTypingOptions {
  /** The list made ready for typing; null: it is not here yet, and nothing fires. */
  readonly list: () => CompiledList | null;
  /** The field that an element is or is in; null: codes leave it alone. Asked for the element that a key goes to. */
  readonly surfaceFor: (element: Element) => GuestSurface | null;
  /** Whether codes may fire there now. Asked before each firing. */
  readonly mayFire: (surface: GuestSurface) => boolean;
  readonly makeText: MakeText;
  /** `hesitation`: how long somebody hesitated over the code, in s; null: not known. */
  readonly onFired?: (event: FiringEvent, hesitation: number | null) => void;
  /** Whether texts are suggested as one types. */
  readonly suggests?: () => boolean;
  readonly take?: () => Chord | null;
  readonly words?: FieldWords;
  /** How events of the page are heard, until `ended`; as any listener hears them, before those of the elements, unless given. */
  readonly hear?: (type: HeardType, listener: (event: never) => void, ended: AbortSignal) => void;
}

/** A field and what is known of what stands in it. */
interface Followed {
  readonly surface: GuestSurface;
  known: ByHand;
  /** What it becomes if the key that was let through does what it says. */
  awaited: ByHand | null;
  /** What fired and has no text yet. */
  asked: Asked | null;
  /** Whether a person may have moved the caret since the last key. */
  mayHaveMoved: boolean;
  readonly keyTimes: KeyTimes;
}

/**
 * Lets codes expand in fields of somebody else's page, in all that lie in `target`. It goes by the keys that a person
 * presses: only what the browser itself reports as typed, and what then stands in the field, counts as typed by hand.
 * A key that would fire a code is kept from the page, and the whole text put in at once, so that the page, and its undo,
 * see one change. Keys are heard before the page hears them; a page that stops them, writes, or moves the caret gets nothing.
 *
 * Made once for a page; it works until `stop`. A key costs a look at the last 400 units before the caret, whatever the
 * length of the text, and a look-up in the list.
 */
export class PageTyping {
  private readonly ended = new AbortController();
  private readonly followed = new WeakMap<HTMLElement, Followed>();
  private readonly suggestions: Suggestions;
  private readonly document: Document;
  /** The field that keys go to. */
  private here: Followed | null = null;
  private isAsking = false;
  private hesitation: ReturnType<typeof setTimeout> | undefined;

  constructor(
    target: Window | HTMLElement,
    private readonly options: PageTypingOptions,
  ) {
    this.document = target instanceof HTMLElement ? target.ownerDocument : target.document;
    this.suggestions = new Suggestions(this.document, options.words ?? ENGLISH, (offer) => this.take(offer));
    const { signal } = this.ended;
    const hear: NonNullable<PageTypingOptions['hear']> =
      options.hear ??
      ((type, listener) =>
        target.addEventListener(type, listener as EventListener, {
          capture: true,
          signal,
          passive: type !== 'keydown',
        }));
    hear('keydown', this.onKeyDown, signal);
    hear('input', this.onInput, signal);
    hear('compositionend', this.onCompositionEnd, signal);
    hear('pointerdown', this.onPointerDown, signal);
    hear('focusout', this.onFocusOut, signal);
    // What it stands beside moves away.
    const view = this.document.defaultView;
    for (const type of ['scroll', 'resize'])
      view?.addEventListener(type, this.onFocusOut, { capture: true, signal, passive: true });
  }

  /** Whether something of ours stands over the page. */
  get isShowing(): boolean {
    return this.isAsking || this.suggestions.first !== undefined;
  }

  stop(): void {
    this.ended.abort();
    this.suggest([]);
  }

  /** Puts in a shortcut where the caret is, as from a list beside the page. False: there is no field to put it in. */
  async put({ id, code }: { id: string; code: string }, focused: Element | null): Promise<boolean> {
    const followed = (focused && this.follow(focused)) ?? this.here;
    if (!followed?.surface.element.isConnected) return false;
    const { surface } = followed;
    const restore = surface.keepCaret();
    const answer = await this.made(followed, id, code);
    if (!answer) return false;
    restore();
    const text = inField(surface, answer.plain);
    const isDone = surface.replaceBefore('', text, answer.html);
    if (isDone) {
      this.options.onFired?.({ type: 'fired', by: 'filled', id, typed: '', expansion: answer.plain }, null);
      this.placeCaret(surface, answer, text);
    }
    return isDone;
  }

  // ── what a person does ────────────────────────────────────────────────────────────────────

  private readonly onKeyDown = (event: KeyboardEvent): void => {
    if (!event.isTrusted || this.isAsking || MODIFIERS.has(event.key) || this.suggestions.holds(event)) return;
    const list = this.options.list();
    const target = event.composedPath()[0];
    const followed = list && target instanceof Element ? this.follow(target) : null;
    this.here = followed;
    if (!followed || !list || event.isComposing) return;
    if (this.answerSuggestion(event, followed)) return;
    const before = this.look(followed, list);
    const text = typedBy(event);
    if (!before) return;
    if (text !== null && before.isCaret) this.typed(event, text, followed, list);
    else if (event.key === 'Backspace' && before.isCaret && !event.ctrlKey && !event.metaKey && !event.altKey)
      this.backspaced(event, followed, list);
    else {
      followed.mayHaveMoved = true;
      this.suggest([]);
    }
  };

  private typed(event: KeyboardEvent, text: string, followed: Followed, list: CompiledList): void {
    const { surface, known, keyTimes } = followed;
    const { session, edit, events } = typedByHand(known, text, list);
    const { start: at } = known.session.caret;
    keyTimes.typed(event.timeStamp, at, at + text.length);
    const fires = events.some(({ type }) => type === 'fired');
    if (!fires || !edit) {
      const asked = events.find((one) => one.type === 'asked');
      followed.awaited = withSession(known, session, list);
      followed.asked = asked && this.options.mayFire(surface) ? asked : null;
      return;
    }
    if (!this.options.mayFire(surface)) {
      followed.known = beginByHand(surface.before(REACH) ?? NOTHING);
      return;
    }
    // Enter may send what is written, or begin a line: that is the page's to do, after the text stands there.
    const isEnter = text === '\n' && edit.replacement.endsWith('\n');
    const held = inField(surface, isEnter ? edit.replacement.slice(0, -1) : edit.replacement);
    // A mail address with a space behind it is none.
    const replacement = surface.takes.spaces || text !== ' ' ? held : held.trimEnd();
    const expected = known.session.text.slice(edit.range.start);
    if (!isEnter) stop(event);
    if (!surface.replaceBefore(expected, replacement, null)) {
      followed.known = beginByHand(surface.before(REACH) ?? NOTHING);
      return;
    }
    if (isEnter) followed.awaited = { ...known, session, rest: '' };
    else followed.known = { ...known, session: heldAs(session, edit.range.start, replacement), rest: '' };
    this.suggest([]);
    for (const one of events) this.options.onFired?.(one, hesitationOver(one, known, text, keyTimes));
    keyTimes.expanded(event.timeStamp, session.caret.end);
  }

  private backspaced(event: KeyboardEvent, followed: Followed, list: CompiledList): void {
    const { surface, known } = followed;
    const { session, edit, events } = backspacedByHand(known, list);
    const givenBack = events.some(({ type }) => type === 'taken-back');
    if (!givenBack || !edit) {
      followed.awaited = { ...known, session };
      return;
    }
    const { start } = edit.range;
    stop(event);
    const isDone = surface.replaceBefore(known.session.text.slice(start), session.text.slice(start), null);
    followed.known = isDone ? { ...known, session } : beginByHand(surface.before(REACH) ?? NOTHING);
    for (const one of events) this.options.onFired?.(one, null);
  }

  /** What was composed counts as typed when it stands there. */
  private readonly onCompositionEnd = (event: CompositionEvent): void => {
    const followed = this.here;
    const list = this.options.list();
    if (!event.isTrusted || !followed || !list || event.data === '') return;
    const { surface, known } = followed;
    const typed = typedByHand(known, event.data, list);
    const natural = applyInput(
      known.session,
      { type: 'edit', range: known.session.caret, text: event.data, how: 'other' },
      list,
    ).session;
    later(() => {
      const before = surface.before(REACH);
      if (!before || !fits({ ...known, session: natural }, before)) return this.look(followed, list);
      followed.known = { ...known, session: typed.session };
      const { edit } = typed;
      if (edit && this.options.mayFire(surface)) this.apply(followed, natural, typed.session, edit, typed.events);
      this.suggestSoon(followed);
    });
  };

  private readonly onInput = (): void => {
    const followed = this.here;
    if (followed?.asked) later(() => this.makeAsked(followed));
    this.suggestSoon(followed);
  };

  private readonly onPointerDown = (event: Event): void => {
    if (!event.isTrusted || this.suggestions.holds(event)) return;
    if (this.here) this.here.mayHaveMoved = true;
    this.suggest([]);
  };

  private readonly onFocusOut = (): void => this.suggest([]);

  /** When a key has done what it does, the text that its code asked for is made. */
  private makeAsked(followed: Followed): void {
    const list = this.options.list();
    if (!list || !this.look(followed, list)) return;
    const { asked } = followed;
    followed.asked = null;
    if (asked && followed.known.session.text.startsWith(asked.typed, asked.range.start))
      void this.fill(followed, asked);
  }

  // ── suggestions ───────────────────────────────────────────────────────────────────────────

  /** Suggests what may come as soon as one hesitates: whoever types on needs nothing, and pays nothing. */
  private suggestSoon(followed: Followed | null): void {
    clearTimeout(this.hesitation);
    if (!followed || !this.options.suggests?.()) return this.suggest([]);
    this.hesitation = setTimeout(() => {
      const list = this.options.list();
      if (this.here !== followed || !list || !this.look(followed, list)) return this.suggest([]);
      const offers = offersOf(followed.known.session, list);
      this.suggest(offers.length > 0 && this.options.mayFire(followed.surface) ? offers : [], followed);
    }, HESITATION);
  }

  private answerSuggestion(event: KeyboardEvent, followed: Followed): boolean {
    const { first } = this.suggestions;
    if (!first) return false;
    const chord = this.options.take ? this.options.take() : TAKE;
    if (chord && isChord(event, chord)) {
      stop(event);
      this.take(first);
      return true;
    }
    if (event.key !== 'Escape') return false;
    // It closes what is suggested, and nothing of the page.
    stop(event);
    const list = this.options.list()!;
    const { session } = followed.known;
    const range = { start: Math.min(...this.suggestions.all.map(({ start }) => start)), end: session.caret.end };
    followed.known = { ...followed.known, session: applyInput(session, { type: 'keep', range }, list).session };
    this.suggest([]);
    return true;
  }

  private take(offer: Offer): void {
    const followed = this.here;
    const list = this.options.list();
    if (!followed || !list || !this.look(followed, list) || !this.options.mayFire(followed.surface)) return;
    const { session } = followed.known;
    // The text may have gone on since it was suggested.
    if (offer.end !== session.caret.end) return this.suggest([]);
    const { session: next, edit, events } = applyInput(session, { type: 'take', offer }, list);
    this.suggest([]);
    const asked = events.find((one) => one.type === 'asked');
    if (asked) {
      followed.known = { ...followed.known, session: next };
      void this.fill(followed, asked);
    } else if (edit) this.apply(followed, session, next, edit, events);
  }

  private suggest(offers: readonly Offer[], followed?: Followed): void {
    clearTimeout(this.hesitation);
    this.suggestions.show(offers, () => followed!.surface.caretBox());
  }

  // ── texts that are made ───────────────────────────────────────────────────────────────────

  /** Has a text made, asking for what it needs; null: it cannot be, or was called off. */
  private async made(followed: Followed, id: string, code: string): Promise<Made | null> {
    const { surface } = followed;
    const around = { selection: surface.selected(), text: surface.before(REACH)?.text ?? '' };
    const answer = await this.options.makeText(id, {}, around);
    if (answer.type !== 'blanks') return answer.type === 'made' ? answer.made : null;
    const restore = surface.keepCaret();
    this.isAsking = true;
    const values = await askBlanks(
      this.document,
      { code, blanks: answer.blanks },
      surface.caretBox(),
      this.options.words ?? ENGLISH,
    ).finally(() => (this.isAsking = false));
    restore();
    const filled = values && (await this.options.makeText(id, values, around));
    return filled?.type === 'made' ? filled.made : null;
  }

  private async fill(followed: Followed, asked: Asked): Promise<void> {
    const before = followed.known.session;
    const made = await this.made(followed, asked.id, asked.typed);
    const list = this.options.list();
    if (!made || !list || !this.look(followed, list)) return;
    const { surface, known } = followed;
    const { session } = known;
    const { start, end } = asked.range;
    // It goes where its code was typed, if that still stands there.
    if (session.handFrom !== before.handFrom || session.text.slice(0, end) !== before.text.slice(0, end)) return;
    const text = inField(surface, made.plain);
    const caret = made.caret === null || text !== made.plain ? null : made.caret;
    const outcome = applyInput(session, { type: 'fill', id: asked.id, range: asked.range, text, caret }, list);
    const behind = session.text.slice(end);
    const html = made.html === null ? null : made.html + escaped(behind);
    if (!surface.replaceBefore(session.text.slice(start), text + behind, html)) return;
    followed.known = html === null ? { ...known, session: outcome.session } : beginByHand(NOTHING);
    this.placeCaret(surface, { ...made, caret }, text + behind);
    for (const one of outcome.events) this.options.onFired?.(one, null);
  }

  private placeCaret(surface: GuestSurface, { caret }: Made, text: string): void {
    // An editor may draw what came in only after this.
    if (caret !== null && caret < text.length) later(() => surface.moveBack(text.slice(caret)));
  }

  // ── following ─────────────────────────────────────────────────────────────────────────────

  private follow(element: Element): Followed | null {
    const surface = this.options.surfaceFor(element);
    if (!surface) return null;
    const known = this.followed.get(surface.element);
    if (known) return known;
    const before = surface.before(REACH) ?? NOTHING;
    const begun = {
      surface,
      known: beginByHand(before),
      awaited: null,
      asked: null,
      mayHaveMoved: false,
      keyTimes: new KeyTimes(),
    };
    this.followed.set(surface.element, begun);
    return begun;
  }

  /** Looks at what stands in the field, and brings what is known of it in line. Null: the caret is not in it. */
  private look(followed: Followed, list: CompiledList) {
    const { surface, awaited } = followed;
    const before = surface.before(REACH);
    if (!before) return null;
    const mayHaveMoved = followed.mayHaveMoved && surface.knowsCaret;
    if (followed.mayHaveMoved && !surface.knowsCaret) followed.known = beginByHand(before);
    else if (awaited && fits(awaited, before)) followed.known = awaited;
    // A key that did nothing was taken by the page: what it would have made is not there.
    else if (awaited && !mayHaveMoved) followed.known = beginByHand(before);
    else followed.known = reconciled(awaited ?? followed.known, before, list, mayHaveMoved);
    followed.awaited = null;
    followed.mayHaveMoved = false;
    return before;
  }

  /** Shows in the field what `after` holds and `before`, which stands there, does not. */
  private apply(
    followed: Followed,
    before: TypingSession,
    after: TypingSession,
    edit: Edit,
    events: readonly FiringEvent[],
  ): void {
    const { surface } = followed;
    const { start } = edit.range;
    const held = inField(surface, after.text.slice(start));
    const isDone = surface.replaceBefore(before.text.slice(start), held, null);
    followed.known = isDone
      ? { ...followed.known, session: heldAs(after, start, held) }
      : beginByHand(surface.before(REACH) ?? NOTHING);
    for (const one of events) this.options.onFired?.(one, null);
  }
}

/** How long somebody hesitated over the code that fired as `text` was typed; s. */
function hesitationOver(event: FiringEvent, { session }: ByHand, text: string, keyTimes: KeyTimes): number | null {
  const typed = session.text.slice(0, session.caret.start) + text;
  const start = typed.lastIndexOf(event.typed);
  return start < 0 ? null : keyTimes.hesitationOver(start, start + event.typed.length);
}

/** Without a key for so long, in ms, one hesitates. */
const HESITATION = 180;

/** Keys that do nothing by themselves. */
const MODIFIERS = new Set(['Shift', 'Control', 'Alt', 'AltGraph', 'Meta', 'CapsLock']);

const NOTHING = { text: '', isWhole: false, isCaret: false };

/** A text as a field takes it: one that has one line gets spaces for new lines. */
function inField(surface: GuestSurface, text: string): string {
  return surface.takes.lines ? text : text.replaceAll(/\s*\n\s*/gu, ' ');
}

function escaped(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('\n', '<br>');
}

/** The page gets neither the key nor what it would do. */
function stop(event: Event): void {
  event.preventDefault();
  event.stopImmediatePropagation();
}

/** After the browser, and the page, have done what an event makes them do. */
function later(work: () => void): void {
  setTimeout(work, 0);
}
