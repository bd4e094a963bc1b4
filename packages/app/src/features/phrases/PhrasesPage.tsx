import { t } from '@lingui/core/macro';
import { useLocalSearchParams, useRouter, type Href } from 'expo-router';
import { useEffect, useState } from 'react';

import { DetailPage } from '@/frame/DetailPage';
import { DropZone } from '@/look/DropZone';
import { MakeShortcuts } from '@/parts/making/MakeShortcuts';
import { takeMessages } from '@/parts/messages';
import type { WantedShortcut } from '@/parts/making/wanted';

import { ChooseMessages } from './ChooseMessages';
import { FoundList } from './FoundList';
import { sourcesOf, useFoundPhrases } from './useFoundPhrases';

const toCheck = () => ({ label: t`Back to Check`, href: '/check' as Href });
const toList = () => ({ label: t`Back to the list`, href: '/' as Href });

/** What somebody types again and again, found in messages they sent: ticked, changed, and made shortcuts in one go. */
export function PhrasesPage() {
  const router = useRouter();
  const { step, from } = useLocalSearchParams<{ step?: string; from?: string }>();
  const phrases = useFoundPhrases();
  const [wanted, setWanted] = useState<readonly WantedShortcut[]>([]);
  const [made, setMade] = useState<ReadonlySet<string>>(new Set());
  const { phase, progress, sources, answer, find, cancel, never } = phrases;
  useEffect(() => {
    const handed = takeMessages();
    if (handed) find([{ type: 'file', name: handed.name, blob: new Blob([handed.bytes]) }]);
  }, [find]);
  const back = from === 'check' ? toCheck() : toList();
  const make = (chosen: readonly WantedShortcut[]) => {
    setWanted(chosen);
    router.navigate({ pathname: '/phrases', params: { step: 'save', ...(from === undefined ? {} : { from }) } });
  };
  if (step === 'save' && wanted.length > 0)
    return (
      <MakeShortcuts
        title={t`New shortcuts`}
        back={{
          label: t`Back to Find phrases`,
          href: { pathname: '/phrases', params: from === undefined ? {} : { from } },
        }}
        wanted={wanted}
        setName={t`Phrases`}
        onMade={() => {
          setMade(new Set([...made, ...wanted.map(({ key }) => key)]));
          setWanted([]);
        }}
      />
    );
  if (phase === 'read' && answer?.findings)
    return (
      <FoundList
        back={back}
        answer={answer}
        sources={sources}
        made={made}
        never={never}
        onFind={find}
        onMake={make}
        onStartOver={cancel}
      />
    );
  return (
    <DropZone onFiles={(files) => find(sourcesOf(files))}>
      <DetailPage title={t`Find phrases`} about="phrases" back={back}>
        <ChooseMessages
          phase={phase}
          progress={progress}
          unread={phase === 'read' ? answer : null}
          onFind={find}
          onCancel={cancel}
        />
      </DetailPage>
    </DropZone>
  );
}
