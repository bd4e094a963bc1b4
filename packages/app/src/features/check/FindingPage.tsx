import { i18n } from '@lingui/core';
import { t } from '@lingui/core/macro';
import type { FindingType, Fix, TriedFix } from '@yellow-latch/core/clash';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { DetailPage } from '@/frame/DetailPage';
import { useAudit } from '@/answers/audit/AuditProvider';
import { GROUP_TITLES, tellDone, tellFix } from '@/answers/audit/sentences';
import { FACES, STRONG } from '@/look/fonts';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';
import { fixing } from '@yellow-latch/replica/commands/fixing';
import { useList } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';

import { Evidence } from './evidence/Evidence';
import { FindingHead } from './FindingHead';
import { Fixes } from './Fixes';
import { Gone } from './Gone';
import { Leave } from './Leave';
import { useCodes } from '@/parts/findings/useCodes';
import { useFinding } from './useFinding';

interface FindingPageProps {
  id: string;
  type: FindingType;
  /** Whether each part says what it is there for. */
  isGuided: boolean;
}

/** A finding: what it is, why it was found, and what would cure it, tried before one decides. */
export default function FindingPage({ id, type, isGuided }: FindingPageProps) {
  const palette = usePalette();
  const router = useRouter();
  const { client, findings, state } = useAudit();
  const { shortcuts } = useList();
  const codes = useCodes();
  const run = useCommand();
  const { finding, fixes, wasRenewed } = useFinding(id, type);
  const [chosenName, setChosenName] = useState<string | null>(null);

  const brief = findings.open.find((one) => one.shortcuts[0] === id && one.type === type);
  const left = findings.left.find(({ finding: one }) => one.shortcuts[0] === id && one.type === type);
  const shown = finding ?? brief ?? left?.finding;
  const back = () => router.navigate('/check');
  if (!shown || finding === null)
    return <Gone isWaiting={finding === undefined && state.phase !== 'failed'} onBack={back} />;

  const chosen = fixes?.find(({ fix }) => nameOf(fix) === chosenName) ?? fixes?.[0];
  const apply = async ({ fix }: TriedFix) => {
    const command = fixing(fix, shortcuts);
    if (!command) return;
    const done = tellDone(fix, codes.shortcutOf);
    await run(command, done);
    back();
  };
  const code = codes.codeOf(id);
  return (
    <DetailPage
      gap={12}
      title={i18n._(GROUP_TITLES[type])}
      about={`${id} ${type}`}
      back={{ label: t`Back to Check`, href: '/check' }}
      foot={
        <View style={[styles.foot, { borderColor: palette.line, backgroundColor: palette.ground }]}>
          <Leave finding={brief ?? null} left={left?.left ?? null} code={code} onDone={back} />
          <Text variant="bodyMedium" numberOfLines={1} style={styles.chosen}>
            {chosen && tellFix(chosen.fix, id, codes.shortcutOf).label}
          </Text>
          {chosen && <LatchButton label={t`Fix it`} icon="check" onPress={() => void apply(chosen)} />}
        </View>
      }
    >
      <FindingHead finding={shown} codes={codes} />
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
      {left && <Text variant="bodyMedium">{t`Ignored: ${{ reason: left.left.reason }}`}</Text>}

      <PartHeading number={isGuided ? 1 : null} title={t`Why`} hint={t`This is what was found.`} />
      {finding ? <Evidence finding={finding} codes={codes} /> : <Text variant="bodyMedium">{t`Loading…`}</Text>}

      <PartHeading number={isGuided ? 2 : null} title={t`Ways to fix it`} hint={t`Pick one to see what it changes.`} />
      <Fixes
        about={id}
        fixes={finding ? fixes : undefined}
        chosen={chosen ?? null}
        onChoose={(fix) => setChosenName(nameOf(fix))}
        codes={codes}
        isGuided={isGuided}
      />
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

/** Tells one fix from the others of a finding, also when they are worked out anew. */
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
  part: { borderTopWidth: 1.5, paddingTop: 10, marginTop: 8 },
  also: { flexDirection: 'row' },
  foot: { flexDirection: 'row', alignItems: 'center', padding: 10, borderTopWidth: 1 },
  chosen: { flex: 1, textAlign: 'right', paddingHorizontal: 8, fontFamily: FACES.strong },
  tall: { minHeight: 48 },
});
