import { t } from '@lingui/core/macro';
import { ScrollView } from 'react-native';

import { Sheet } from '@/look/Sheet';
import { KeyList } from '@/parts/KeyList';

/** Every key that does something, by where it does. */
export function KeysSheet({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  return (
    <Sheet title={t`Keys`} isOpen={isOpen} onClose={onClose}>
      {/* By keyboard it is scrolled with the arrows. */}
      <ScrollView role="group" aria-label={t`Keys`} tabIndex={0}>
        <KeyList of="everywhere" />
        <KeyList of="list" />
        <KeyList of="write" />
      </ScrollView>
    </Sheet>
  );
}
