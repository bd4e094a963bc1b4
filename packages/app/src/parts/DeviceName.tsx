import { t } from '@lingui/core/macro';
import type { Device } from '@yellow-latch/core/model';
import { settingDevice } from '@yellow-latch/replica/commands/devices';
import { server } from '@yellow-latch/replica/sync/server';
import { useState } from 'react';

import { useNotice } from '@/frame/Notices';
import { tellNotDone } from '@/frame/refusals';
import { useList, useOpened, useWrite } from '@/frame/replica/ReplicaProvider';
import { Field } from '@/look/Field';

import { useDirectory } from './directory';

interface DeviceNameProps {
  name: string;
  /** The id under which the server knows it; null: it has not joined. */
  joined: string | null;
  /** What is typed on it; null: nothing is. */
  device: Device | null;
}

/** The name of a device, to be changed; it is kept when the field is left. */
export function DeviceName({ name: was, joined, device }: DeviceNameProps) {
  const notify = useNotice();
  const { replica } = useOpened();
  const list = useList();
  const write = useWrite();
  const { take } = useDirectory();
  const [name, setName] = useState(was);
  const rename = async () => {
    const next = name.trim();
    if (next === '' || next === was) {
      setName(was);
      return;
    }
    try {
      if (device) await write(...settingDevice(device, { name: next }, list).writes);
      if (joined !== null) take(await server.setDevice(replica.state.id, joined, { name: next }));
      notify({ text: t`Renamed to ${next}.` });
    } catch (error) {
      // The list calls it so from now on; the server does when it is asked again.
      notify({ text: tellNotDone(error) });
    }
  };
  return (
    <Field
      label={t`Name`}
      value={name}
      onChangeText={setName}
      onBlur={() => void rename()}
      onSubmit={() => void rename()}
    />
  );
}
