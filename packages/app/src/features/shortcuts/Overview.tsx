import { t } from '@lingui/core/macro';
import { shownText, type Shortcut } from '@yellow-latch/core/model';
import { useRouter } from 'expo-router';
import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { useAudit } from '@/answers/audit/AuditProvider';
import { MASK } from '@/answers/audit/sentences';
import { useAnswer } from '@/answers/effort/useAnswer';
import { useEffortRequest } from '@/answers/effort/useEffortRequest';
import { useList } from '@/frame/replica/ReplicaProvider';
import { CodePlate } from '@/look/CodePlate';
import { STRONG } from '@/look/fonts';
import { PressLink } from '@/look/PressLink';
import { usePalette } from '@/look/useLook';
import { pathOfChecked } from '@/parts/findings/path';
import { tellDuration, tellMoment } from '@/wording/format';

/** So many are shown of each. */
const MOST = 4;

/** Beside the list while nothing of it is open: what needs fixing, what changed lately, what saves most. */
export default function Overview() {
  const router = useRouter();
  const { shortcuts } = useList();
  const { findings } = useAudit();
  const request = useEffortRequest();
  const { answer: savings } = useAnswer(request, ({ effort }) => effort.savings(request!));
  const open = ({ id }: Shortcut) => router.navigate({ pathname: '/shortcut/[id]', params: { id } });
  const worst = findings.open.flatMap(({ severity, shortcuts: [id] }) => (severity === 'breaks' ? id! : []));
  const toFix = [...new Set(worst)]
    .slice(0, MOST)
    .flatMap((id) => shortcuts.find((shortcut) => shortcut.id === id) ?? []);
  const changed = [...shortcuts].sort((a, b) => b.changed - a.changed).slice(0, MOST);
  const best = (savings?.each ?? [])
    .filter(({ verdict }) => verdict === 'pays')
    .slice(0, MOST)
    .flatMap(({ id, week }) => {
      const shortcut = shortcuts.find((one) => one.id === id);
      return shortcut && week ? [{ shortcut, seconds: week.seconds }] : [];
    });
  return (
    <ScrollView contentContainerStyle={styles.page}>
      {toFix.length > 0 && (
        <Part title={t`Needs fixing`}>
          {toFix.map((shortcut) => (
            <Line key={shortcut.id} shortcut={shortcut} onPress={() => router.navigate(pathOfChecked(shortcut.id))} />
          ))}
        </Part>
      )}
      <Part title={t`Changed lately`}>
        {changed.map((shortcut) => (
          <Line
            key={shortcut.id}
            shortcut={shortcut}
            note={tellMoment(shortcut.changed)}
            onPress={() => open(shortcut)}
          />
        ))}
      </Part>
      {best.length > 0 && (
        <Part title={t`Save most`}>
          {best.map(({ shortcut, seconds }) => (
            <Line
              key={shortcut.id}
              shortcut={shortcut}
              note={t`${{ time: tellDuration(seconds) }} a week`}
              onPress={() => open(shortcut)}
            />
          ))}
        </Part>
      )}
    </ScrollView>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  const palette = usePalette();
  return (
    <View style={[styles.part, { borderColor: palette.ink }]}>
      <Text variant="titleMedium" role="heading" aria-level={2} style={STRONG}>
        {title}
      </Text>
      {children}
    </View>
  );
}

interface LineProps {
  shortcut: Shortcut;
  note?: string;
  onPress: () => void;
}

function Line({ shortcut, note, onPress }: LineProps) {
  const palette = usePalette();
  const text = shortcut.private
    ? MASK
    : shownText(shortcut)
        .trim()
        .replaceAll(/\s*\n\s*/gu, ' ↵ ');
  return (
    <PressLink
      aria-label={[shortcut.code, text.slice(0, 120), note].filter(Boolean).join(', ')}
      onPress={onPress}
      style={styles.line}
    >
      <View style={styles.code}>
        <CodePlate code={shortcut.code} />
      </View>
      <Text variant="bodyMedium" numberOfLines={1} style={styles.text}>
        {text}
      </Text>
      {note !== undefined && (
        <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
          {note}
        </Text>
      )}
    </PressLink>
  );
}

const styles = StyleSheet.create({
  page: { padding: 24, gap: 20, maxWidth: 720 },
  part: { borderTopWidth: 1.5, paddingTop: 10 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 48 },
  code: { minWidth: 86 },
  text: { flex: 1, minWidth: 0 },
});
