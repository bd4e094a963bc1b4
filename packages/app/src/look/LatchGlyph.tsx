import type { Severity } from '@yellow-latch/core/clash/finding';
import { memo } from 'react';
import Svg, { Circle, Path, Rect } from 'react-native-svg';

import { usePalette } from './useLook';

/**
 * The verdict on a code in three shapes: the bar shut into its keep (a dot above it for a note), ajar before it, or sprung out of
 * line with its pin broken. The shapes tell it alone; colour only helps.
 */
export const LatchGlyph = memo(function LatchGlyph({
  verdict,
  size = 24,
}: {
  verdict: Severity | 'safe';
  size?: number;
}) {
  const { ink, surface, alarm } = usePalette();
  const isSprung = verdict === 'breaks';
  const stroke = isSprung ? alarm : ink;
  const bar = {
    safe: 'M2 9h15v6H2z',
    note: 'M2 9h15v6H2z',
    risky: 'M2 9h9v6H2z',
    breaks: 'M1.8 12.6 8.6 3.4l4.6 3.4L6.4 16z',
  }[verdict];
  return (
    <Svg width={size} height={size} viewBox="0 0 24 24" aria-hidden>
      <Rect x={15} y={3} width={7} height={18} rx={1.5} fill={surface} stroke={stroke} strokeWidth={2} />
      <Path
        d={bar}
        fill={verdict === 'risky' || isSprung ? surface : ink}
        stroke={stroke}
        strokeWidth={2}
        strokeLinejoin="round"
      />
      {isSprung && <Path d="M5 21h6" stroke={stroke} strokeWidth={2} strokeLinecap="round" />}
      {verdict === 'note' && <Circle cx={6} cy={4} r={2.6} fill={ink} />}
    </Svg>
  );
});
