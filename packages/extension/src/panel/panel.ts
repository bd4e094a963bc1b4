/** The panel behind the button in the toolbar: the list to pick from, a shortcut made of what is selected, on and off. */
import { plateOf } from '@yellow-latch/field/plate';

import { make, redraw } from '../shared/dom';
import { askForPanel, type Listed, type NotSaved, type Settings, type ToPage } from '../shared/messages';
import { say, sayTime } from '../shared/say';
import { joinForm, tellStanding } from '../shared/standing';

const HOUR = 60 * 60 * 1_000;

const NOT_SAVED: Readonly<Record<NotSaved, string>> = {
  code: 'badCode',
  'in-use': 'codeInUse',
  text: 'badText',
  'only-use': 'onlyUse',
  'not-joined': 'notJoined',
};

/** The page that the panel was opened over. Opened as a page itself, it is told by the address which one. */
async function pageBeneath(): Promise<chrome.tabs.Tab | null> {
  const told = new URLSearchParams(location.search).get('tab');
  if (told !== null) return chrome.tabs.get(Number(told));
  return (await chrome.tabs.query({ active: true, currentWindow: true }))[0] ?? null;
}

async function draw(): Promise<void> {
  const [page, standing, settings] = await Promise.all([
    pageBeneath(),
    askForPanel('standing', {}),
    askForPanel('settings', {}),
  ]);
  const isIn = standing.phase === 'synced' || standing.phase === 'away';
  const host = hostOf(page);
  const selected = isIn ? await selectedIn(page) : '';
  // Who has selected something wants a shortcut of it.
  const [first, second] = [await finding(page), makingOfSelection(selected)];
  const content = isIn
    ? [...(selected === '' ? [first, second] : [second, first]), switches(host, settings)]
    : [joinForm(standing, () => void draw())];
  redraw(
    make(
      'main',
      {},
      make('header', {}, make('h1', {}, say('name')), isIn && make('p', { role: 'status' }, tellStanding(standing))),
      ...content,
      make(
        'details',
        {},
        make('summary', {}, say('whatItSees')),
        make('p', {}, say('sees')),
        make('p', {}, say('sends')),
        make('p', {}, say('keeps')),
      ),
      make('button', { className: 'quiet', onClick: () => void chrome.runtime.openOptionsPage() }, say('options')),
    ),
  );
  if (document.activeElement === document.body)
    document.querySelector<HTMLElement>(selected === '' ? 'input' : '#new-code')?.focus();
}

function hostOf(page: chrome.tabs.Tab | null): string {
  return page?.url !== undefined && URL.canParse(page.url) ? new URL(page.url).hostname : '';
}

// ── picking ─────────────────────────────────────────────────────────────────────────────────

async function finding(page: chrome.tabs.Tab | null): Promise<HTMLElement> {
  const search = make('input', { type: 'search', placeholder: say('searchHint'), ariaLabel: say('search') });
  const list = make('ul', { className: 'found' });
  const told = make('p', { role: 'status', className: 'soft' });
  const find = async () => {
    const { found, of } = await askForPanel('search', { words: search.value });
    list.replaceChildren(...found.map((one) => row(one, page, told)));
    const why = of === 0 ? say('listEmpty') : say('nothingFound');
    told.textContent = found.length === 0 ? why : '';
  };
  search.addEventListener('input', () => void find());
  search.addEventListener('keydown', (event) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    list.querySelector('button')?.click();
  });
  await find();
  return make('section', { className: 'stack' }, search, list, told);
}

function row({ id, code, text }: Listed, page: chrome.tabs.Tab | null, told: HTMLElement): HTMLElement {
  const put = async () => {
    const message: ToPage = { type: 'put', id, code };
    const isIn =
      page?.id !== undefined &&
      ((await chrome.tabs.sendMessage(page.id, message).catch(() => false)) as boolean | null);
    if (isIn) window.close();
    else told.textContent = say('noField');
  };
  const line = make('span', { className: 'text' }, text.replaceAll(/\s+/gu, ' '));
  return make('li', {}, make('button', { onClick: () => void put() }, plateOf(document, code), line));
}

// ── making ──────────────────────────────────────────────────────────────────────────────────

async function selectedIn(page: chrome.tabs.Tab | null): Promise<string> {
  const message: ToPage = { type: 'selected' };
  const selected: unknown =
    page?.id === undefined ? null : await chrome.tabs.sendMessage(page.id, message).catch(() => null);
  return typeof selected === 'string' ? selected : '';
}

function makingOfSelection(selected: string): HTMLElement {
  const text = make('textarea', { rows: 3, value: selected, id: 'new-text' });
  const code = make('input', {
    type: 'text',
    autocomplete: 'off',
    spellcheck: false,
    className: 'code',
    id: 'new-code',
  });
  const told = make('p', { role: 'status' });
  const form = make(
    'form',
    { className: 'stack' },
    make('label', {}, make('span', {}, say('youGet')), text),
    make('label', {}, make('span', {}, say('youType')), code),
    told,
    make('button', { type: 'submit', className: 'primary' }, say('save')),
  );
  form.addEventListener('submit', (event) => {
    event.preventDefault();
    void askForPanel('make', { code: code.value, text: text.value }).then(({ problem, other, id }) => {
      if (problem !== null) {
        told.textContent = say(NOT_SAVED[problem], other ?? '');
        return;
      }
      const undo = make('button', { type: 'button', className: 'quiet' }, say('undo'));
      undo.addEventListener('click', () => {
        void askForPanel('unmake', { id: id! });
        told.textContent = say('undone');
      });
      told.replaceChildren(say('saved', code.value), ' ', undo);
      text.value = '';
      code.value = '';
    });
  });
  const fold = make('details', { open: selected !== '' }, make('summary', {}, say('newShortcut')), form);
  return fold;
}

// ── on and off ──────────────────────────────────────────────────────────────────────────────

function switches(host: string, { sites, pausedUntil }: Settings): HTMLElement {
  const isPaused = pausedUntil > Date.now();
  const set = async (changes: Partial<Settings>) => {
    await askForPanel('set', changes);
    await draw();
  };
  const site = make('input', { type: 'checkbox', checked: sites[host] !== 'off' });
  site.addEventListener('change', () => {
    const { [host]: _was, ...others } = sites;
    void set({ sites: site.checked ? others : { ...others, [host]: 'off' } });
  });
  const pause = make(
    'button',
    { type: 'button', onClick: () => void set({ pausedUntil: isPaused ? 0 : Date.now() + HOUR }) },
    isPaused ? say('goOn') : say('pause'),
  );
  return make(
    'section',
    { className: 'switches' },
    host !== '' && make('label', { className: 'tick' }, site, make('span', {}, say('onHere', host))),
    isPaused && make('p', { role: 'status' }, say('pausedUntil', sayTime(pausedUntil))),
    pause,
  );
}

void draw();
