import Svg, { Circle, Path, Rect } from 'react-native-svg';

import { usePalette } from './useLook';

/** Our mark: a latch bar shut into its keep. */
export function LatchMark({ size = 32 }: { size?: number }) {
  const { ink, latch, onLatch, surface } = usePalette();
  return (
    <Svg width={size} height={size} viewBox="0 0 32 32" aria-hidden>
      <Rect x={19} y={4} width={9} height={24} rx={2} fill={surface} stroke={ink} strokeWidth={2} />
      <Path
        d="M4 12h17a3 3 0 0 1 3 3v2a3 3 0 0 1-3 3H4z"
        fill={latch}
        stroke={ink}
        strokeWidth={2}
        strokeLinejoin="round"
      />
      <Circle cx={9} cy={16} r={1.8} fill={onLatch} />
    </Svg>
  );
}
