import { t } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';

import { LatchButton } from '@/look/LatchButton';

import { FieldBox } from '../FieldBox';
import { useFinish } from '../useFinish';
import { useStandIn } from '../useStandIn';

/** A page for one text: a note, or a long report. */
export function Page({ field }: { field: 'note' | 'report' }) {
  const { memory, typing, kept } = useStandIn();
  const finish = useFinish();
  return (
    <View style={styles.place}>
      <FieldBox
        key={memory.scope + field}
        name={field}
        label={field === 'note' ? t`Note` : t`Condition report`}
        type="lines"
        fills
      />
      <View style={styles.foot}>
        <Button mode="text" contentStyle={styles.tall} onPress={() => typing.empty([field])}>{t`Clear`}</Button>
        {kept.job && (
          <LatchButton label={t`Done`} icon="check" onPress={() => finish({ [field]: memory.textOf(field) })} />
        )}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  place: { flex: 1, minHeight: 0, padding: 16, gap: 8 },
  foot: { flexDirection: 'row', justifyContent: 'flex-end', gap: 12 },
  tall: { minHeight: 48 },
});
