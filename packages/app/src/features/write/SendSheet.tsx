import { plural, t } from '@lingui/core/macro';
import {
  fileNameOf,
  formattedHtml,
  LONG_DRAFT,
  mailtoUri,
  smsUri,
  textToSend,
  titleOf,
} from '@yellow-latch/core/compose';
import { countClusters } from '@yellow-latch/core/model';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { copyFormatted, copyText, tellNotCopied } from '@/frame/clipboard';
import { useNotice } from '@/frame/Notices';
import { saveFile } from '@/frame/saveFile';
import { Field } from '@/look/Field';
import type { IconName } from '@/look/icons';
import { Sheet } from '@/look/Sheet';
import { usePalette } from '@/look/useLook';
import type { DraftContent } from '@yellow-latch/replica/storage/draft';

import { SendRow } from './SendRow';

/** What a mail address looks like (WHATWG HTML, “valid email address”), here with a dot in its domain. */
const MAIL = /^[a-zA-Z0-9.!#$%&'*+/=?^_`{|}~-]+@[a-zA-Z0-9-]+(?:\.[a-zA-Z0-9-]+)+$/;
/** A telephone number as people write it: figures, and what stands between them. */
const PHONE = /^\+?[\d][\d\s()./-]*$/;

interface SendSheetProps {
  draft: Pick<DraftContent, 'text' | 'formatted'>;
  onClose: () => void;
}

/** Ways out of Write. Everything leaves through what the device itself opens: nothing is sent from here. */
export function SendSheet({ draft, onClose }: SendSheetProps) {
  const palette = usePalette();
  const notify = useNotice();
  const [to, setTo] = useState('');
  const [subject, setSubject] = useState('');
  const text = textToSend(draft.text);
  const title = titleOf(text);
  // A draft of a megabyte takes its time to count.
  const [count] = useState(() => countClusters(text));
  const receivers = to
    .split(/[,;\n]/u)
    .map((one) => one.trim())
    .filter((one) => one !== '');
  const mail = mailtoUri({ to: receivers.filter((one) => MAIL.test(one)), subject, body: text });
  const sms = smsUri({ to: receivers.filter((one) => PHONE.test(one)), body: text });
  // Told once the field is left: a half-typed address is no mistake.
  const [isLeft, setLeft] = useState(false);
  const wrong = receivers.find((one) => !MAIL.test(one) && !PHONE.test(one));
  const isFormatted = draft.formatted.length > 0;
  const html = () => formattedHtml(draft.text, draft.formatted);
  const tell = (line: string) => {
    onClose();
    notify({ text: line });
  };
  const told = (done: string) => (isDone: boolean) => tell(isDone ? done : tellNotCopied());
  const share = async () => {
    try {
      await navigator.share({ text });
      onClose();
    } catch (error) {
      // Whoever turned back in the sheet of their device wants no word about it.
      if (!(error instanceof DOMException && error.name === 'AbortError'))
        tell(t`Sharing didn’t work. Copy it instead.`);
    }
  };
  const row = (
    icon: IconName,
    label: string,
    note: string,
    action: { onPress: () => void } | { href: string; download?: string },
  ) => <SendRow key={label} icon={icon} label={label} note={note} {...action} />;
  return (
    <Sheet title={t`Send`} isOpen onClose={onClose}>
      <ScrollView>
        {row('copy', t`Copy`, plural(count, { one: '# character', other: '# characters' }), {
          onPress: () =>
            void copyText(text).then(
              told(plural(count, { one: 'Copied # character.', other: 'Copied # characters.' })),
            ),
        })}
        {isFormatted &&
          row('copy', t`Copy with formatting`, t`With bold, links and lists`, {
            onPress: () => void copyFormatted({ html: html(), plain: text }).then(told(t`Copied with formatting.`)),
          })}
        {typeof navigator.share === 'function' &&
          row('share', t`Share`, t`To an app on this device`, { onPress: () => void share() })}
        <View style={[styles.drafts, { borderColor: palette.line }]}>
          <Field
            label={t`To (optional): email addresses or phone numbers`}
            value={to}
            inputMode="email"
            onChangeText={(next) => {
              setTo(next);
              setLeft(false);
            }}
            error={
              isLeft && wrong !== undefined
                ? t`“${wrong}” is no email address or phone number. Correct it, or it’s left out.`
                : undefined
            }
            onBlur={() => setLeft(true)}
            onSubmit={() => {}}
          />
          <Field
            label={t`Email subject (optional)`}
            value={subject}
            onChangeText={setSubject}
            onBlur={() => {}}
            onSubmit={() => {}}
          />
        </View>
        {row(
          'mail',
          t`Email`,
          mail.length > LONG_DRAFT ? t`It’s long: check that your mail app kept all of it` : t`Opens in your mail app`,
          { href: mail },
        )}
        {row('message', t`Text message`, t`Opens in your messages app`, { href: sms })}
        {row('download', t`Save as a file`, fileNameOf(title, 'txt'), {
          onPress: () => saveFile(fileNameOf(title, 'txt'), text, 'text/plain'),
        })}
        {isFormatted &&
          row('download', t`Save with formatting`, fileNameOf(title, 'html'), {
            onPress: () => saveFile(fileNameOf(title, 'html'), page(title, html()), 'text/html'),
          })}
        <Text
          variant="bodySmall"
          style={[styles.note, { color: palette.inkSoft }]}
        >{t`Your draft stays here until you delete it.`}</Text>
      </ScrollView>
    </Sheet>
  );
}

function page(title: string, body: string): string {
  const name = title.replaceAll('&', '&amp;').replaceAll('<', '&lt;');
  return `<!doctype html>\n<html><head><meta charset="utf-8"><title>${name}</title></head>\n<body>\n${body}\n</body></html>\n`;
}

const styles = StyleSheet.create({
  drafts: { paddingHorizontal: 20, paddingBottom: 8, marginTop: 4, borderTopWidth: 1 },
  note: { paddingHorizontal: 20, paddingVertical: 8 },
});
