import { t } from '@lingui/core/macro';
import { useRouter } from 'expo-router';

import { useAudit } from '@/answers/audit/AuditProvider';
import { LatchGlyph } from '@/look/LatchGlyph';
import { useKept } from '@/frame/replica/useKept';
import { OfferCard } from '@/parts/OfferCard';

import { pathOfChecked } from './path';
import { useCodes } from './useCodes';

/**
 * Once, below a list with something that breaks: leads through the worst of it, its evidence and its fix.
 * Below, so that no row moves when it comes.
 */
export function Lead() {
  const router = useRouter();
  const { codeOf } = useCodes();
  const { findings } = useAudit();
  const [wasLed, setWasLed] = useKept('was-led', false);
  // The one that is easiest to see: a code that is a word.
  const first =
    findings.open.find(({ type, severity }) => type === 'word' && severity === 'breaks') ?? findings.open[0];
  if (wasLed || !first || first.severity !== 'breaks') return null;
  const end = () => setWasLed(true);
  const code = codeOf(first.shortcuts[0]!);
  return (
    <OfferCard
      glyph={<LatchGlyph verdict={first.severity} size={32} />}
      text={t`“${code}” needs fixing.`}
      action={t`Show me`}
      onDecline={end}
      onTake={() => {
        end();
        router.navigate(pathOfChecked(first.shortcuts[0]!, true));
      }}
    />
  );
}
