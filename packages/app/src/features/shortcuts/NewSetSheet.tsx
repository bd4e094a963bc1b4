import { t } from '@lingui/core/macro';
import { isLineTooLong, LIMITS } from '@yellow-latch/core/model';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { Field } from '@/look/Field';
import { LatchButton } from '@/look/LatchButton';
import { Sheet } from '@/look/Sheet';
import { tellTooLong } from '@/parts/kinds';

interface NewSetSheetProps {
  isOpen: boolean;
  onClose: () => void;
  onMake: (name: string) => void;
}

/** Asks how a new set is to be called, for what is to be moved into it. */
export function NewSetSheet(props: NewSetSheetProps) {
  return (
    <Sheet title={t`New set`} isOpen={props.isOpen} onClose={props.onClose}>
      {props.isOpen && <NewSet {...props} />}
    </Sheet>
  );
}

function NewSet({ onMake }: NewSetSheetProps) {
  const [name, setName] = useState('');
  const wanted = name.trim();
  const isTooLong = isLineTooLong(wanted, LIMITS.setNameClusters);
  const make = () => {
    if (wanted !== '' && !isTooLong) onMake(wanted);
  };
  return (
    <View style={styles.body}>
      <Field
        label={t`Name of the new set`}
        value={name}
        onChangeText={setName}
        onBlur={() => {}}
        onSubmit={make}
        startsHere
        error={isTooLong ? tellTooLong(LIMITS.setNameClusters) : undefined}
      />
      {wanted !== '' && !isTooLong && <LatchButton label={t`Move`} icon="check" onPress={make} />}
    </View>
  );
}

const styles = StyleSheet.create({ body: { paddingHorizontal: 20, gap: 12 } });
