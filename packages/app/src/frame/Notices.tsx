import { t } from '@lingui/core/macro';
import { createContext, use, useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text, useTheme } from 'react-native-paper';

import type { Theme } from '@/look/theme';
import { useLatest } from '@/look/useLatest';

export interface Notice {
  text: string;
  action?: { label: string; onPress: () => void };
}

interface Shown extends Notice {
  /** When it came; ms since the page was opened. */
  readonly since: number;
}

const NoticeContext = createContext<(notice: Notice) => void>(() => {});
const ShownContext = createContext<{ shown: Shown | null; hide: () => void }>({ shown: null, hide: () => {} });

/** Time to read a notice, in ms; one with something to undo stays longer. */
const SHORT = 4_000;
const LONG = 12_000;
/** Holds the one notice there is. */
export function NoticeProvider({ children }: { children: ReactNode }) {
  const [shown, setShown] = useState<Shown | null>(null);
  const show = useCallback((notice: Notice) => setShown({ ...notice, since: performance.now() }), []);
  const hide = useCallback(() => setShown(null), []);
  const value = useMemo(() => ({ shown, hide }), [shown, hide]);
  return (
    <NoticeContext value={show}>
      <ShownContext value={value}>{children}</ShownContext>
    </NoticeContext>
  );
}

export function useNotice(): (notice: Notice) => void {
  return use(NoticeContext);
}

/** A notice leaves when one goes on to another page, by its path; not with the page that it came with. */
export function useNoticeLeaving(pathname: string): void {
  const { shown, hide } = use(ShownContext);
  const latest = useLatest(shown);
  const lastInput = useRef(0);
  useEffect(() => {
    const note = () => (lastInput.current = performance.now());
    const kinds = ['pointerdown', 'keydown'] as const;
    kinds.forEach((kind) => addEventListener(kind, note, true));
    return () => kinds.forEach((kind) => removeEventListener(kind, note, true));
  }, []);
  useEffect(() => {
    // The tap on Save, say, leads to the list and came before its notice.
    if (latest.current && lastInput.current > latest.current.since) hide();
  }, [pathname, latest, hide]);
}

/** What keys do to the notice that is there; false: there is none for it. */
export function useNoticeKeys(): { focus: () => boolean; undo: () => boolean; redo: () => boolean } {
  const { shown, hide } = use(ShownContext);
  const take = (label: string) => {
    if (shown?.action?.label !== label) return false;
    hide();
    shown.action.onPress();
    return true;
  };
  return {
    focus: () => {
      const button = document.querySelector<HTMLElement>(`#${NOTICE} button, #${NOTICE} [role=button]`);
      button?.focus();
      return button !== null;
    },
    undo: () => take(t`Undo`),
    redo: () => take(t`Redo`),
  };
}

const NOTICE = 'notice';

/** One line that says what was done and how to take it back. It has a place of its own and covers nothing. */
export function NoticeBar() {
  const { colors } = useTheme<Theme>();
  const { shown, hide } = use(ShownContext);
  const { onHeld, onLeft } = useReadingTime(shown, hide);
  return (
    // A screen reader reads what comes into a place that was there before.
    <View role="status" nativeID={NOTICE}>
      {shown && (
        <View
          onPointerEnter={onHeld}
          onPointerLeave={onLeft}
          onFocus={onHeld}
          onBlur={onLeft}
          style={[styles.bar, { backgroundColor: colors.inverseSurface }]}
        >
          <Text variant="bodyMedium" style={[styles.text, { color: colors.inverseOnSurface }]}>
            {shown.text}
          </Text>
          {shown.action && (
            <Button
              mode="text"
              textColor={colors.inverseOnSurface}
              labelStyle={styles.action}
              contentStyle={styles.tall}
              onPress={() => {
                hide();
                shown.action?.onPress();
              }}
            >
              {shown.action.label}
            </Button>
          )}
        </View>
      )}
    </View>
  );
}

/** Hides a notice when it could be read; not while the pointer is over it or the focus in it. */
function useReadingTime(shown: Shown | null, hide: () => void): { onHeld: () => void; onLeft: () => void } {
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const stop = useCallback(() => clearTimeout(timer.current), []);
  const begin = useCallback(() => {
    stop();
    if (shown) timer.current = setTimeout(hide, shown.action ? LONG : SHORT);
  }, [shown, hide, stop]);
  useEffect(() => {
    begin();
    return stop;
  }, [begin, stop]);
  return { onHeld: stop, onLeft: begin };
}

const styles = StyleSheet.create({
  bar: { flexDirection: 'row', alignItems: 'center', minHeight: 48, paddingLeft: 16, paddingRight: 4 },
  text: { flex: 1, paddingVertical: 8 },
  action: { textDecorationLine: 'underline' },
  tall: { minHeight: 48 },
});
