/**
 * Composing: what a message takes beside firing. Gaps to walk to, tags that stand there once, chances that were
 * missed, what keeps its formatting, what a simpler device would hold, and the way out: drafts for mail and text
 * message, a title, a file's name. Pure, and free of what draws or keeps a draft.
 */
export { DeviceList, type Refused } from './deviceList';
export { formattedHtml, shiftFormatted, type FormattedStretch } from './formatted';
export { nextGap } from './gaps';
export { joinerBefore } from './join';
export { MissedChances, type MissedChance } from './missed';
export { fileNameOf, LONG_DRAFT, mailtoUri, smsUri, textToSend, titleOf, type MailDraft } from './send';
export {
  dropTags,
  joinTagBlocks,
  readTagBlock,
  tagsIn,
  withoutTag,
  withoutTags,
  type Tag,
  type TagBlock,
} from './tags';
