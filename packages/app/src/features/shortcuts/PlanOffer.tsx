import { plural, t } from '@lingui/core/macro';
import { useRouter } from 'expo-router';

import { useLive } from '@/frame/live';
import { Icon } from '@/look/icons';
import { usePalette } from '@/look/useLook';
import { OfferCard } from '@/parts/OfferCard';
import { planOffer } from '@/parts/planOffer';

/** After many shortcuts came in at once: a way to look at all codes together. */
export function PlanOffer() {
  const palette = usePalette();
  const router = useRouter();
  const count = useLive(planOffer);
  if (count === null) return null;
  const end = () => planOffer.set(null);
  return (
    <OfferCard
      glyph={<Icon name="replace" size={24} color={palette.ink} />}
      text={plural(count, { one: 'Do the codes fit together?', other: '# imported. Do the codes fit together?' })}
      action={t`Plan my codes`}
      onDecline={end}
      onTake={() => {
        end();
        router.navigate('/check/plan');
      }}
    />
  );
}
