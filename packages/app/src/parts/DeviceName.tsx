import { t } from '@lingui/core/macro';
import type { DeviceInfo } from '@yellow-latch/core/sync';
import { server } from '@yellow-latch/replica/sync/server';
import { useState } from 'react';

import { useNotice } from '@/frame/Notices';
import { tellNotDone } from '@/frame/refusals';
import { useOpened } from '@/frame/replica/ReplicaProvider';
import { Field } from '@/look/Field';

import { useDirectory } from './directory';

/** The name of a device, to be changed; it is kept when the field is left. */
export function DeviceName({ device, label = t`Name` }: { device: DeviceInfo; label?: string }) {
  const notify = useNotice();
  const { replica } = useOpened();
  const { take } = useDirectory();
  const [name, setName] = useState(device.name);
  const rename = async () => {
    const next = name.trim();
    if (next === '' || next === device.name) {
      setName(device.name);
      return;
    }
    try {
      take(await server.setDevice(replica.state.id, device.id, { name: next }));
      notify({ text: t`Renamed to ${next}.` });
    } catch (error) {
      notify({ text: tellNotDone(error) });
    }
  };
  return (
    <Field
      label={label}
      value={name}
      onChangeText={setName}
      onBlur={() => void rename()}
      onSubmit={() => void rename()}
    />
  );
}
