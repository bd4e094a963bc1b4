import type { PlannedRow } from '@yellow-latch/core/exchange';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { counted } from '@/audit/sentences';
import type { Preview } from '@/exchange/limits';
import { ChoiceChip } from '@/look/ChoiceChip';
import { Field } from '@/look/Field';
import { STRONG } from '@/look/fonts';
import { Icon } from '@/look/icons';
import { LatchButton } from '@/look/LatchButton';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';
import { VirtualList } from '@/look/VirtualList';
import { useList } from '@/replica/ReplicaProvider';

import { Columns } from './Columns';
import { choiceOf, type RestPart } from './importing';
import { PreviewRow } from './PreviewRow';
import { RowSheet } from './RowSheet';
import { Sealed } from './Sealed';
import type { Importer } from './useImport';

type Status = PlannedRow['status'];

const GROUPS: readonly { status: Status; title: string; about: string }[] = [
  { status: 'new', title: 'New', about: 'come in' },
  { status: 'changed', title: 'Changed', about: 'yours become as they are here' },
  { status: 'taken', title: 'Code taken', about: 'stay out, unless you give them another code' },
  { status: 'refused', title: 'Refused', about: 'cannot be kept as they are' },
  { status: 'same', title: 'The same', about: 'you have them already' },
];

const REST_WORDS: Record<RestPart, string> = {
  list: 'Languages, devices and keyboards in use',
  conventions: 'Conventions that were chosen',
  keyboards: 'Keyboards of your own',
  leftFindings: 'Findings left as they are',
};

type Item =
  | { type: 'above'; key: string }
  | { type: 'group'; key: string; status: Status; rows: readonly number[] }
  | { type: 'row'; key: string; index: number };

interface PreviewListProps {
  importer: Importer;
  preview: Preview;
}

/** What would become of every row, in groups, to be decided of each or of all; and the button that does it. */
export function PreviewList({ importer, preview }: PreviewListProps) {
  const palette = usePalette();
  const router = useRouter();
  const { sets } = useList();
  const [closed, setClosed] = useState<ReadonlySet<Status>>(new Set(['same']));
  const [asked, setAsked] = useState<number | null>(null);
  const [isColumnsDone, setColumnsDone] = useState(false);
  const { rows } = preview;
  const byStatus = useMemo(() => {
    const groups = new Map<Status, number[]>(GROUPS.map(({ status }) => [status, []]));
    rows.forEach((row, index) => groups.get(row.status)!.push(index));
    return groups;
  }, [rows]);
  const items = useMemo(() => {
    const all: Item[] = [{ type: 'above', key: 'above' }];
    for (const { status } of GROUPS) {
      const of = byStatus.get(status)!;
      if (of.length === 0) continue;
      all.push({ type: 'group', key: status, status, rows: of });
      if (!closed.has(status)) for (const index of of) all.push({ type: 'row', key: String(index), index });
    }
    return all;
  }, [byStatus, closed]);
  if (preview.table?.isUnclear && !isColumnsDone) return <Columns table={preview.table} onDone={(columns, hasHeading) => {
    setColumnsDone(true);
    importer.readOtherwise({ ...importer.readAs, form: preview.form, columns, hasHeading });
  }} />;
  const { plan } = importer;
  const count = plan ? plan.made + plan.changed : 0;
  const hasWork = plan !== null && plan.doing.writes.length > 0;
  const saysNoSet = rows.some((row) => row.status === 'new' && row.wanted.set === undefined);
  const secrets = rows.filter((row) => row.status === 'new' && row.secret !== null).length;
  return (
    <View style={styles.page}>
      <View style={styles.list}>
        <VirtualList<Item>
          label="What would become of every row"
          items={items}
          keyOf={({ key }) => key}
          estimate={({ type }) => (type === 'row' ? 60 : 64)}
          renderItem={(item) => {
            if (item.type === 'above') return <Above importer={importer} preview={preview} secrets={secrets} />;
            if (item.type === 'row') return <PreviewRow row={rows[item.index]!} choice={choiceOf(rows[item.index]!, item.index, importer.choices)} onChoose={(choice) => importer.choose([item.index], choice)} onAsk={() => setAsked(item.index)} />;
            return <GroupHead importer={importer} preview={preview} status={item.status} rows={item.rows} isOpen={!closed.has(item.status)} onOpen={(isOpen) => setClosed(new Set(isOpen ? [...closed].filter((one) => one !== item.status) : [...closed, item.status]))} />;
          }}
        />
      </View>
      <View style={[styles.foot, { borderColor: palette.line, backgroundColor: palette.ground }]}>
        {saysNoSet && importer.into !== null && 'name' in importer.into && <NewSetName importer={importer} />}
        <View style={styles.go}>
          {saysNoSet ? (
            <IntoSet importer={importer} sets={sets} />
          ) : (
            <Text role="status" variant="bodySmall" style={styles.words}>
              {hasWork ? 'All of it at once, with one undo.' : 'Nothing is to be brought in.'}
            </Text>
          )}
          {hasWork && (
            <LatchButton
              label={count > 0 ? `Bring in ${count.toLocaleString('en')}` : 'Restore'}
              icon="check"
              onPress={() =>
                void importer.bringIn().then(
                  () => router.navigate('/'),
                  () => {},
                )
              }
            />
          )}
        </View>
      </View>
      {asked !== null && <RowSheet row={rows[asked]!} all={rows} choice={choiceOf(rows[asked]!, asked, importer.choices)} onClose={() => setAsked(null)} onChoose={(choice) => importer.choose([asked], choice)} />}
    </View>
  );
}

