import { i18n } from '@lingui/core';
import { t } from '@lingui/core/macro';
import type { Brief, Finding } from '@yellow-latch/core/clash';
import { byWorst } from '@yellow-latch/core/clash/finding';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import type { Left } from '@yellow-latch/core/clash/sorted';
import { GROUP_TITLES, tellFinding } from '@/answers/audit/sentences';
import { Fold } from '@/look/Fold';
import type { Codes } from '@/parts/findings/useCodes';

import { Evidence } from './evidence/Evidence';
import { IgnoreButton, LookAgainButton } from './Ignore';

interface ReasonsProps {
  open: readonly Brief[];
  ignored: readonly Left[];
  /** With their evidence. Undefined: not known yet. */
  findings: readonly Finding[] | undefined;
  codes: Codes;
  onIgnored: () => void;
}

/** Every reason for a verdict, the worst open: what it is, its evidence, and a way to ignore it. */
export function Reasons({ open, ignored, findings, codes, onIgnored }: ReasonsProps) {
  const reasons = [...open].sort(byWorst);
  const evidenceOf = ({ type }: Brief) => findings?.find((one) => one.type === type);
  const shared = { evidenceOf, codes };
  return (
    <View>
      {reasons.map((finding, index) => (
        <Reason
          key={finding.type}
          {...shared}
          finding={finding}
          beginsOpen={index === 0}
          isNext={index > 0}
          summary={null}
        >
          <IgnoreButton finding={finding} code={codes.codeOf(finding.shortcuts[0]!)} onDone={onIgnored} />
        </Reason>
      ))}
      {ignored.map(({ finding, left }, index) => (
        <Reason
          key={left.id}
          {...shared}
          finding={finding}
          beginsOpen={reasons.length === 0 && index === 0}
          isNext={reasons.length + index > 0}
          summary={t`Ignored: ${{ reason: left.reason }}`}
        >
          <LookAgainButton record={left} code={codes.codeOf(finding.shortcuts[0]!)} />
        </Reason>
      ))}
    </View>
  );
}

interface ReasonProps {
  finding: Brief;
  evidenceOf: (finding: Brief) => Finding | undefined;
  codes: Codes;
  beginsOpen: boolean;
  isNext: boolean;
  /** What is said of it while it is closed, after its sentence. */
  summary: string | null;
  children: React.ReactNode;
}

function Reason({ finding, evidenceOf, codes, beginsOpen, isNext, summary, children }: ReasonProps) {
  const [isOpen, setOpen] = useState(beginsOpen);
  const sentence = tellFinding(finding, codes.codeOf(finding.shortcuts[0]!), codes.codeOf);
  const evidence = evidenceOf(finding);
  return (
    <Fold
      title={i18n._(GROUP_TITLES[finding.type])}
      summary={summary === null ? sentence : `${sentence} ${summary}`}
      isOpen={isOpen}
      onToggle={() => setOpen(!isOpen)}
      isNext={isNext}
    >
      <View style={styles.evidence}>
        {evidence ? <Evidence finding={evidence} codes={codes} /> : <Text variant="bodyMedium">{t`Loading…`}</Text>}
      </View>
      <View style={styles.actions}>{children}</View>
    </Fold>
  );
}

const styles = StyleSheet.create({
  evidence: { gap: 12 },
  actions: { flexDirection: 'row', justifyContent: 'flex-end' },
});
