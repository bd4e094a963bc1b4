import { plural, t } from '@lingui/core/macro';
import { countTags } from '@yellow-latch/core/standIn';
import { StyleSheet, View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import { Text } from 'react-native-paper';

import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';
import { tellList } from '@/wording/format';

import { FieldBox } from '../FieldBox';
import { useFinish } from '../useFinish';
import { useStandIn } from '../useStandIn';

const FIELD = 'caption';
/** No more tags than this are taken. */
const MOST_TAGS = 8;

/** Words under a picture, with tags: no more than are taken, and none twice. */
export function Caption() {
  const palette = usePalette();
  const { memory, typing } = useStandIn();
  const finish = useFinish();
  const text = memory.textOf(FIELD);
  const { count, repeated } = countTags(text);
  const isWrong = count > MOST_TAGS || repeated.length > 0;
  const post = () => {
    if (text.trim() === '') return typing.say(t`There’s nothing to post yet.`, true);
    if (isWrong) return typing.say(tellTags(count, repeated), true);
    if (!finish({ [FIELD]: text })) return;
    memory.send({ [FIELD]: text });
    typing.empty([FIELD]);
    if (!memory.value.job) typing.say(t`Posted.`);
  };
  return (
    <View style={styles.place}>
      <View aria-hidden style={[styles.picture, { backgroundColor: palette.line }]}>
        <Strings color={palette.inkSoft} />
      </View>
      <FieldBox key={memory.scope} name={FIELD} label={t`Caption`} type="lines" fills />
      <View style={styles.foot}>
        <Text role="status" variant="bodyMedium" style={[styles.count, isWrong && { color: palette.alarm }]}>
          {tellTags(count, repeated)}
        </Text>
        <LatchButton label={t`Post`} onPress={post} />
      </View>
    </View>
  );
}

function tellTags(count: number, repeated: readonly string[]): string {
  if (repeated.length > 0) return t`Twice: ${{ tags: tellList(repeated) }}`;
  const over = count - MOST_TAGS;
  if (over > 0) return plural(over, { one: '# tag too many', other: '# tags too many' });
  return t`${count} of ${MOST_TAGS} tags`;
}

/** A picture to write under: the strings of a piano. */
function Strings({ color }: { color: string }) {
  return (
    <Svg width="100%" height="100%" viewBox="0 0 320 72" preserveAspectRatio="none">
      <Rect x={0} y={58} width={320} height={6} fill={color} opacity={0.5} />
      {Array.from({ length: 20 }, (_, at) => (
        <Line
          key={at}
          x1={8 + at * 16}
          y1={0}
          x2={14 + at * 16}
          y2={72}
          stroke={color}
          strokeWidth={at < 6 ? 2.5 : 1}
        />
      ))}
    </Svg>
  );
}

const styles = StyleSheet.create({
  place: { flex: 1, minHeight: 0, padding: 16, gap: 10 },
  picture: { height: 72, borderRadius: 6, overflow: 'hidden' },
  foot: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  count: { flex: 1 },
});
