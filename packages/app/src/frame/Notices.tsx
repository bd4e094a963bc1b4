import { createContext, use, useCallback, useMemo, useState, type ReactNode } from 'react';
import { StyleSheet } from 'react-native';
import { Snackbar, useTheme } from 'react-native-paper';

import type { Theme } from '@/look/theme';
import { useIsWide } from '@/look/useLook';

export interface Notice {
  text: string;
  action?: { label: string; onPress: () => void };
}

const NoticeContext = createContext<(notice: Notice) => void>(() => {});
const ShownContext = createContext(false);

/** Time to read a notice, in ms; one with something to undo stays longer. */
const SHORT = 4_000;
const LONG = 12_000;

/** One line over the foot of the screen that says what was done and how to take it back. */
export function NoticeProvider({ children }: { children: ReactNode }) {
  const { colors } = useTheme<Theme>();
  const isWide = useIsWide();
  const [notice, setNotice] = useState<Notice | null>(null);
  const [isVisible, setVisible] = useState(false);
  const show = useCallback((next: Notice) => {
    setNotice(next);
    setVisible(true);
  }, []);
  const action = useMemo(
    () =>
      notice?.action && {
        label: notice.action.label,
        onPress: notice.action.onPress,
        textColor: colors.inverseOnSurface,
        labelStyle: styles.action,
      },
    [notice, colors],
  );
  return (
    <NoticeContext value={show}>
      <ShownContext value={isVisible}>{children}</ShownContext>
      <Snackbar
        key={notice?.text}
        visible={isVisible}
        onDismiss={() => setVisible(false)}
        duration={notice?.action ? LONG : SHORT}
        action={action}
        wrapperStyle={isWide ? styles.widePlace : styles.place}
        style={styles.bar}
      >
        {notice?.text ?? ''}
      </Snackbar>
    </NoticeContext>
  );
}

export function useNotice(): (notice: Notice) => void {
  return use(NoticeContext);
}

/** Whether one is shown: it covers what is at the foot of the screen. */
export function useIsNoticeShown(): boolean {
  return use(ShownContext);
}

const styles = StyleSheet.create({
  // Over what is done least: above the bars at the foot, or above the foot of the detail.
  place: { bottom: 138 },
  widePlace: { bottom: 76, left: undefined, right: 8, alignItems: 'flex-end' },
  bar: { maxWidth: 560, borderRadius: 6 },
  action: { textDecorationLine: 'underline' },
});
