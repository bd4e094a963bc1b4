import { conductOn, USUAL } from './settings';

const at = (host: string, more: Partial<typeof USUAL> = {}) => conductOn(host, { ...USUAL, ...more }, 1_000);

test('it is on everywhere, but where a site was switched off or a pause has not ended', () => {
  expect(at('mail.example')).toMatchObject({ isOn: true, evenCode: false, expands: 'itself' });
  const sites = { 'bank.example': 'off', 'notes.example': 'code' } as const;
  expect(at('bank.example', { sites }).isOn).toBe(false);
  expect(at('notes.example', { sites })).toMatchObject({ isOn: true, evenCode: true });
  expect(at('mail.example', { sites }).isOn).toBe(true);
  expect(at('mail.example', { pausedUntil: 1_001 }).isOn).toBe(false);
  expect(at('mail.example', { pausedUntil: 1_000 }).isOn).toBe(true);
});
