import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg } from '@lingui/core/macro';
import type { DeviceKind } from '@yellow-latch/core/model';

import type { StandInTab } from './tab';

const NAMES: Readonly<Record<DeviceKind, MessageDescriptor>> = {
  phone: msg`Stand-in phone`,
  tablet: msg`Stand-in tablet`,
  computer: msg`Stand-in computer`,
};

export function nameOfStandIn({ kind }: StandInTab): string {
  return i18n._(NAMES[kind]);
}
