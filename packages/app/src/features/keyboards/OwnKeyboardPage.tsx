import { t } from '@lingui/core/macro';
import { LayoutSchema, type Layout } from '@yellow-latch/core/model';
import { deletingKeyboard, savingKeyboard } from '@yellow-latch/replica/commands/list';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { DetailPage } from '@/frame/DetailPage';
import { keyboardOf, layoutOf } from '@/answers/effort/keyboards';
import { Field } from '@/look/Field';
import { LatchButton } from '@/look/LatchButton';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';
import { useList, useWrite } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';

import { sampleOf } from './sample';
import { WayExplorer } from './WayExplorer';

/** The rows of a layout that can be changed, by where they stand in it and what they are called. */
function rowsOf(layout: Layout): { part: string; at: number; label: string; text: string }[] {
  const parts: [string, string, readonly string[]][] =
    layout.type === 'glass'
      ? [
          ['letters', t`Letters`, layout.letters],
          ['figures', t`Numbers`, layout.figures],
          ['signs', t`Symbols`, layout.signs],
        ]
      : [
          ['base', t`Without shift`, layout.base],
          ['shift', t`With shift`, layout.shift],
        ];
  return parts.flatMap(([part, name, rows]) =>
    rows.map((text, at) => ({ part, at, label: t`${name}, row ${{ number: at + 1 }}`, text })),
  );
}

function withRow(layout: Layout, part: string, at: number, text: string): Layout {
  const rows = (layout as unknown as Record<string, readonly string[]>)[part]!;
  return { ...layout, [part]: rows.map((row, index) => (index === at ? text : row)) };
}

/** The keys of an own keyboard, row by row; what it gives is drawn as soon as it can be. */
export default function OwnKeyboardPage({ id, on }: { id: string; on?: string }) {
  const palette = usePalette();
  const router = useRouter();
  const write = useWrite();
  const run = useCommand();
  const list = useList();
  const { ownKeyboards, shortcuts } = list;
  const saved = layoutOf(id, ownKeyboards);
  const [draft, setDraft] = useState<Layout | null>(null);
  const layout = draft ?? saved;
  const device = list.devices.find((one) => one.id === on) ?? list.devices[0]!;
  const toDevice = { pathname: '/devices/[id]/keyboards', params: { id: device.id } } as const;
  const back = () => router.navigate(toDevice);
  if (!layout || !saved) {
    return (
      <DetailPage
        title={t`This keyboard was deleted`}
        about="gone"
        back={{ label: t`Back to the keyboards`, href: toDevice }}
      ></DetailPage>
    );
  }
  const parsed = LayoutSchema.safeParse(layout);
  const problemOf = (...path: (string | number)[]) =>
    parsed.error?.issues.find((issue) => issue.path.join() === path.join())?.message;
  const save = async () => {
    if (!parsed.success) return;
    const use = { keyboard: id, share: 1, pace: 1 };
    await write(...savingKeyboard({ id, layout: parsed.data }, use, device, list).writes);
    back();
  };
  const remove = async () => {
    await run(deletingKeyboard(id, list), t`Deleted ${{ name: saved.name }}.`);
    back();
  };
  return (
    <DetailPage
      gap={8}
      title={t`Your keyboard`}
      about={id}
      back={{ label: t`Back to the keyboards`, href: toDevice }}
      foot={
        <View style={[styles.foot, { borderColor: palette.line }]}>
          <Button
            icon="trash"
            mode="text"
            textColor={palette.alarm}
            onPress={() => void remove()}
            contentStyle={styles.tall}
          >
            Delete
          </Button>
          <View style={styles.title} />
          {parsed.success ? (
            <LatchButton label={t`Save`} icon="check" onPress={() => void save()} />
          ) : (
            <Text variant="bodyMedium">{t`Fix the rows to save.`}</Text>
          )}
        </View>
      }
    >
      <Field
        label={t`Name`}
        value={layout.name}
        onChangeText={(name) => setDraft({ ...layout, name })}
        onBlur={() => {}}
        onSubmit={() => void save()}
        error={problemOf('name') && t`Give it a name of 60 characters or fewer.`}
      />
      <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
        {layout.type === 'glass'
          ? t`Type the characters of each row.`
          : t`Type the characters of each row, with spaces between them.`}
      </Text>
      {rowsOf(layout).map(({ part, at, label, text }) => (
        <Field
          key={label}
          label={label}
          isCode
          value={text}
          onChangeText={(next) => setDraft(withRow(layout, part, at, next))}
          onBlur={() => {}}
          onSubmit={() => void save()}
          error={problemOf(part, at) && t`Use 1 to 14 characters.`}
        />
      ))}
      {layout.type === 'glass' && (
        <>
          <Tick
            role="checkbox"
            isOn={layout.fallsBack}
            onPress={() => setDraft({ ...layout, fallsBack: !layout.fallsBack })}
          >
            <Text variant="bodyLarge">{t`Goes back to letters after a space`}</Text>
          </Tick>
          <Tick
            role="checkbox"
            isOn={layout.hasFigureRow}
            onPress={() => setDraft({ ...layout, hasFigureRow: !layout.hasFigureRow })}
          >
            <Text variant="bodyLarge">{t`Has a number row above the letters`}</Text>
          </Tick>
        </>
      )}
      {parsed.success && <WayExplorer keyboard={keyboardOf(id, parsed.data)} sample={sampleOf(shortcuts)} pace={1} />}
    </DetailPage>
  );
}

const styles = StyleSheet.create({
  title: { flex: 1 },
  foot: { flexDirection: 'row', alignItems: 'center', padding: 10, borderTopWidth: 1 },
  tall: { minHeight: 48 },
});
