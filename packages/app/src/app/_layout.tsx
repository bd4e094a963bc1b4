import { useFonts } from 'expo-font';
import { Slot, usePathname } from 'expo-router';
import { Suspense, useEffect, useState, type ReactNode } from 'react';
import { PaperProvider } from 'react-native-paper';
import { SafeAreaProvider } from 'react-native-safe-area-context';

import { AuditProvider } from '@/answers/audit/AuditProvider';
import { fetched } from '@/frame/fetched';
import { BareFrame } from '@/features/places/BareFrame';
import { Frame } from '@/features/places/Frame';
import { standInTab } from '@/frame/standIn/tab';
import { NoKeeping } from '@/frame/NoKeeping';
import { NoticeProvider } from '@/frame/Notices';
import { FONT_FILES } from '@/look/fonts';
import { paperSettings } from '@/look/icons';
import { useScheme } from '@/look/scheme';
import { themeOf } from '@/look/theme';
import { install } from '@/parts/install';
import { startWording } from '@/wording/start';
import { openReplica, ReplicaProvider, type Outside } from '@/frame/replica/ReplicaProvider';

/** What is shown where a screen has failed; the list itself is safe on this device. */
export { Trouble as ErrorBoundary } from '@/frame/Trouble';

const StartPage = fetched(async () => ({ default: (await import('@/bundles/devices')).StartPage }));

function renderStart(outside: Outside) {
  return (
    <Suspense fallback={null}>
      <StartPage {...outside} />
    </Suspense>
  );
}

/** A tab that is a stand-in opens that, with what is fetched for it. */
const opening = standInTab() ? import('@/bundles/devices').then(({ openStandIn }) => openStandIn()) : openReplica();
// What it says when it fails is shown by who waits for it.
opening.catch(() => {});

install.listen();
const fetching = startWording();

/** Whether there are sentences to show: English is there right away, another language is fetched. */
function useWording(): boolean {
  const [isReady, setReady] = useState(fetching === null);
  useEffect(() => {
    void fetching?.then(() => setReady(true));
  }, []);
  return isReady;
}

/** What stands around a page: the main menu, but on a stand-in, which is a device and no page of the app. */
function Around({ children }: { children: ReactNode }) {
  return usePathname().startsWith('/stand-in/') ? <BareFrame>{children}</BareFrame> : <Frame>{children}</Frame>;
}

export default function RootLayout() {
  useFonts(FONT_FILES);
  const isWorded = useWording();
  const scheme = useScheme();
  if (!isWorded) return null;
  return (
    <SafeAreaProvider>
      <PaperProvider theme={themeOf(scheme)} settings={paperSettings}>
        <ReplicaProvider
          opening={opening}
          renderError={(error) => <NoKeeping error={error} />}
          renderStart={renderStart}
        >
          <AuditProvider>
            <NoticeProvider>
              <Around>
                <Slot />
              </Around>
            </NoticeProvider>
          </AuditProvider>
        </ReplicaProvider>
      </PaperProvider>
    </SafeAreaProvider>
  );
}
