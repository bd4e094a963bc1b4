/**
 * The background of the extension: a device of the list. The browser stops it when nothing has asked it anything for half
 * a minute, and starts it with the next message; all it knows is then read from its database, and the list followed
 * again. So frames ask again and again while a field has the focus, and what they get is fresh.
 */
import { idOfFormer } from '@yellow-latch/core/convention/former';
import { textNow } from '@yellow-latch/field/texts';

import type { Answers, FromPage, FromPanel, Message } from '../shared/messages';
import { readAddress } from './address';
import { followTyping, tellFrames, watchOpenPages } from './frames';
import { ListDevice } from './listDevice';
import { PageList } from './pageList';
import { changeSettings, conductOn, readSettings } from './settings';

const MOST_FOUND = 50;
/** Frames are told of changes that come close together once, in ms. */
const TOGETHER = 100;

let pages = new PageList();
let telling: ReturnType<typeof setTimeout> | undefined;

const device = new ListDevice(() => {
  telling ??= setTimeout(() => {
    telling = undefined;
    void tellFrames({ type: 'changed' });
  }, TOGETHER);
});

const fromPages: Answers<FromPage, chrome.runtime.MessageSender> = {
  field: async ({ host }, sender) => {
    const { isOn } = conductOn(host, await readSettings(), Date.now());
    if (isOn && (await device.open())) await followTyping(sender);
    return null;
  },
  here: async ({ host, version }) => {
    const conduct = conductOn(host, await readSettings(), Date.now());
    if (!conduct.isOn) return { conduct, list: { type: 'whole', version: '', entries: [] } };
    pages.update(await device.shortcuts(), Date.now());
    return { conduct, list: pages.partFor(version) };
  },
  text: async ({ id, values, around }) => {
    const shortcuts = await device.shortcuts();
    const shortcutOf = (wanted: string) => shortcuts.find((one) => one.id === wanted);
    const shortcut = shortcutOf(idOfFormer(id) ?? id);
    return shortcut ? textNow({ shortcut, values, around, shortcutOf }) : { type: 'none' };
  },
  used: async ({ id, by, typed, seconds }) => {
    await device.countUse(idOfFormer(id) ?? id, { by, typed, seconds, isFormer: idOfFormer(id) !== null });
    return null;
  },
  takenBack: async ({ id }) => {
    await device.takeBack(idOfFormer(id) ?? id);
    return null;
  },
};

const fromPanel: Answers<FromPanel, chrome.runtime.MessageSender> = {
  standing: () => device.standing(),
  settings: () => readSettings(),
  set: async (changes) => {
    const settings = await changeSettings(changes);
    void tellFrames({ type: 'changed' });
    return settings;
  },
  join: async ({ address: typed, code: typedCode, name }) => {
    const read = readAddress(typed);
    if (!read) return { problem: 'not-an-address' };
    return { problem: await device.join(read.address, typedCode.trim() || read.code, name) };
  },
  leave: async () => {
    await device.leave();
    pages = new PageList();
    void tellFrames({ type: 'changed' });
    return null;
  },
  search: async ({ words }) => {
    const wanted = words.trim().toLowerCase();
    const all = (await device.shortcuts()).map(({ id, code, content, sketch }) => ({
      id,
      code,
      text: (sketch ?? content.expansion).slice(0, 200),
    }));
    const inCode = all.filter(({ code }) => code.toLowerCase().includes(wanted));
    const inText = all.filter((one) => !inCode.includes(one) && one.text.toLowerCase().includes(wanted));
    return { found: [...inCode, ...inText].slice(0, MOST_FOUND), of: all.length };
  },
  make: ({ code, text }) => device.make(code.trim(), text),
  unmake: async ({ id }) => {
    await device.unmake(id);
    return null;
  },
};

type Asked = Message<FromPage> | Message<FromPanel>;

chrome.runtime.onMessage.addListener((message: Asked, sender, answer: (said: unknown) => void) => {
  if (sender.id !== chrome.runtime.id) return false;
  // What the panel may ask for, a script in a page may not, whatever became of it.
  const isOurPage = sender.url?.startsWith(chrome.runtime.getURL('')) ?? false;
  const answers = (isOurPage ? fromPanel : fromPages) as unknown as Record<string, typeof answerNobody | undefined>;
  const asked = answers[message.type] ?? answerNobody;
  void asked(message, sender).then(answer, () => answer(null));
  return true;
});

// eslint-disable-next-line @typescript-eslint/require-await -- as all answers are
async function answerNobody(_asked: Asked, _from: chrome.runtime.MessageSender): Promise<unknown> {
  return null;
}

chrome.runtime.onInstalled.addListener(({ reason }) => {
  void watchOpenPages();
  if (reason === 'install') void chrome.runtime.openOptionsPage();
});

void device.open();
