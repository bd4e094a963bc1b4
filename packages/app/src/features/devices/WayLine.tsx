import { useRouter, type Href } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { STRONG } from '@/look/fonts';
import { Icon, type IconName } from '@/look/icons';
import { PressLink } from '@/look/PressLink';
import { usePalette } from '@/look/useLook';

interface WayLineProps {
  icon: IconName;
  path: Href;
  label: string;
  isHere?: boolean;
  isLoud?: boolean;
  children: string;
}

/** A line that leads to a page of this place, and says what is there. */
export function WayLine({ icon, path, label, isHere = false, isLoud = false, children }: WayLineProps) {
  const palette = usePalette();
  const router = useRouter();
  return (
    <PressLink
      aria-label={`${label}. ${children}`}
      aria-current={isHere ? 'page' : undefined}
      onPress={() => router.navigate(path)}
      style={[
        styles.line,
        isLoud ? [styles.loud, { borderColor: palette.ink }] : { borderColor: palette.line },
        isHere && { backgroundColor: palette.surface },
      ]}
    >
      <Icon name={icon} size={22} color={palette.ink} />
      <View style={styles.words}>
        <Text variant="bodyLarge" style={STRONG}>
          {label}
        </Text>
        <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
          {children}
        </Text>
      </View>
      <Icon name="chevron-right" size={18} color={palette.inkSoft} />
    </PressLink>
  );
}

const styles = StyleSheet.create({
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 14,
    minHeight: 64,
    paddingVertical: 8,
    paddingHorizontal: 12,
    borderWidth: 1.5,
    borderRadius: 8,
  },
  loud: { borderLeftWidth: 6, paddingLeft: 7.5 },
  words: { flex: 1, minWidth: 0 },
});
