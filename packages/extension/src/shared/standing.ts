import { make } from './dom';
import { askForPanel, type Standing } from './messages';
import { say, sayCount } from './say';

/** How the extension stands to its list, in a line. */
export function tellStanding({ phase, listName, count, waiting }: Standing): string {
  if (phase === 'none') return say('notJoined');
  if (phase === 'out') return say('signedOut');
  if (phase === 'away') return waiting > 0 ? say('offlineWaiting', sayCount(waiting)) : say('offline');
  return say('synced', listName, sayCount(count));
}

/** What kept it from joining, by the name of the problem. */
const PROBLEMS: Readonly<Record<string, string>> = {
  'not-an-address': 'problemAddress',
  'no-answer': 'problemNoAnswer',
  closed: 'problemNoCode',
  'bad-code': 'problemCode',
  'code-unknown': 'problemCode',
  'code-expired': 'problemCode',
  'too-many-tries': 'problemTries',
  'foreign-host': 'problemName',
  'foreign-origin': 'problemOld',
};

/** The form by which the extension joins a list. `onJoined` is called when it is in. */
export function joinForm(standing: Standing, onJoined: () => void): HTMLElement {
  const address = make('input', {
    type: 'text',
    value: standing.address,
    placeholder: 'http://127.0.0.1:4170',
    autocomplete: 'off',
    spellcheck: false,
    id: 'address',
  });
  const code = make('input', { type: 'text', autocomplete: 'off', spellcheck: false, id: 'code', className: 'code' });
  const problem = make('p', { role: 'alert', className: 'problem' });
  const join = make('button', { className: 'primary', type: 'submit' }, say('join'));
  const form = make(
    'form',
    { className: 'stack' },
    make('p', {}, say(standing.phase === 'out' ? 'signedOut' : 'joinHow')),
    make('label', {}, make('span', {}, say('address')), address),
    make('label', {}, make('span', {}, say('code')), code),
    problem,
    join,
  );
  form.addEventListener('submit', (event) => {
    event.preventDefault();
    join.disabled = true;
    problem.textContent = '';
    void askForPanel('join', { address: address.value, code: code.value, name: say('deviceName') })
      .then(({ problem: why }) => {
        if (why === null) onJoined();
        else problem.textContent = say(PROBLEMS[why] ?? 'problemOther');
      })
      .finally(() => (join.disabled = false));
  });
  return form;
}
