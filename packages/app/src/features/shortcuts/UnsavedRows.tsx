import { t } from '@lingui/core/macro';
import { isNewPlace, type UnsavedForm } from '@yellow-latch/replica/storage/unsaved';
import { useGlobalSearchParams, usePathname, useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';

import { useNotice } from '@/frame/Notices';
import { useList, useOpened, useUnsavedForms } from '@/frame/replica/ReplicaProvider';
import { CodePlate } from '@/look/CodePlate';
import { Icon } from '@/look/icons';
import { PressLink } from '@/look/PressLink';
import { usePalette } from '@/look/useLook';

/** Above the list: what was typed and not saved yet, to go on with or to discard. */
export function UnsavedRows() {
  const palette = usePalette();
  const open = useOpenPlace();
  const forms = useUnsavedForms().filter(({ place }) => place !== open);
  if (forms.length === 0) return null;
  return (
    <View role="list" aria-label={t`Not saved yet`} style={[styles.rows, { borderColor: palette.line }]}>
      {forms.map((form) => (
        <UnsavedRow key={form.place} form={form} />
      ))}
    </View>
  );
}

/** The place of the form that is open beside the list or over it. */
function useOpenPlace(): string | undefined {
  const pathname = usePathname();
  const { id, at } = useGlobalSearchParams<{ id?: string; at?: string }>();
  const last = useUnsavedForms().find(({ place }) => isNewPlace(place))?.place;
  if (pathname === '/new') return at ?? last;
  return pathname.startsWith('/shortcut/') ? id : undefined;
}

function UnsavedRow({ form }: { form: UnsavedForm }) {
  const palette = usePalette();
  const router = useRouter();
  const notify = useNotice();
  const { unsaved } = useOpened();
  const { shortcuts } = useList();
  const { place, values } = form;
  const saved = shortcuts.find(({ id }) => id === place);
  const textOf = (name: 'code' | 'expansion', otherwise: string) =>
    typeof values[name] === 'string' ? values[name].trim() : otherwise;
  const code = textOf('code', saved?.code ?? '');
  const isHidden = values['isPrivate'] === true || saved?.private === true;
  const text = isHidden ? '' : textOf('expansion', '').replace(/\s*\n\s*/g, ' ');
  const name = code || text || t`New shortcut`;
  const discard = () => {
    unsaved.drop(place);
    notify({ text: t`Discarded “${name}”.`, action: { label: t`Undo`, onPress: () => unsaved.keep(form) } });
  };
  return (
    <View role="listitem" style={styles.row}>
      <PressLink
        aria-label={t`Not saved yet: ${name}`}
        style={styles.link}
        onPress={() =>
          router.navigate(
            isNewPlace(place)
              ? { pathname: '/new', params: { at: place } }
              : { pathname: '/shortcut/[id]', params: { id: place } },
          )
        }
      >
        <Icon name="pencil" size={18} color={palette.ink} />
        <View style={styles.words}>
          <View style={styles.what}>
            {code !== '' && <CodePlate code={code} />}
            <Text variant="bodyMedium" numberOfLines={1} style={styles.text}>
              {code === '' && text === '' ? name : text}
            </Text>
          </View>
          <Text variant="bodySmall" style={{ color: palette.inkSoft }}>{t`Not saved yet`}</Text>
        </View>
      </PressLink>
      <IconButton
        icon="trash"
        size={20}
        style={styles.button}
        accessibilityLabel={t`Discard ${name}`}
        onPress={discard}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  rows: { borderTopWidth: 1, borderBottomWidth: 1, marginTop: 4 },
  row: { flexDirection: 'row', alignItems: 'center', paddingLeft: 10, paddingRight: 4 },
  link: { flex: 1, flexDirection: 'row', alignItems: 'center', gap: 8, minWidth: 0, minHeight: 60 },
  words: { flex: 1, minWidth: 0 },
  what: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  text: { flex: 1, minWidth: 0 },
  button: { width: 48, height: 48, margin: 0 },
});
