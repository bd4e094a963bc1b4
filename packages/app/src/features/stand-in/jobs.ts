/** The jobs in words. */
import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import type { JobId, Want } from '@yellow-latch/core/scenario/jobs';
import type { Judging } from '@yellow-latch/core/standIn';

import { tellCount } from '@/wording/format';

const TITLES: Readonly<Record<JobId, MessageDescriptor>> = {
  customers: msg`Answer three customers`,
  'on-the-way': msg`Say when you’ll be there`,
  workshop: msg`Give your address and number`,
  'diary-mail': msg`Write a mail to the diary`,
  'web-form': msg`Fill in a web form`,
  post: msg`Tag a photo of a piano`,
  condition: msg`Write a report`,
  symbols: msg`Note down four symbols`,
};

export function titleOfJob(id: JobId): string {
  return i18n._(TITLES[id]);
}

const LONGEST = 90;

/** What is wanted, as far as it can be told. */
export function tellWant(want: Want, { textOf }: Pick<Judging, 'textOf'>): string {
  switch (want.type) {
    case 'text': {
      const text = (textOf(want.code) ?? '').replaceAll(/\s*\n/gu, ' ');
      return text.length > LONGEST ? `${text.slice(0, LONGEST)}…` : text;
    }
    case 'date':
      return want.plusDays === 1 ? t`tomorrow’s date` : t`today’s date`;
    case 'mail':
      return t`a mail address`;
    case 'words':
      return t`an answer`;
    case 'characters':
      return Array.from(want.characters).join(' ');
    case 'tags':
      return t`${{ least: tellCount(want.least) }} to ${{ most: tellCount(want.most) }} tags, none twice`;
  }
}
