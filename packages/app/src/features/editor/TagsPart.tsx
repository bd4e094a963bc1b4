import { plural, t } from '@lingui/core/macro';
import { dropTags, joinTagBlocks, readTagBlock } from '@yellow-latch/core/compose/tags';
import { LIMITS } from '@yellow-latch/core/model';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';

import { useList } from '@/frame/replica/ReplicaProvider';
import { ChoiceSheet } from '@/look/ChoiceSheet';
import { Field, FieldNote } from '@/look/Field';

import type { Editor } from './useEditor';

/** Of a block of tags: how many there are, which stand there twice, and which are more than may be sent. */
export function TagsPart({ editor, id }: { editor: Editor; id: string | null }) {
  const { control, setValue } = editor.form;
  const [expansion, limit] = useWatch({ control, name: ['expansion', 'tagLimit'] });
  const [isJoining, setJoining] = useState(false);
  const { shortcuts } = useList();
  const { tags, doubles, over } = readTagBlock(expansion, limit);
  const others = shortcuts.filter((one) => one.kind === 'tags' && one.id !== id && !one.content.template);
  const write = (text: string) => setValue('expansion', text, { shouldDirty: true });
  const setLimit = (written: string) => {
    const figures = written.replaceAll(/\D/gu, '').slice(0, 4);
    const next = figures === '' ? null : Math.min(Math.max(1, Number(figures)), LIMITS.tags);
    setValue('tagLimit', next, { shouldDirty: true });
  };
  return (
    <View>
      <View style={styles.line}>
        <View style={styles.limit}>
          <Field
            label={plural(tags.length, { one: 'Limit (# tag now)', other: 'Limit (# tags now)' })}
            value={limit === null ? '' : String(limit)}
            onChangeText={setLimit}
            onBlur={() => {}}
            onSubmit={editor.save}
            inputMode="decimal"
            placeholder={t`any number`}
          />
        </View>
        {others.length > 0 && (
          <Button mode="text" icon="combine" onPress={() => setJoining(true)} contentStyle={styles.tall}>
            {t`Add another block`}
          </Button>
        )}
      </View>
      {doubles.length > 0 && (
        <FieldNote
          text={plural(doubles.length, { one: '# tag is here twice.', other: '# tags are here twice.' })}
          action={t`Remove doubles`}
          icon="minus"
          onPress={() => write(dropTags(expansion, doubles))}
        />
      )}
      {doubles.length === 0 && over.length > 0 && (
        <FieldNote
          text={plural(over.length, { one: '# tag too many.', other: '# tags too many.' })}
          action={t`Cut to ${{ limit: limit! }}`}
          icon="minus"
          onPress={() => write(dropTags(expansion, over))}
        />
      )}
      <ChoiceSheet
        title={t`Add another block`}
        value=""
        choices={others.map(({ id: value, code, content }) => ({
          value,
          label: `${code} ${content.expansion.slice(0, 60)}`,
        }))}
        isOpen={isJoining}
        onClose={() => setJoining(false)}
        onChange={(chosen) => {
          const other = others.find((one) => one.id === chosen);
          if (other) write(joinTagBlocks([expansion, other.content.expansion]));
        }}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-end', gap: 8 },
  limit: { flex: 1, minWidth: 160 },
  tall: { minHeight: 52 },
});
