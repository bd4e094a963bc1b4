import { t } from '@lingui/core/macro';
import type { Finding } from '@yellow-latch/core/clash/finding';

import type { Codes } from '@/parts/findings/useCodes';
import { CodesApart, Pair, SameCode } from './Pair';
import { Chain, Claims, Secrets, Traps } from './Lists';
import { MarkedLines } from './MarkedLines';
import { Trace } from './Trace';
import { WordShares } from './WordShares';

/** Why something was found, in the form that shows it best. */
export function Evidence({ finding, codes }: { finding: Finding; codes: Codes }) {
  const { shortcuts, count } = finding;
  switch (finding.type) {
    case 'word':
    case 'beginning of words':
    case 'inside words':
      return <WordShares {...finding.evidence} count={count} code={codes.codeOf(shortcuts[0]!)} />;
    case 'context':
      return <MarkedLines examples={finding.evidence.examples} count={count} />;
    case 'own expansion':
      return <MarkedLines examples={finding.evidence.examples} count={count} codes={codes} />;
    case 'same code':
      return <SameCode ids={shortcuts} winner={finding.evidence.winner} codes={codes} />;
    case 'look-alike':
      return <CodesApart ids={shortcuts} codes={codes} />;
    case 'hides':
      return <Pair ids={shortcuts} codes={codes} notes={[t`expands first`, t`does not expand`]} />;
    case 'delayed':
      return <Pair ids={shortcuts} codes={codes} notes={[t`waits`, t`may follow`]} />;
    case 'near miss':
      return <Pair ids={shortcuts} codes={codes} slips={finding.evidence.slips} />;
    case 'unreachable':
    case 'broken inside':
      return (
        <>
          <Trace
            reach={finding.evidence}
            devices={finding.devices}
            isPrivate={shortcuts.some((id) => codes.shortcutOf(id)?.private)}
            codes={codes}
          />
          <Pair ids={shortcuts} codes={codes} notes={[t`does not expand`, t`expands first`]} />
        </>
      );
    case 'loop':
      return <Chain ids={finding.evidence.chain} codes={codes} />;
    case 'claimed':
      return <Claims claims={finding.evidence.claims} />;
    case 'device trap':
      return <Traps traps={finding.evidence.traps} code={codes.codeOf(shortcuts[0]!)} />;
    case 'faulty expansion': {
      const shortcut = codes.shortcutOf(shortcuts[0]!);
      // The text of a template is made when it fires: there is no place in it to mark.
      const text = shortcut?.private || shortcut?.content.template ? null : (shortcut?.content.expansion ?? '');
      const isShared = finding.evidence.faults.some(({ fault }) => fault === 'same expansion');
      return (
        <>
          <MarkedLines faults={finding.evidence.faults} text={text} count={count} />
          {isShared && <Pair ids={shortcuts} codes={codes} />}
        </>
      );
    }
    case 'secret':
      return (
        <Secrets
          secrets={finding.evidence.secrets}
          expansion={codes.shortcutOf(shortcuts[0]!)?.content.expansion ?? ''}
        />
      );
  }
}
