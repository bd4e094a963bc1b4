import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, plural, t } from '@lingui/core/macro';
import type { WrittenForm } from '@yellow-latch/core/exchange';
import type { PlaceOfDevice } from '@yellow-latch/core/devices';
import type { CarryStep, Placed } from '@yellow-latch/core/fit';
import { digestOf } from '@yellow-latch/core/fit/digest';
import type { Device, Shortcut } from '@yellow-latch/core/model';
import { carrying } from '@yellow-latch/replica/commands/carrying';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { useAudit } from '@/answers/audit/AuditProvider';
import { useExchange } from '@/answers/exchange/useExchange';
import type { CarryState } from '@/answers/fit/useCarry';
import { useNotice } from '@/frame/Notices';
import { useList } from '@/frame/replica/ReplicaProvider';
import { useCommand } from '@/frame/replica/useCommand';
import { saveFile } from '@/frame/saveFile';
import { LatchButton } from '@/look/LatchButton';
import { RadioGroup } from '@/look/RadioGroup';
import { Tick } from '@/look/Tick';
import { fileName } from '@/parts/leaving/what';

const FORMS: readonly { form: WrittenForm; label: MessageDescriptor; ending: string; type: string }[] = [
  { form: 'csv', label: msg`Table (CSV)`, ending: 'csv', type: 'text/csv' },
  { form: 'lines', label: msg`Plain text, a line each`, ending: 'txt', type: 'text/plain' },
  { form: 'json', label: msg`JSON`, ending: 'json', type: 'application/json' },
];

interface ByFileProps {
  device: Device;
  place: PlaceOfDevice;
  carry: CarryState;
  steps: readonly CarryStep[];
}

/** All that a place can hold, as a file made for it; and that it went in. */
export function ByFile({ device, place, carry, steps }: ByFileProps) {
  const notify = useNotice();
  const run = useCommand();
  const ask = useExchange();
  const { client } = useAudit();
  const { shortcuts, carried } = useList();
  const [form, setForm] = useState<WrittenForm>('csv');
  const [saved, setSaved] = useState<readonly Placed[] | null>(null);
  const save = async () => {
    const { request } = carry;
    const held =
      request && (await client.ask(({ fit }) => fit.held(request, request.place) as Promise<readonly Placed[] | null>));
    if (!held) return notify({ text: t`The file couldn’t be made. Open Check to see why.` });
    const byId = new Map(shortcuts.map((shortcut) => [shortcut.id, shortcut]));
    const whole = held.flatMap(({ id, code, text }): Shortcut[] => {
      const shortcut = byId.get(id);
      return shortcut ? [{ ...shortcut, code, content: { expansion: text, template: false, format: 'plain' } }] : [];
    });
    const { ending, type } = FORMS.find((one) => one.form === form)!;
    try {
      const text = await ask((api) => api.write({ shortcuts: whole, sets: [] }, form, new Date().toISOString()));
      saveFile(fileName(device.name, new Date(), ending), text, type);
      setSaved(held);
    } catch {
      notify({ text: t`The file couldn’t be made. Your list is safe: try again.` });
    }
  };
  const went = async () => {
    const gone = steps.filter((step) => step.do === 'remove').map(({ id, code }) => ({ id, code, digest: null }));
    const now = [...saved!.map((one) => ({ id: one.id, code: one.code, digest: digestOf(one) })), ...gone];
    await run(
      carrying(device.id, place.profile, now, carried),
      plural(saved!.length, {
        one: 'Noted: # shortcut is there.',
        other: 'Noted: # shortcuts are there.',
      }),
    );
    setSaved(null);
  };
  return (
    <View style={styles.parts}>
      <Text variant="bodyMedium">{t`It holds what works there, as that list can hold it.`}</Text>
      <RadioGroup label={t`Format`} hasChosen>
        {FORMS.map((one) => (
          <Tick key={one.form} role="radio" isOn={one.form === form} onPress={() => setForm(one.form)}>
            <Text variant="bodyLarge">{i18n._(one.label)}</Text>
          </Tick>
        ))}
      </RadioGroup>
      <View style={styles.line}>
        <LatchButton label={t`Save the file`} icon="download" isQuiet onPress={() => void save()} />
        {saved && (
          <Button
            mode="outlined"
            onPress={() => void went()}
            style={styles.button}
            contentStyle={styles.tall}
          >{t`It’s in`}</Button>
        )}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  parts: { gap: 8 },
  line: { flexDirection: 'row', flexWrap: 'wrap', gap: 12 },
  button: { borderRadius: 6 },
  tall: { minHeight: 48 },
});
