import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { Sheet } from '@/look/Sheet';

import { WhereCodesExpand } from './WhereCodesExpand';

/** Tells where codes expand to who has no shortcut yet, over the page they are on. */
export function WhereLink() {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Pressable role="button" aria-haspopup="dialog" onPress={() => setOpen(true)} style={styles.link}>
        <Text variant="bodyLarge" style={styles.underlined}>{t`Where codes expand`}</Text>
      </Pressable>
      <Sheet title={t`Where codes expand`} isOpen={isOpen} onClose={() => setOpen(false)}>
        <View style={styles.body}>
          <WhereCodesExpand />
        </View>
      </Sheet>
    </>
  );
}

const styles = StyleSheet.create({
  link: { minHeight: 48, justifyContent: 'center', alignSelf: 'flex-start' },
  underlined: { textDecorationLine: 'underline' },
  body: { paddingHorizontal: 20, paddingBottom: 12 },
});
