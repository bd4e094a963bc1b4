import { plural, t } from '@lingui/core/macro';
import { useQuery } from '@tanstack/react-query';
import Constants from 'expo-constants';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { z } from 'zod';

import { DetailPage } from '@/frame/DetailPage';
import { useList } from '@/frame/replica/ReplicaProvider';
import { STRONG } from '@/look/fonts';
import { Fold } from '@/look/Fold';
import { usePalette } from '@/look/useLook';
import { queries } from '@/parts/queries';
import { tellBytes, tellCount } from '@/wording/format';

/** What the build writes: the packages that are in, and the texts of their licences, which many share. */
const LICENCES = z.object({
  packages: z.array(z.object({ name: z.string(), version: z.string(), licence: z.string(), text: z.number() })),
  texts: z.array(z.string()),
});
type Licences = z.infer<typeof LICENCES>;

/** Which version this is, what is stored where, and whose work is in it. */
export default function AboutPage() {
  const palette = usePalette();
  const { shortcuts, sets } = useList();
  const used = useStorageUsed();
  const secret = shortcuts.filter((shortcut) => shortcut.private).length;
  return (
    <DetailPage title={t`About`} about="about">
      <Text variant="bodyLarge">{t`Yellow Latch ${{ version: Constants.expoConfig?.version ?? '' }}`}</Text>
      <View style={styles.part}>
        <Text variant="titleMedium" role="heading" aria-level={2} style={STRONG}>{t`What is stored where`}</Text>
        <Text variant="bodyMedium">
          {t`On this device and on your server: ${plural(shortcuts.length - secret, { one: '# shortcut', other: '# shortcuts' })}, ${plural(sets.length, { one: '# set', other: '# sets' })}, your keyboards and markers, and 90 days of changes.`}
        </Text>
        <Text variant="bodyMedium">
          {secret > 0
            ? t`Only on this device: ${plural(secret, { one: '# private shortcut', other: '# private shortcuts' })}, your drafts, what you haven’t saved yet, and how often you use each code.`
            : t`Only on this device: your drafts, what you haven’t saved yet, and how often you use each code.`}
        </Text>
        <Text variant="bodyMedium">{t`Nothing goes anywhere else. Texts you check are read here and not kept.`}</Text>
        {used !== null && (
          <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
            {t`The app and your list take ${{ size: tellBytes(used) }} on this device.`}
          </Text>
        )}
      </View>
      <Work />
    </DetailPage>
  );
}

/** The packages the app is made of, each with its licence. */
function Work() {
  const [isOpen, setOpen] = useState(false);
  const { data, isError } = useQuery({ queryKey: ['licences'], queryFn: fetchLicences }, queries);
  return (
    <Fold
      title={t`Made with the work of others`}
      summary={
        data
          ? t`${{ count: tellCount(data.packages.length) }} packages and typefaces, with their licences`
          : t`Packages and typefaces, with their licences`
      }
      isOpen={isOpen}
      onToggle={() => setOpen(!isOpen)}
    >
      {isError && <Text variant="bodyMedium">{t`You’re offline. Connect to see the licences.`}</Text>}
      {data && (
        <View style={styles.work}>
          {data.packages.map((one, index) => (
            <Package key={`${one.name} ${one.version}`} of={one} text={data.texts[one.text]!} isNext={index > 0} />
          ))}
        </View>
      )}
    </Fold>
  );
}

function Package({ of, text, isNext }: { of: Licences['packages'][number]; text: string; isNext: boolean }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Fold
      title={`${of.name} ${of.version}`}
      summary={of.licence}
      isOpen={isOpen}
      onToggle={() => setOpen(!isOpen)}
      isNext={isNext}
    >
      <Text variant="bodySmall">{text || t`Its licence stands in its package.`}</Text>
    </Fold>
  );
}

async function fetchLicences(): Promise<Licences> {
  const response = await fetch('/licences.json');
  if (!response.ok) throw new Error(`licences.json: ${response.status}`);
  return LICENCES.parse(await response.json());
}

/** What the browser keeps for the app, in bytes; null: it does not say. */
function useStorageUsed(): number | null {
  const [used, setUsed] = useState<number | null>(null);
  useEffect(() => {
    void navigator.storage?.estimate?.().then(({ usage }) => setUsed(usage ?? null));
  }, []);
  return used;
}

const styles = StyleSheet.create({ part: { gap: 6 }, work: { paddingLeft: 12 } });
