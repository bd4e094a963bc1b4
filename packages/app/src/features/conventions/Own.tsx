import { plural, t } from '@lingui/core/macro';
import { recogniseConventions } from '@yellow-latch/core/convention/recognise';
import type { ChosenConvention, Shortcut } from '@yellow-latch/core/model';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { CodePlate } from '@/look/CodePlate';
import { PressLink } from '@/look/PressLink';

import { tellRecognised } from './words';

/** At most so many strays are shown. */
const MOST_STRAYS = 12;

interface OwnProps {
  shortcuts: readonly Shortcut[];
  conventions: readonly ChosenConvention[];
  onOpen: (id: string) => void;
}

/** The convention that the codes show, and those that stray from it. */
export function Own({ shortcuts, conventions, onOpen }: OwnProps) {
  const recognised = recogniseConventions(shortcuts, conventions);
  const strays = shortcuts.filter(({ id }) => recognised.strays.includes(id));
  return (
    <View style={styles.own}>
      <Text variant="bodyLarge">{tellRecognised(recognised)}</Text>
      {strays.length > 0 && (
        <View style={styles.strays} role="group" aria-label={t`Other codes`}>
          <Text variant="bodyMedium">{t`Others:`}</Text>
          {strays.slice(0, MOST_STRAYS).map(({ id, code }) => (
            <PressLink key={id} onPress={() => onOpen(id)} aria-label={t`Open ${code}`} style={styles.stray}>
              <CodePlate code={code} />
            </PressLink>
          ))}
          {strays.length > MOST_STRAYS && (
            <Text variant="bodyMedium">{plural(strays.length - MOST_STRAYS, { other: 'and # more' })}</Text>
          )}
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  own: { gap: 4 },
  strays: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 10 },
  stray: { minHeight: 48, justifyContent: 'center' },
});
