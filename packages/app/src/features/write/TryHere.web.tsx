import { DeviceList } from '@yellow-latch/core/compose';
import { CompiledList, settleRules } from '@yellow-latch/core/fire';
import { THIS_APP } from '@yellow-latch/core/fit';
import { isMade, type Shortcut } from '@yellow-latch/core/model';
import { useEffect, useId, useMemo, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { contextNow, loadExpansion } from '@/expansion/context';
import { tellExpansionError } from '@/expansion/words';
import { FACES, STRONG } from '@/look/fonts';
import { useLatest } from '@/look/useLatest';
import { usePalette } from '@/look/useLook';
import { useList } from '@/replica/ReplicaProvider';

import { Pad, type AskedEvent } from './pad';
import { tellFiring, tellWhy } from './words';

export type Tried = Pick<Shortcut, 'id' | 'code' | 'content' | 'kind' | 'setId' | 'rules'>;

/** A line in which a shortcut fires as it stands in the form, with all others of the list around it. */
export function TryHere({ shortcut }: { shortcut: Tried }) {
  const palette = usePalette();
  const id = useId();
  const { shortcuts, sets } = useList();
  const area = useRef<HTMLTextAreaElement>(null);
  const pad = useRef<Pad | null>(null);
  const [line, setLine] = useState<string | null>(null);
  const { id: own, code, kind, setId, rules } = shortcut;
  const { expansion, template, format } = shortcut.content;
  const { fires, edge, capitals, delimiter } = rules;
  const others = useMemo(() => {
    const entries = settleRules({ shortcuts, sets }).map((entry, index) => (isMade(shortcuts[index]!.content) ? { ...entry, asks: true } : entry));
    return CompiledList.compile(entries, THIS_APP);
  }, [shortcuts, sets]);
  const device = useMemo(() => {
    const tried = { id: own, code, kind, setId, content: { expansion, template, format }, rules: { fires, edge, capitals, delimiter } };
    const known = Object.fromEntries(Object.entries(tried.rules).filter(([, value]) => value !== undefined));
    const [entry] = settleRules({ sets, shortcuts: [{ ...tried, rules: known }] });
    return DeviceList.whole(others.with({ put: [isMade(tried.content) ? { ...entry!, asks: true } : entry!] }));
  }, [others, sets, own, code, kind, setId, expansion, template, format, fires, edge, capitals, delimiter]);

  /** What is asked for shows as gaps here: the line is for trying the code. */
  const fill = async (asked: AskedEvent) => {
    const { expand } = await loadExpansion();
    const one = asked.id === own ? shortcut : shortcuts.find((known) => known.id === asked.id);
    if (!one) return;
    const context = contextNow(shortcuts);
    const open = expand(one, context);
    const gaps = open.type === 'expanded' ? Object.fromEntries(open.openBlanks.map(({ name, default: otherwise }) => [name, otherwise || '____'])) : {};
    const made = expand(one, { ...context, values: gaps });
    if (made.type === 'expanded') pad.current?.fill(asked, { plain: made.plain, caret: made.caret, html: null });
    else setLine(tellExpansionError(made.errors[0]!));
  };
  const latest = useLatest({ device, fill, codeOf: (of: string) => (of === own ? code : (shortcuts.find((one) => one.id === of)?.code ?? of)) });
  useEffect(() => {
    const attached = new Pad(area.current!, latest.current.device, {
      onState: () => {},
      onFiring: (event) => {
        setLine(tellFiring(event, latest.current.codeOf));
        if (event.type === 'asked') void latest.current.fill(event).catch(() => setLine('What it takes is still to be fetched, and the server is away.'));
      },
      onTold: (told) => {
        const why = tellWhy(told, latest.current.codeOf);
        if (why !== null) setLine(why);
      },
    });
    pad.current = attached;
    return () => attached.detach();
  }, [latest]);
  useEffect(() => pad.current?.useDevice(device), [device]);

  return (
    <View style={styles.block}>
      <Text variant="labelLarge" nativeID={id} style={styles.label}>
        Try it here
      </Text>
      <textarea
        ref={area}
        rows={1}
        aria-labelledby={id}
        placeholder={`${code} and a space`}
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
