import type { Brief } from '@yellow-latch/core/clash';

/** A finding about a shortcut, as tests need it. */
export function makeBrief(
  id: string,
  type: Brief['type'],
  severity: Brief['severity'],
  more: Partial<Brief> = {},
): Brief {
  return {
    type,
    severity,
    shortcuts: [id],
    devices: [],
    count: 1,
    evidence: null,
    about: `${severity} ${id}`,
    ...more,
  } as Brief;
}
