import { createContext, use, useCallback, useMemo, useState, type ReactNode } from 'react';
import { StyleSheet } from 'react-native';
import { Snackbar } from 'react-native-paper';

import { usePalette } from '@/look/useLook';

export interface Notice {
  text: string;
  action?: { label: string; onPress: () => void };
}

const NoticeContext = createContext<(notice: Notice) => void>(() => {});

/** Time to read a notice, in ms; one with something to undo stays longer. */
const SHORT = 4_000;
const LONG = 12_000;

/** One line over the foot of the screen that says what was done and how to take it back. */
export function NoticeProvider({ children }: { children: ReactNode }) {
  const palette = usePalette();
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
        textColor: palette.latch,
        labelStyle: styles.action,
      },
    [notice, palette],
  );
  return (
    <NoticeContext value={show}>
      {children}
      <Snackbar
        key={notice?.text}
        visible={isVisible}
        onDismiss={() => setVisible(false)}
        duration={notice?.action ? LONG : SHORT}
        action={action}
        wrapperStyle={styles.place}
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

const styles = StyleSheet.create({
  place: { bottom: 72, alignItems: 'center' },
  bar: { maxWidth: 560, width: '100%', borderRadius: 6 },
  action: { textDecorationLine: 'underline' },
});
