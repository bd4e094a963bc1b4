import { t } from '@lingui/core/macro';
import type { ImportChoice } from '@yellow-latch/core/exchange/choice';
import type { PlannedRow } from '@yellow-latch/core/exchange';
import { checkCode, matchKey, trimCode } from '@yellow-latch/core/model';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { MASK } from '@/answers/audit/sentences/mask';
import { tellProblem } from '@/parts/kinds';
import { Field } from '@/look/Field';
import { LatchButton } from '@/look/LatchButton';
import { Sheet } from '@/look/Sheet';
import { RadioGroup } from '@/look/RadioGroup';
import { Tick } from '@/look/Tick';
import { useList } from '@/frame/replica/ReplicaProvider';

import { knownIdOf } from './groups';

interface RowSheetProps {
  row: PlannedRow;
  all: readonly PlannedRow[];
  choice: ImportChoice;
  onClose: () => void;
  onChoose: (choice: ImportChoice) => void;
}

/** What is to become of one row: out, in under this or another code, or in place of what has its code. */
export function RowSheet({ row, all, choice, onClose, onChoose }: RowSheetProps) {
  const { shortcuts } = useList();
  const [picked, setPicked] = useState<'leave' | 'in' | 'replace'>(() => {
    if (choice.do === 'replace') return 'replace';
    return choice.do === 'leave' && row.status === 'new' ? 'leave' : 'in';
  });
  const own = row.status === 'refused' ? '' : row.wanted.fields.code;
  const near = row.status === 'changed' ? `${own}2` : own;
  const free = row.status === 'in use' ? row.free : near;
  const [code, setCode] = useState(choice.do === 'recode' ? choice.code : free);
  const [error, setError] = useState<string>();
  if (row.status === 'refused' || row.status === 'same') return null;
  const holder = shortcuts.find(({ id }) => id === knownIdOf(row));
  const decide = () => {
    if (picked !== 'in') {
      onChoose({ do: picked === 'replace' && row.status === 'changed' ? 'take' : picked });
      onClose();
      return;
    }
    const typed = trimCode(code);
    const problem = checkCode(typed);
    const key = matchKey(typed);
    const isInUse =
      shortcuts.some((one) => matchKey(one.code) === key) ||
      all.some(
        (other) =>
          other !== row &&
          other.status !== 'refused' &&
          other.status !== 'in use' &&
          matchKey(other.wanted.fields.code) === key,
      );
    if (problem) setError(tellProblem('code', problem));
    else if (isInUse) setError(t`“${typed}” is in use. Choose another code.`);
    else {
      onChoose(typed === own && row.status === 'new' ? { do: 'take' } : { do: 'recode', code: typed });
      onClose();
    }
  };
  return (
    <Sheet title={t`Line ${{ line: row.line }}`} isOpen onClose={onClose}>
      <ScrollView contentContainerStyle={styles.body}>
        <RadioGroup label={t`What to do`} hasChosen>
          <Tick role="radio" isOn={picked === 'leave'} onPress={() => setPicked('leave')}>
            <Text variant="bodyLarge">{holder ? t`Keep mine` : t`Skip it`}</Text>
          </Tick>
          <Tick role="radio" isOn={picked === 'in'} onPress={() => setPicked('in')}>
            <Text variant="bodyLarge">{t`Import it with this code`}</Text>
          </Tick>
          {holder && (
            <Tick role="radio" isOn={picked === 'replace'} onPress={() => setPicked('replace')}>
              <Text variant="bodyLarge">{t`Replace the text of “${{ code: holder.code }}”`}</Text>
            </Tick>
          )}
        </RadioGroup>
        {picked === 'in' && (
          <Field
            label={t`You type`}
            isCode
            value={code}
            onChangeText={setCode}
            onBlur={() => {}}
            onSubmit={decide}
            error={error}
          />
        )}
        {holder && (
          <Text variant="bodySmall">{t`In your list: ${{ code: holder.code }} → ${{ text: holder.private ? MASK : holder.content.expansion.slice(0, 120) }}`}</Text>
        )}
      </ScrollView>
      <View style={styles.foot}>
        <LatchButton label={t`Done`} onPress={decide} />
      </View>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  body: { paddingHorizontal: 20, gap: 10 },
  foot: { paddingHorizontal: 20, paddingTop: 8, alignItems: 'flex-end' },
});
