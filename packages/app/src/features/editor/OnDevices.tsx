import { t } from '@lingui/core/macro';
import type { Fit } from '@yellow-latch/core/fit';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { deviceLabel } from '@/answers/audit/sentences';
import { useAnswer } from '@/answers/effort/useAnswer';
import { useFitRequest, useOwnPlaces } from '@/answers/fit/useFit';
import { tellFit } from '@/answers/fit/words';
import { STRONG } from '@/look/fonts';
import { useCodes } from '@/parts/findings/useCodes';

/** A line for each device on which a saved shortcut does not simply work as it does here. */
export function OnDevices({ id }: { id: string }) {
  const places = useOwnPlaces();
  const request = useFitRequest();
  const { codeOf } = useCodes();
  const { answer } = useAnswer(
    `${id} ${JSON.stringify(request)}`,
    ({ fit }) => fit.ofOne(request, id) as Promise<Fit[] | null>,
  );
  const lines = (answer ?? []).flatMap((fit, at) => {
    const place = places[at];
    return place && fit.verdict !== 'works'
      ? [{ key: place.key, name: deviceLabel(place.key), told: tellFit(fit, codeOf) }]
      : [];
  });
  if (lines.length === 0) return null;
  return (
    <View role="list" aria-label={t`On your devices`} style={styles.lines}>
      {lines.map(({ key, name, told }) => (
        <Text key={key} role="listitem" variant="bodyMedium">
          <Text style={STRONG}>{name}</Text>
          {`: ${told}`}
        </Text>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ lines: { gap: 4, paddingTop: 8 } });
