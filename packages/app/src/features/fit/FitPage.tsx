import { plural, t } from '@lingui/core/macro';
import type { PlaceOfDevice } from '@yellow-latch/core/devices';
import type { Device } from '@yellow-latch/core/model';
import { leavingOut } from '@yellow-latch/replica/commands/devices';
import { useState } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { placeLabel } from '@/answers/audit/sentences';
import { useAnswer } from '@/answers/effort/useAnswer';
import { placeId, useFitRequest, useOwnPlaces } from '@/answers/fit/useFit';
import { tellSums } from '@/answers/fit/words';
import type { FitReport } from '@/answers/fit/workerApi';
import { DetailPage } from '@/frame/DetailPage';
import { useList } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';
import { ChoiceChip } from '@/look/ChoiceChip';
import { Fold } from '@/look/Fold';
import { STRONG } from '@/look/fonts';
import { Tick } from '@/look/Tick';
import { useCodes } from '@/parts/findings/useCodes';
import { Working } from '@/parts/findings/Working';

import { FitRow } from './FitRow';

/** What of the list works on a device, and what does not, with what can be done about it. */
export function FitPage({ id }: { id: string }) {
  const { devices } = useList();
  const device = devices.find((one) => one.id === id);
  const places = useOwnPlaces().filter((place) => place.device.id === id);
  const [chosen, setChosen] = useState<string | null>(null);
  const place = places.find(({ profile }) => profile === chosen) ?? places[0];
  const back = { label: t`Back to the device`, href: { pathname: '/devices/[id]', params: { id } } as const };
  if (!device || !place)
    return (
      <DetailPage title={t`What works there`} about={`fit ${id}`} back={back}>
        <Text variant="bodyLarge">
          {device
            ? t`You only type in Yellow Latch on it, and there all of it works.`
            : t`This device isn’t on your list.`}
        </Text>
      </DetailPage>
    );
  return (
    <DetailPage
      title={t`What works on ${{ name: device.name }}`}
      about={`fit ${id}`}
      back={back}
      hasOwnScroll
      actions={
        places.length > 1 ? (
          <ChoiceChip
            label={t`Where`}
            value={place.profile}
            choices={places.map(({ profile }) => ({ value: profile, label: placeLabel(profile) }))}
            onChange={setChosen}
          />
        ) : undefined
      }
    >
      <Report device={device} place={place} />
    </DetailPage>
  );
}

function Report({ device, place }: { device: Device; place: PlaceOfDevice }) {
  const request = useFitRequest();
  const codes = useCodes();
  const name = placeId(place);
  const { answer } = useAnswer(
    `${JSON.stringify(request)} ${name}`,
    ({ fit }) => fit.report(request, name) as Promise<FitReport | null>,
  );
  if (!answer)
    return (
      <View style={styles.told}>
        {answer === null ? (
          <Text role="alert">{t`The check has stopped. Open Check to start it again.`}</Text>
        ) : (
          <Working text={t`Trying out your list…`} />
        )}
      </View>
    );
  return (
    <FlatList
      data={answer.others}
      keyExtractor={({ id }) => id}
      role="list"
      aria-label={t`What doesn’t simply work`}
      initialNumToRender={10}
      contentContainerStyle={styles.list}
      ListHeaderComponent={
        <View style={styles.head}>
          <Text variant="titleMedium" style={STRONG}>
            {tellSums(answer.sums)}
          </Text>
          <LeftOutSets device={device} />
        </View>
      }
      ListEmptyComponent={
        <Text variant="bodyLarge" style={styles.told}>{t`All of your list works there as it is.`}</Text>
      }
      renderItem={({ item }) => {
        const shortcut = codes.shortcutOf(item.id);
        return shortcut ? <FitRow device={device} shortcut={shortcut} fit={item.fit} codeOf={codes.codeOf} /> : null;
      }}
    />
  );
}

/** The sets that a device is to do without. */
function LeftOutSets({ device }: { device: Device }) {
  const list = useList();
  const run = useCommand();
  const [isOpen, setOpen] = useState(false);
  const { sets, leftOut } = list;
  const out = leftOut.filter((one) => one.deviceId === device.id && one.of === 'set');
  if (sets.length === 0) return null;
  return (
    <Fold
      title={t`Sets on this device`}
      summary={out.length === 0 ? t`all of them` : plural(out.length, { one: '# left out', other: '# left out' })}
      isOpen={isOpen}
      onToggle={() => setOpen(!isOpen)}
    >
      {[...sets.map(({ id, name }) => ({ id, name })), { id: null, name: t`Shortcuts in no set` }].map(
        ({ id, name }) => {
          const isOut = out.some((one) => one.refersTo === id);
          return (
            <Tick
              key={id ?? 'none'}
              role="checkbox"
              isOn={!isOut}
              onPress={() =>
                void run(
                  leavingOut(device, 'set', id, !isOut, list),
                  isOut
                    ? t`“${name}” is back on ${{ device: device.name }}.`
                    : t`Left “${name}” out on ${{ device: device.name }}.`,
                )
              }
            >
              <Text variant="bodyLarge">{name}</Text>
            </Tick>
          );
        },
      )}
    </Fold>
  );
}

const styles = StyleSheet.create({
  list: { paddingBottom: 24, maxWidth: 792 },
  head: { paddingHorizontal: 16, gap: 4, paddingBottom: 8 },
  told: { padding: 16 },
});
