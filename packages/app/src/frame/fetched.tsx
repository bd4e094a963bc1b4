import { t } from '@lingui/core/macro';
import { lazy, type ComponentType, type LazyExoticComponent } from 'react';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';

/**
 * A part of a screen that is fetched when it is first shown. Where that fails it says so in its place, and the rest of
 * the screen stays.
 */
export function fetched<Props extends object>(
  load: () => Promise<{ default: ComponentType<Props> }>,
): LazyExoticComponent<ComponentType<Props>> {
  return lazy(async () => {
    try {
      return await load();
    } catch {
      return { default: Missing };
    }
  });
}

function Missing() {
  return (
    <View role="alert">
      <Text variant="bodyMedium">{t`This part didn’t load: you’re offline. Nothing is lost.`}</Text>
      <Button
        mode="text"
        onPress={() => globalThis.location.reload()}
        contentStyle={{ minHeight: 48 }}
      >{t`Try again`}</Button>
    </View>
  );
}
