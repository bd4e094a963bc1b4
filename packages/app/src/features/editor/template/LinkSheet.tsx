import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { Field } from '@/look/Field';
import { LatchButton } from '@/look/LatchButton';
import { Sheet } from '@/look/Sheet';

import { addressOf, linkOf } from './link';

interface LinkSheetProps {
  /** What was selected in the text, which the link takes the place of. */
  words: string;
  /** The link as it goes into the text. */
  onDone: (link: string) => void;
  onClose: () => void;
}

/** Words that lead to a page: what is read, and the address it leads to. */
export function LinkSheet({ words, onDone, onClose }: LinkSheetProps) {
  const [label, setLabel] = useState(words);
  const [address, setAddress] = useState('');
  const [isAsked, setAsked] = useState(false);
  const target = addressOf(address);
  const done = () => {
    setAsked(true);
    if (target !== null) onDone(linkOf(label.trim() || address.trim(), target));
  };
  return (
    <Sheet title={t`Link`} isOpen onClose={onClose}>
      <View style={styles.body}>
        <Field
          label={t`Words`}
          value={label}
          onChangeText={setLabel}
          onBlur={() => {}}
          onSubmit={done}
          placeholder={t`Book a visit`}
          startsHere
        />
        <Field
          label={t`Address`}
          value={address}
          onChangeText={setAddress}
          onBlur={() => {}}
          onSubmit={done}
          isCode
          inputMode="url"
          placeholder="https://"
          error={
            isAsked && target === null ? t`Type the address of a page, like https://corrieandvale.example` : undefined
          }
        />
      </View>
      <View style={styles.foot}>
        <LatchButton label={t`Insert`} icon="check" onPress={done} />
      </View>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  body: { paddingHorizontal: 20, paddingBottom: 12, gap: 8 },
  foot: { flexDirection: 'row', justifyContent: 'flex-end', paddingHorizontal: 20 },
});
