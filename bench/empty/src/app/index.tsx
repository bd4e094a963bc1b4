import { Text } from 'react-native-paper';
import Svg, { Circle } from 'react-native-svg';
import { z } from 'zod';

const Words = z.object({ said: z.string() });

export default function Index() {
  return (
    <>
      <Svg width={24} height={24}>
        <Circle cx={12} cy={12} r={8} />
      </Svg>
      <Text>{Words.parse({ said: 'Nothing yet' }).said}</Text>
    </>
  );
}
