import { t } from '@lingui/core/macro';
import type { Fix, TriedFix } from '@yellow-latch/core/clash';
import type { Severity } from '@yellow-latch/core/clash/finding';
import { fixing } from '@yellow-latch/replica/commands/fixing';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { DetailPage } from '@/frame/DetailPage';
import { useAudit } from '@/answers/audit/AuditProvider';
import { shownExpansion, tellDone, tellFix } from '@/answers/audit/sentences';
import { CodePlate } from '@/look/CodePlate';
import { FACES, STRONG } from '@/look/fonts';
import { LatchButton } from '@/look/LatchButton';
import { LatchGlyph } from '@/look/LatchGlyph';
import { usePalette } from '@/look/useLook';
import { useList } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';
import { useCodes } from '@/parts/findings/useCodes';

import { Fixes } from './Fixes';
import { Gone } from './Gone';
import { Reasons } from './Reasons';
import { typesToFix } from './rows';
import { useChecked } from './useChecked';

interface CheckedPageProps {
  id: string;
  /** Whether each part says what it is there for. */
  isGuided: boolean;
}

/** All that was found about a shortcut, why, and what would cure it, tried before one decides. */
export default function CheckedPage({ id, isGuided }: CheckedPageProps) {
  const palette = usePalette();
  const router = useRouter();
  const { client, findings: found, state } = useAudit();
  const list = useList();
  const { shortcuts } = list;
  const codes = useCodes();
  const run = useCommand();
  const open = found.open.filter(({ shortcuts: [one] }) => one === id);
  const ignored = found.left.filter(({ finding }) => finding.shortcuts[0] === id);
  const { findings, fixes, wasRenewed } = useChecked(id, typesToFix(open).join());
  const [chosenName, setChosenName] = useState<string | null>(null);

  const back = () => router.navigate('/check');
  const shortcut = codes.shortcutOf(id);
  if (!shortcut || open.length + ignored.length === 0) {
    return <Gone isWaiting={state.result === null && state.phase !== 'failed'} onBack={back} />;
  }

  const chosen = fixes?.find(({ fix }) => nameOf(fix) === chosenName) ?? fixes?.[0];
  const apply = async ({ fix }: TriedFix) => {
    const command = fixing(fix, shortcuts, list);
    if (!command) return;
    const done = tellDone(fix, codes.shortcutOf);
    await run(command, done);
    back();
  };
  const { code } = shortcut;
  const worst = found.worst.get(id) ?? 'safe';
  return (
    <DetailPage
      gap={12}
      title={tellTitle(code, worst)}
      about={id}
      back={{ label: t`Back to Check`, href: '/check' }}
      foot={
        open.length > 0 && (
          <View style={[styles.foot, { borderColor: palette.line, backgroundColor: palette.ground }]}>
            <Text variant="bodyMedium" numberOfLines={2} style={styles.chosen}>
              {chosen && tellFix(chosen.fix, id, codes.shortcutOf).label}
            </Text>
            {chosen && <LatchButton label={t`Fix it`} icon="check" onPress={() => void apply(chosen)} />}
          </View>
        )
      }
    >
      <View style={styles.what}>
        <LatchGlyph verdict={worst} size={36} />
        <View style={styles.words}>
          <View style={styles.plate}>
            <CodePlate code={code} size="large" />
          </View>
          <Text variant="bodyMedium" numberOfLines={3} style={{ color: palette.inkSoft }}>
            {shownExpansion(shortcut)}
          </Text>
        </View>
      </View>
      {state.phase === 'failed' && (
        <View role="alert" style={styles.also}>
          <Text
            variant="bodyMedium"
            style={[styles.title, { color: palette.alarm }]}
          >{t`The check has stopped, so there’s nothing to show here.`}</Text>
          <Button mode="outlined" onPress={() => client.restart()} contentStyle={styles.tall}>{t`Start again`}</Button>
        </View>
      )}
      {wasRenewed && (
        <Text
          role="status"
          variant="bodyMedium"
          style={{ color: palette.inkSoft }}
        >{t`Your list changed, so this was checked again.`}</Text>
      )}

      <PartHeading number={isGuided ? 1 : null} title={t`Why`} hint={t`This is what was found.`} />
      <Reasons
        open={open}
        ignored={ignored}
        findings={findings}
        codes={codes}
        onIgnored={() => {
          if (open.length === 1) back();
        }}
      />

      {open.length > 0 && (
        <>
          <PartHeading
            number={isGuided ? 2 : null}
            title={t`Ways to fix it`}
            hint={t`Pick one to see what it changes.`}
          />
          <Fixes
            about={id}
            fixes={fixes}
            chosen={chosen ?? null}
            onChoose={(fix) => setChosenName(nameOf(fix))}
            codes={codes}
            isGuided={isGuided}
          />
        </>
      )}
      <View style={styles.also}>
        <Button
          mode="text"
          icon="pencil"
          contentStyle={styles.tall}
          onPress={() => router.navigate({ pathname: '/shortcut/[id]', params: { id } })}
        >{t`Open “${code}”`}</Button>
      </View>
    </DetailPage>
  );
}

function tellTitle(code: string, worst: Severity | 'safe'): string {
  return {
    breaks: t`“${code}” needs fixing`,
    risky: t`“${code}” is risky`,
    note: t`“${code}” is safe, with a note`,
    safe: t`“${code}” is safe`,
  }[worst];
}

/** Tells one fix from the others, also when they are worked out anew. */
function nameOf(fix: Fix): string {
  return JSON.stringify(fix);
}

function PartHeading({ number, title, hint }: { number: number | null; title: string; hint: string }) {
  const palette = usePalette();
  return (
    <View style={[styles.part, { borderColor: palette.ink }]}>
      <Text variant="titleMedium" role="heading" aria-level={2} style={STRONG}>
        {number === null ? title : `${number}. ${title}`}
      </Text>
      {number !== null && <Text variant="bodyMedium">{hint}</Text>}
    </View>
  );
}

const styles = StyleSheet.create({
  title: { flex: 1 },
  what: { flexDirection: 'row', gap: 14, alignItems: 'flex-start' },
  words: { flex: 1, gap: 8 },
  plate: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 12 },
  part: { borderTopWidth: 1.5, paddingTop: 10, marginTop: 8 },
  also: { flexDirection: 'row' },
  foot: { flexDirection: 'row', alignItems: 'center', padding: 10, borderTopWidth: 1 },
  chosen: { flex: 1, textAlign: 'right', paddingHorizontal: 8, fontFamily: FACES.strong },
  tall: { minHeight: 48 },
});
