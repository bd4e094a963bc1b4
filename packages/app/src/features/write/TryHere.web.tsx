import { t } from '@lingui/core/macro';
import { DeviceList } from '@yellow-latch/core/compose';
import { GAP } from '@yellow-latch/core/expansion/segment';
import { CompiledList } from '@yellow-latch/core/fire';
import { THIS_APP } from '@yellow-latch/core/profile';
import { attach, type AskedEvent, type Field } from '@yellow-latch/field/own';
import { useEffect, useId, useMemo, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { contextNow, loadExpansion } from '@/answers/expansion/context';
import { tellExpansionError } from '@/answers/expansion/words';
import { FACES, STRONG } from '@/look/fonts';
import { useLatest } from '@/look/useLatest';
import { usePalette } from '@/look/useLook';
import { useList } from '@/frame/replica/ReplicaProvider';

import { entriesOf, type Rated } from '@yellow-latch/core/fire';
import { tellFiring, tellWhy } from '@/parts/typing/words';

/** A line in which a shortcut fires as it stands in the form, with all others of the list around it. */
export function TryHere({ shortcut }: { shortcut: Rated }) {
  const palette = usePalette();
  const id = useId();
  const { shortcuts, sets } = useList();
  const area = useRef<HTMLTextAreaElement>(null);
  const field = useRef<Field | null>(null);
  const [line, setLine] = useState<string | null>(null);
  const { id: own, code, kind, setId, rules } = shortcut;
  const { expansion, template, format } = shortcut.content;
  const { fires, edge, capitals, delimiter } = rules;
  const others = useMemo(() => CompiledList.compile(entriesOf(shortcuts, sets, THIS_APP), THIS_APP), [shortcuts, sets]);
  const device = useMemo(() => {
    const asked = Object.fromEntries(
      Object.entries({ fires, edge, capitals, delimiter }).filter(([, value]) => value !== undefined),
    );
    const tried: Rated = { id: own, code, kind, setId, content: { expansion, template, format }, rules: asked };
    return DeviceList.whole(others.with({ put: entriesOf([tried], sets, THIS_APP) }));
  }, [others, sets, own, code, kind, setId, expansion, template, format, fires, edge, capitals, delimiter]);

  /** What is asked for shows as gaps here: the line is for trying the code. */
  const fill = async (asked: AskedEvent) => {
    const { expand } = await loadExpansion();
    const one = asked.id === own ? shortcut : shortcuts.find((known) => known.id === asked.id);
    if (!one) return;
    const context = contextNow(shortcuts);
    const open = expand(one, context);
    const gaps =
      open.type === 'expanded'
        ? Object.fromEntries(open.openBlanks.map(({ name, default: otherwise }) => [name, otherwise || GAP]))
        : {};
    const made = expand(one, { ...context, values: gaps });
    if (made.type === 'expanded') field.current?.fill(asked, { plain: made.plain, caret: made.caret, html: null });
    else setLine(tellExpansionError(made.errors[0]!));
  };
  const latest = useLatest({
    device,
    fill,
    codeOf: (of: string) => (of === own ? code : (shortcuts.find((one) => one.id === of)?.code ?? of)),
  });
  useEffect(() => {
    const attached = attach(area.current!, {
      device: latest.current.device,
      onFiring: (event) => {
        setLine(tellFiring(event, latest.current.codeOf));
        if (event.type === 'asked')
          void latest.current.fill(event).catch(() => setLine(t`This part didn’t load: you’re offline.`));
      },
      onExplained: (explanations) => {
        const why = tellWhy(explanations, latest.current.codeOf);
        if (why !== null) setLine(why);
      },
    });
    field.current = attached;
    return () => attached.detach();
  }, [latest]);
  useEffect(() => field.current?.useDevice(device), [device]);

  return (
    <View style={styles.block}>
      <Text variant="labelLarge" nativeID={id} style={styles.label}>{t`Try it here`}</Text>
      <textarea
        ref={area}
        rows={1}
        aria-labelledby={id}
        placeholder={t`Type ${code} and a space`}
        spellCheck={false}
        autoCapitalize="none"
        style={{
          resize: 'vertical',
          minHeight: 52,
          boxSizing: 'border-box',
          padding: '12px',
          border: `1.5px dashed ${palette.inkSoft}`,
          borderRadius: 6,
          fontFamily: FACES.text,
          fontSize: 17,
          lineHeight: '25px',
          color: palette.ink,
          backgroundColor: 'transparent',
        }}
      />
      <Text role="status" variant="bodySmall" style={[styles.line, { color: palette.inkSoft }]}>
        {line ?? ''}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: 4, paddingTop: 8 },
  label: { ...STRONG, fontSize: 15 },
  line: { minHeight: 18 },
});
