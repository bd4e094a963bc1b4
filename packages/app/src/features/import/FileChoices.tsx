import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, plural, t } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import type { Preview } from '@/answers/exchange/workerApi';
import { Tick } from '@/look/Tick';
import { tellCount } from '@/wording/format';

import type { RestPart } from '@yellow-latch/replica/commands/importing';
import { Sealed } from './Sealed';
import type { Importer } from './useImport';

const REST_WORDS: Record<RestPart, MessageDescriptor> = {
  list: msg`Your languages`,
  conventions: msg`Your markers`,
  keyboards: msg`Your own keyboards`,
  leftFindings: msg`Ignored problems`,
  devices: msg`Your devices, and what was copied to them`,
  learning: msg`What you have learned`,
};

interface FileChoicesProps {
  importer: Importer;
  preview: Preview;
}

/** What there is to decide of the file as a whole. */
export function FileChoices({ importer, preview }: FileChoicesProps) {
  const { rest, rows } = preview;
  const secrets = rows.filter((row) => row.status === 'new' && row.secret !== null).length;
  const parts = rest
    ? (Object.keys(REST_WORDS) as RestPart[]).filter((part) =>
        part === 'list' ? rest.list !== null : rest[part].length > 0,
      )
    : [];
  return (
    <View style={styles.above}>
      {preview.sealed > 0 && <Sealed count={preview.sealed} onOpen={importer.unseal} />}
      {parts.map((part) => (
        <Tick
          key={part}
          role="checkbox"
          isOn={importer.restParts.includes(part)}
          onPress={() => importer.setRestPart(part, !importer.restParts.includes(part))}
        >
          <Text variant="bodyLarge" style={styles.words}>
            {i18n._(REST_WORDS[part])}
            {part === 'list' ? '' : ` (${tellCount(rest![part].length)})`}
          </Text>
        </Tick>
      ))}
      {secrets > 0 && (
        <Tick
          role="checkbox"
          isOn={importer.keepsSecrets}
          onPress={() => importer.setKeepsSecrets(!importer.keepsSecrets)}
        >
          <Text variant="bodyLarge" style={styles.words}>
            {plural(secrets, {
              one: '# looks like a secret: keep it only on this device',
              other: '# look like secrets: keep them only on this device',
            })}
          </Text>
        </Tick>
      )}
      {preview.table?.hasPlainQuotes && (
        <Text variant="bodySmall">{t`Quotes are kept as they are, because they don’t match up.`}</Text>
      )}
      {preview.blank > 0 && (
        <Text variant="bodySmall">
          {plural(preview.blank, { one: 'Skipped # empty line.', other: 'Skipped # empty lines.' })}
        </Text>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  above: { paddingHorizontal: 16, paddingTop: 8, gap: 4, maxWidth: 760 },
  words: { flex: 1, minWidth: 0 },
});
