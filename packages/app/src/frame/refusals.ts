import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import { isRefusal } from '@yellow-latch/replica/sync/server';

/** The problems of the server (RFC 9457) that a person can meet, by the last part of their type. */
const REFUSALS: Readonly<Record<string, MessageDescriptor>> = {
  closed: msg`You need a code to join. Get one on a device that has your list.`,
  'code-unknown': msg`This code doesn’t work or has expired. Get a new one on your other device.`,
  'device-known': msg`This device is already in use. Reload the page.`,
  'device-unknown': msg`The server doesn’t know this device. Join again with a code.`,
  busy: msg`The server is busy. Your changes stay on this device until it’s back.`,
  'disk-fails': msg`The server has trouble with its disk. Your changes stay on this device.`,
  'disk-full': msg`The server’s disk is full. Your changes stay on this device until there’s room.`,
  erasing: msg`Not deleted yet: the server is busy. Try again in a moment.`,
  'invite-only': msg`You can’t start a new list on this server. Join one with a code.`,
  itself: msg`A device can’t stop itself from editing. Do that on another device.`,
  'key-unknown': msg`No list here has this spare key. Check it, and check the address.`,
  'last-editor': msg`This is the last device that can edit your whole list. Let another one edit first.`,
  'list-deleted': msg`This list was deleted.`,
  'list-full': msg`Your list can’t have any more devices. Sign out one of them first.`,
  'list-known': msg`This list already exists. Reload the page.`,
  'list-too-large': msg`Your list is full. Delete something first.`,
  'not-found': msg`That device is no longer on your list.`,
  'only-use': msg`This device can use the list but not change it.`,
  'open-list': msg`This list is open to everyone and can’t be deleted.`,
  'read-only': msg`The server can’t save anything now. Your changes stay on this device.`,
  'server-full': msg`This server can’t hold any more lists.`,
  'signed-out': msg`This device was signed out.`,
  'some-sets': msg`This device gets only some of your sets, so it can’t do that.`,
  'too-many-codes': msg`You have several codes already. Use one of them, or wait until they expire.`,
  'too-many-tries': msg`Too many tries. Wait a while, then try again.`,
};

/** What the server’s no means. `slug`: the last part of the problem’s type. */
export function tellRefusal(slug: string): string {
  const known = REFUSALS[slug];
  return known ? i18n._(known) : t`The server couldn’t do that. Try again.`;
}

/** Why something that needs the server was not done: it said no, or it was out of reach. */
export function tellNotDone(error: unknown): string {
  return isRefusal(error) ? tellRefusal(error.slug) : t`You’re offline. Connect and try again.`;
}