/** What there is to decide of the file as a whole. */
function Above({ importer, preview, secrets }: PreviewListProps & { secrets: number }) {
  const { rest } = preview;
  const parts = rest ? (Object.keys(REST_WORDS) as RestPart[]).filter((part) => (part === 'list' ? rest.list !== null : rest[part].length > 0)) : [];
  return (
    <View style={styles.above}>
      {preview.sealed > 0 && <Sealed count={preview.sealed} onOpen={importer.unseal} />}
      {parts.map((part) => (
        <Tick key={part} role="checkbox" isOn={importer.takes.includes(part)} onPress={() => importer.setTakes(part, !importer.takes.includes(part))}>
          <Text variant="bodyLarge" style={styles.words}>
            {REST_WORDS[part]}
            {part === 'list' ? '' : `, ${rest![part].length}`}
          </Text>
        </Tick>
      ))}
      {secrets > 0 && (
        <Tick role="checkbox" isOn={importer.keepsSecrets} onPress={() => importer.setKeepsSecrets(!importer.keepsSecrets)}>
          <Text variant="bodyLarge" style={styles.words}>
            {counted(secrets, 'new one looks like a secret', 'new ones look like secrets')}: only on this device
          </Text>
        </Tick>
      )}
      {preview.table?.hasPlainQuotes && <Text variant="bodySmall">Quotes are taken as they stand, since as those of a table they made no sense.</Text>}
      {preview.blank > 0 && <Text variant="bodySmall">{counted(preview.blank, 'blank line')} passed over.</Text>}
    </View>
  );
}

interface GroupHeadProps extends PreviewListProps {
  status: Status;
  rows: readonly number[];
  isOpen: boolean;
  onOpen: (isOpen: boolean) => void;
}

function GroupHead({ importer, preview, status, rows, isOpen, onOpen }: GroupHeadProps) {
  const palette = usePalette();
  const { title, about } = GROUPS.find((group) => group.status === status)!;
  const isOut = (index: number) => choiceOf(preview.rows[index]!, index, importer.choices).do === 'leave';
  const out = rows.filter(isOut).length;
  const decides = status === 'new' || status === 'changed' || status === 'taken';
  const bringAll = () => {
    if (status !== 'taken') {
      importer.choose(rows, { do: 'take' });
      return;
    }
    importer.chooseEach(new Map(rows.map((index) => [index, { do: 'recode' as const, code: (preview.rows[index] as Extract<PlannedRow, { status: 'taken' }>).free }])));
  };
  return (
    <View style={[styles.group, { borderColor: palette.line }]}>
      <Pressable role="button" aria-expanded={isOpen} aria-label={`${title}: ${rows.length}`} onPress={() => onOpen(!isOpen)} style={styles.groupName}>
        <Icon name={isOpen ? 'chevron-down' : 'chevron-right'} size={20} color={palette.ink} />
        <View style={styles.words}>
          <Text variant="titleMedium" style={STRONG}>
            {title} {rows.length.toLocaleString('en')}
          </Text>
          <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
            {decides && out > 0 && out < rows.length ? `${(rows.length - out).toLocaleString('en')} of them come in` : decides && out === rows.length && status !== 'taken' ? 'stay out' : decides && out === 0 && status === 'taken' ? 'come in under other codes' : about}
          </Text>
        </View>
      </Pressable>
      {decides && (
        <Button mode="text" onPress={out > 0 ? bringAll : () => importer.choose(rows, { do: 'leave' })} contentStyle={styles.tall}>
          {out > 0 ? (status === 'taken' ? 'All recoded' : 'All in') : 'All out'}
        </Button>
      )}
    </View>
  );
}

const NEW = ' new';
const BROUGHT_IN = 'Brought in';

/** The set for rows that say nothing of one. */
function IntoSet({ importer, sets }: { importer: Importer; sets: readonly { id: string; name: string }[] }) {
  const { into, setInto } = importer;
  const value = into === null ? null : 'setId' in into ? into.setId : NEW;
  return (
    <View style={styles.into}>
      <ChoiceChip
        label="Those without a set go into"
        placeholder="Into no set"
        value={value}
        choices={[{ value: null, label: 'no set' }, ...sets.map(({ id, name }) => ({ value: id, label: name })), { value: NEW, label: 'a new set…' }]}
        onChange={(next: string | null) => setInto(next === null ? null : next === NEW ? { name: BROUGHT_IN } : { setId: next })}
      />
    </View>
  );
}

function NewSetName({ importer: { into, setInto } }: { importer: Importer }) {
  const name = into !== null && 'name' in into ? into.name : '';
  return <Field label="The name of the new set" value={name} onChangeText={(next) => setInto({ name: next })} onBlur={() => name.trim() === '' && setInto({ name: BROUGHT_IN })} onSubmit={() => {}} />;
}

const styles = StyleSheet.create({
  page: { flex: 1, minHeight: 0 },
  list: { flex: 1, minHeight: 0 },
  above: { paddingHorizontal: 16, paddingTop: 8, gap: 4, maxWidth: 760 },
  group: { flexDirection: 'row', alignItems: 'center', borderBottomWidth: 1, paddingRight: 8, marginTop: 8 },
  groupName: { flex: 1, flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 56, paddingLeft: 12, minWidth: 0 },
  words: { flex: 1, minWidth: 0 },
  tall: { minHeight: 48 },
  foot: { borderTopWidth: 1, paddingHorizontal: 16, paddingVertical: 10, gap: 10 },
  go: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  into: { flex: 1, flexDirection: 'row', minWidth: 0 },
});
