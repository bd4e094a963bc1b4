import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { counted } from '@/answers/audit/sentences';
import type { Preview } from '@/answers/exchange/workerApi';
import { Tick } from '@/look/Tick';

import type { RestPart } from '@yellow-latch/replica/commands/importing';
import { Sealed } from './Sealed';
import type { Importer } from './useImport';

const REST_WORDS: Record<RestPart, string> = {
  list: 'Languages, devices and keyboards in use',
  conventions: 'Conventions that were chosen',
  keyboards: 'Keyboards of your own',
  leftFindings: 'Findings left as they are',
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
            {REST_WORDS[part]}
            {part === 'list' ? '' : `, ${rest![part].length}`}
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
            {counted(secrets, 'new one looks like a secret', 'new ones look like secrets')}: only on this device
          </Text>
        </Tick>
      )}
      {preview.table?.hasPlainQuotes && (
        <Text variant="bodySmall">Quotes are taken as they stand, since as those of a table they made no sense.</Text>
      )}
      {preview.blank > 0 && <Text variant="bodySmall">{counted(preview.blank, 'blank line')} passed over.</Text>}
    </View>
  );
}

const styles = StyleSheet.create({
  above: { paddingHorizontal: 16, paddingTop: 8, gap: 4, maxWidth: 760 },
  words: { flex: 1, minWidth: 0 },
});
