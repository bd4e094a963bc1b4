import { t } from '@lingui/core/macro';
import { otherVersions, readClock, unsettledFields, type StoredRecord, type Version } from '@yellow-latch/core/sync';
import type { Content, RecordType } from '@yellow-latch/core/model';
import { keepingBoth, settling } from '@yellow-latch/replica/commands/versions';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { DetailPage } from '@/frame/DetailPage';
import { CodePlate } from '@/look/CodePlate';
import { Field } from '@/look/Field';
import { STRONG } from '@/look/fonts';
import { usePalette } from '@/look/useLook';
import { useList, useMay, useOpened } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';
import { tellMoment } from '@/wording/format';

import { nameOfField } from '@/parts/fieldNames';

import { nameOfThing, tellValue } from './fieldWords';
import { useDeviceName } from '@/parts/directory';

/** Everything of which devices wrote different things without knowing of each other. */
export function VersionsPage() {
  const { unsettled } = useList();
  return (
    <DetailPage title={t`Two versions`} about="versions">
      <Text variant="bodyLarge">
        {unsettled.length === 0
          ? t`Nothing to choose. If two devices change the same thing at once, you choose here which to keep.`
          : t`These were changed on two devices at once. The newer version is in use; choose which to keep.`}
      </Text>
      {unsettled.map(({ type, id }) => (
        <Versions key={id} type={type} id={id} isNamed />
      ))}
    </DetailPage>
  );
}

interface VersionsProps {
  type: RecordType;
  id: string;
  /** With the name of what it is, where that is not said around it. */
  isNamed?: boolean;
}

/** The versions of a record that nobody has chosen between yet, field by field; nothing where there are none. */
export function Versions({ type, id, isNamed = false }: VersionsProps) {
  const palette = usePalette();
  const { replica } = useOpened();
  // Drawn anew with the list, since the record is not a value of its own.
  useList();
  const record = replica.recordOf(type, id);
  if (!record) return null;
  const fields = unsettledFields(record);
  if (fields.length === 0) return null;
  const name = (record.fields.code?.[0]?.value ?? record.fields.name?.[0]?.value) as string | undefined;
  return (
    <View
      style={[styles.card, { borderColor: palette.ink, backgroundColor: palette.surface }]}
      role="group"
      aria-label={t`Two versions of ${{ name: name ?? nameOfThing(type) }}`}
    >
      {isNamed && (
        <View style={styles.name}>
          {type === 'shortcut' ? (
            <CodePlate code={name ?? ''} />
          ) : (
            <Text variant="titleMedium">{name ?? nameOfThing(type)}</Text>
          )}
        </View>
      )}
      {fields.map((field) => (
        <FieldVersions key={field} record={record} field={field} />
      ))}
    </View>
  );
}

function FieldVersions({ record, field }: { record: StoredRecord; field: string }) {
  const palette = usePalette();
  const list = useList();
  const run = useCommand();
  const may = useMay();
  const deviceName = useDeviceName();
  const versions = [record.fields[field]![0]!, ...otherVersions(record, field)];
  const [joined, setJoined] = useState<string | null>(null);
  const { id } = record;

  const settle = (value: unknown, done: string) => {
    void run(settling(record, field, value, versions[0]!.value), done);
  };
  const keepBoth = (other: Version) => {
    const shown = list.shortcuts.find((shortcut) => shortcut.id === id)!;
    const code = other.value as string;
    void run(keepingBoth(shown, code), t`Kept “${{ code: shown.code }}” and “${code}”.`);
  };
  const join = () => {
    const content = versions[0]!.value as Content;
    settle({ ...content, expansion: joined! }, t`Joined the two texts.`);
    setJoined(null);
  };
  const joinable = field === 'content' && versions.every(({ value }) => !(value as Content).template);

  return (
    <View style={styles.field}>
      <Text variant="labelLarge" style={STRONG}>{t`Two versions: ${{ field: nameOfField(field) }}`}</Text>
      {versions.map((version, index) => {
        const told = field === 'content' ? (version.value as Content).expansion : tellValue(field, version.value, list);
        const { device, time } = readClock(version.clock);
        const who = deviceName(device);
        const when = tellMoment(time);
        return (
          <View key={version.id} style={[styles.version, { borderColor: palette.line }]}>
            {field === 'code' ? <CodePlate code={version.value as string} /> : <Text variant="bodyLarge">{told}</Text>}
            <View style={styles.foot}>
              <Text variant="bodySmall" style={[styles.who, { color: palette.inkSoft }]}>
                {index === 0 ? t`In use. From ${who}, ${when}` : t`From ${who}, ${when}`}
              </Text>
              {may === 'edit' && (
                <Button
                  mode="outlined"
                  contentStyle={styles.tall}
                  accessibilityLabel={t`Keep this: ${told}, from ${who}`}
                  onPress={() => settle(version.value, t`Kept that version.`)}
                >{t`Keep this`}</Button>
              )}
            </View>
          </View>
        );
      })}
      {may === 'edit' && field === 'code' && (
        <Button
          mode="text"
          style={styles.start}
          contentStyle={styles.tall}
          onPress={() => keepBoth(versions[1]!)}
        >{t`Keep both as two shortcuts`}</Button>
      )}
      {may === 'edit' && joinable && joined === null && (
        <Button
          mode="text"
          style={styles.start}
          contentStyle={styles.tall}
          onPress={() => setJoined(versions.map(({ value }) => (value as Content).expansion).join('\n'))}
        >{t`Join the texts`}</Button>
      )}
      {joined !== null && (
        <View>
          <Field
            label={t`Joined text`}
            multiline
            value={joined}
            onChangeText={setJoined}
            onBlur={() => {}}
            onSubmit={join}
            startsHere
          />
          <Button
            mode="outlined"
            style={styles.start}
            contentStyle={styles.tall}
            onPress={join}
          >{t`Keep the joined text`}</Button>
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  card: { borderWidth: 1.5, borderLeftWidth: 6, borderRadius: 8, padding: 12, gap: 12 },
  name: { flexDirection: 'row' },
  field: { gap: 8 },
  version: { borderTopWidth: 1, paddingTop: 8, gap: 4 },
  foot: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  who: { flex: 1 },
  start: { alignSelf: 'flex-start' },
  tall: { minHeight: 48 },
});
