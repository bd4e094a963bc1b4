import { parseSlips, type Slip } from '@yellow-latch/language/slips';
import { useEffect, useState } from 'react';

/** Common slips, fetched when they are first looked at. `missing`: they could not be had. */
export function useSlips(isWanted: boolean): readonly Slip[] | 'coming' | 'missing' {
  const [slips, setSlips] = useState<readonly Slip[] | 'coming' | 'missing'>('coming');
  useEffect(() => {
    if (!isWanted) return;
    let isOver = false;
    fetch('/language/slips-en.json')
      .then(async (response) => parseSlips(await response.json()))
      .then(
        (found) => !isOver && setSlips(found),
        () => !isOver && setSlips('missing'),
      );
    return () => {
      isOver = true;
    };
  }, [isWanted]);
  return slips;
}
