/** The options: the list it is joined to, how codes expand, keys, and sites that are treated otherwise. */
import { isSameChord, TAKE, type Chord } from '@yellow-latch/field/guest/keys';

import { make, redraw } from '../shared/dom';
import { askForPanel, type Settings, type Standing } from '../shared/messages';
import { say } from '../shared/say';
import { joinForm, tellStanding } from '../shared/standing';

/** The keys among which one chooses. Each types nothing, or may be given up in a field. */
const CHORDS: readonly (readonly [name: string, chord: Chord | null])[] = [
  ['keyAltDown', TAKE],
  ['keyCtrlSpace', { key: ' ', ctrl: true }],
  ['keyTab', { key: 'Tab' }],
  ['keyNone', null],
];

async function draw(): Promise<void> {
  const [standing, settings] = await Promise.all([askForPanel('standing', {}), askForPanel('settings', {})]);
  redraw(
    make(
      'main',
      {},
      make('h1', {}, say('name')),
      list(standing),
      expanding(settings),
      keys(settings),
      sites(settings),
      make(
        'section',
        {},
        make('h2', {}, say('whatItSees')),
        make('p', {}, say('sees')),
        make('p', {}, say('sends')),
        make('p', {}, say('keeps')),
      ),
    ),
  );
}

async function set(changes: Partial<Settings>): Promise<void> {
  await askForPanel('set', changes);
  await draw();
}

function list(standing: Standing): HTMLElement {
  const isIn = standing.phase === 'synced' || standing.phase === 'away';
  if (!isIn)
    return make(
      'section',
      {},
      make('h2', {}, say('yourList')),
      joinForm(standing, () => void draw()),
    );
  const leave = () => void askForPanel('leave', {}).then(draw);
  return make(
    'section',
    {},
    make('h2', {}, say('yourList')),
    make('p', { role: 'status' }, tellStanding(standing)),
    make('p', { className: 'soft' }, standing.address),
    make('button', { onClick: leave }, say('signOut')),
  );
}

function choice(name: string, isChosen: boolean, text: string, onChosen: () => void): HTMLElement {
  const radio = make('input', { type: 'radio', name, checked: isChosen });
  radio.addEventListener('change', onChosen);
  return make('label', { className: 'tick' }, radio, make('span', {}, text));
}

function expanding({ expands, suggests }: Settings): HTMLElement {
  const tick = make('input', { type: 'checkbox', checked: suggests, disabled: expands === 'tap' });
  tick.addEventListener('change', () => void set({ suggests: tick.checked }));
  return make(
    'section',
    {},
    make('h2', {}, say('howItExpands')),
    choice('expands', expands === 'itself', say('byItself'), () => void set({ expands: 'itself' })),
    choice('expands', expands === 'tap', say('byTap'), () => void set({ expands: 'tap' })),
    make('label', { className: 'tick' }, tick, make('span', {}, say('showSuggestions'))),
  );
}

function keys({ take }: Settings): HTMLElement {
  return make(
    'section',
    {},
    make('h2', {}, say('keys')),
    make('p', {}, say('takesFirst')),
    ...CHORDS.map(([name, chord]) =>
      choice('take', isSameChord(chord, take), say(name), () => void set({ take: chord })),
    ),
    make('p', { className: 'soft' }, say('keysElsewhere')),
  );
}

function sites({ sites: known }: Settings): HTMLElement {
  const host = make('input', { type: 'text', autocomplete: 'off', spellcheck: false, placeholder: 'forms.example' });
  const how = make(
    'select',
    { ariaLabel: say('whatThere') },
    make('option', { value: 'off' }, say('siteOff')),
    make('option', { value: 'code' }, say('siteCode')),
  );
  const problem = make('p', { role: 'alert', className: 'problem' });
  const form = make(
    'form',
    { className: 'line' },
    make('label', {}, make('span', {}, say('site')), host),
    how,
    make('button', { type: 'submit' }, say('add')),
  );
  form.addEventListener('submit', (event) => {
    event.preventDefault();
    const typed = host.value.trim().replace(/^https?:\/\//iu, '');
    const address = `http://${typed}`;
    if (typed === '' || !URL.canParse(address)) problem.textContent = say('badSite');
    else void set({ sites: { ...known, [new URL(address).hostname]: how.value as 'off' | 'code' } });
  });
  const rows = Object.entries(known).map(([name, conduct]) => {
    const remove = () => {
      const { [name]: _was, ...others } = known;
      void set({ sites: others });
    };
    return make(
      'li',
      {},
      make('span', { className: 'name' }, name),
      make('span', { className: 'soft' }, say(conduct === 'off' ? 'siteOff' : 'siteCode')),
      make('button', { ariaLabel: say('removeSite', name), onClick: remove }, say('remove')),
    );
  });
  return make('section', {}, make('h2', {}, say('sites')), make('ul', { className: 'sites' }, ...rows), form, problem);
}

void draw();
