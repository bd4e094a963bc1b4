import { t } from '@lingui/core/macro';
import { forgetCurrentDevice } from '@yellow-latch/replica/storage/currentDevice';
import { StyleSheet } from 'react-native';
import { Button } from 'react-native-paper';

import { useOpened } from '@/frame/replica/ReplicaProvider';
import { switchBoardOf } from '@/frame/standIn/switches';
import { leaveStandIn, standInTab } from '@/frame/standIn/tab';

/** The sample list goes with one tap: nothing of it is anywhere else, and one's own list was never touched. */
export function LeaveSample({ color }: { color?: string }) {
  const { replica, sync } = useOpened();
  const leave = async () => {
    sync.stop();
    await forgetCurrentDevice(replica.db);
    switchBoardOf(standInTab()!).forget();
    leaveStandIn();
  };
  return (
    <Button mode="text" textColor={color} contentStyle={styles.tall} onPress={() => void leave()}>
      {t`Remove the sample list`}
    </Button>
  );
}

const styles = StyleSheet.create({ tall: { minHeight: 48 } });
