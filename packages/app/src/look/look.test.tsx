import { render, screen } from '@testing-library/react';
import { PaperProvider } from 'react-native-paper';

import { tellSync } from '@/frame/SyncLine';

import { CodePlate } from './CodePlate';
import { paperSettings } from './icons';
import { PALETTES, themeOf } from './theme';

/** Relative luminance and contrast ratio as WCAG 2.2 defines them. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const channel = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
    return channel <= 0.04045 ? channel / 12.92 : ((channel + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
}

function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (light! + 0.05) / (dark! + 0.05);
}

test('contrast is computed as WCAG 2.2 does', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 5);
  // From WCAG's own examples of the least grey that passes on white.
  expect(contrast('#767676', '#ffffff')).toBeCloseTo(4.54, 2);
});

describe.each(['light', 'dark'] as const)('the %s palette', (scheme) => {
  const { ground, surface, ink, inkSoft, latch, onLatch, keyline, alarm } = PALETTES[scheme];

  test.each([
    ['ink on ground', ink, ground],
    ['ink on surface', ink, surface],
    ['soft ink on ground', inkSoft, ground],
    ['soft ink on surface', inkSoft, surface],
    ['text on the latch', onLatch, latch],
    ['alarm on ground', alarm, ground],
  ])('%s can be read (WCAG 2.2, 1.4.3)', (_name, text, back) => {
    expect(contrast(text, back)).toBeGreaterThanOrEqual(4.5);
  });

  test('every yellow has a keyline that stands out from the ground (WCAG 2.2, 1.4.11)', () => {
    expect(contrast(keyline, ground)).toBeGreaterThanOrEqual(3);
    expect(contrast(keyline, surface)).toBeGreaterThanOrEqual(3);
  });
});

describe('the code plate', () => {
  const show = (code: string) =>
    render(
      <PaperProvider theme={themeOf('light')} settings={paperSettings}>
        <CodePlate code={code} />
      </PaperProvider>,
    );

  test('sets the marker apart, and is read as one code', () => {
    show(';ws');
    expect(screen.getByRole('img', { name: 'Code ;ws' })).toBeTruthy();
    expect(screen.getByText(';')).toBeTruthy();
    expect(screen.getByText('ws')).toBeTruthy();
  });

  test('has no marker where the code has none, and shows a blank inside', () => {
    show('big oar');
    expect(screen.getByText('big␣oar')).toBeTruthy();
  });
});

test.each([
  [{ phase: 'in-step', waiting: 0, refusals: [] }, 'Synced'],
  [{ phase: 'in-step', waiting: 2, refusals: [] }, 'Sending 2 changes'],
  [{ phase: 'away', waiting: 1, refusals: [] }, 'Offline. 1 change to send'],
  [{ phase: 'away', waiting: 0, refusals: [] }, 'Offline. Saved on this device'],
  [
    { phase: 'in-step', waiting: 0, refusals: ['list-too-large'] },
    '1 change isn’t on the server. Your list is full. Delete something first.',
  ],
  [
    { phase: 'away', waiting: 2, refusals: [], trouble: 'disk-full' },
    'The server’s disk is full. Your changes stay on this device until there’s room.',
  ],
  [
    { phase: 'in-step', waiting: 1, refusals: [], mayOnlyUse: true },
    '1 change not sent: this device can’t change the list',
  ],
] as const)('the line on sync says %j', (state, text) => {
  expect(tellSync({ trouble: null, inStepAt: null, mayOnlyUse: false, ...state }).text).toBe(text);
});
