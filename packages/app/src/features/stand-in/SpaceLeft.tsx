import { t } from '@lingui/core/macro';
import { editing } from '@yellow-latch/replica/commands/shortcuts';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { useCommand } from '@/frame/replica/useCommand';
import { LatchButton } from '@/look/LatchButton';

import { useStandIn } from './useStandIn';

/** The space that a shortcut left behind in a mail field: why, and how it never comes again. */
export function SpaceLeft({ field, onFixed }: { field: string; onFixed: () => void }) {
  const run = useCommand();
  const { typing, shortcutOf, kept } = useStandIn();
  const shortcut = shortcutOf(typing.expandedIn(field) ?? '');
  const takeOff = () => {
    typing.trim(field);
    typing.line.set(null);
    onFixed();
  };
  if (kept.source === 'own')
    return (
      <View style={styles.why}>
        <Text variant="bodyMedium">{t`This device’s own list always keeps the space you type after a code. Delete it here each time.`}</Text>
        <LatchButton label={t`Delete the space`} isQuiet onPress={takeOff} />
      </View>
    );
  if (!shortcut) return <LatchButton label={t`Delete the space`} isQuiet onPress={takeOff} />;
  const { code, rules } = shortcut;
  const fix = () => {
    void run(
      editing(shortcut, { rules: { ...rules, delimiter: 'drop' } }),
      t`“${code}” leaves no space behind from now on.`,
    ).then(takeOff);
  };
  return (
    <View style={styles.why}>
      <Text variant="bodyMedium">{t`The space you typed to expand “${code}” is still there.`}</Text>
      <LatchButton label={t`No space after “${code}”`} isQuiet onPress={fix} />
    </View>
  );
}

const styles = StyleSheet.create({ why: { gap: 8, alignItems: 'flex-start' } });
