/** Whether this tab is a stand-in: a device of its own in a window that bears its name, so that several stand side by side. */
import type { DeviceKind } from '@yellow-latch/core/model';

export interface StandInTab {
  readonly kind: DeviceKind;
  /** A device of one's list, or one with the sample list, which no server knows. */
  readonly list: 'joined' | 'sample';
}

const NAME = /^yellow-latch (phone|tablet|computer)( sample)?$/u;
const PATH = /^\/stand-in\/(phone|tablet|computer)$/u;

function nameOf({ kind, list }: StandInTab): string {
  return `yellow-latch ${kind}${list === 'sample' ? ' sample' : ''}`;
}

/** The name under which this browser keeps its device: all sample stand-ins are one. */
export function deviceNameOf({ kind, list }: StandInTab): string {
  return list === 'sample' ? 'sample' : kind;
}

let known: StandInTab | null | undefined;

/** What this tab is; null: the browser itself, as any other. The page of a stand-in makes its tab one. */
export function standInTab(): StandInTab | null {
  if (known !== undefined) return known;
  const named = NAME.exec(window.name);
  const asked = PATH.exec(location.pathname)?.[1] as DeviceKind | undefined;
  const list = named?.[2] === undefined ? 'joined' : 'sample';
  const kind = asked ?? (named?.[1] as DeviceKind | undefined);
  known = kind === undefined ? null : { kind, list };
  if (known) window.name = nameOf(known);
  return known;
}

/** Whether the stand-in of a kind is a device already. */
export function isStandInKnown(kind: DeviceKind): boolean {
  return localStorage.getItem(`yellow-latch.device.${kind}`) !== null;
}

/**
 * Opens a stand-in of one's list in a window of its own. `codeFor`: makes the join code that it needs; null where it needs none. The
 * window opens at once, as browsers let it open for a tap alone.
 */
export async function openStandInWindow(kind: DeviceKind, codeFor: (() => Promise<string>) | null): Promise<void> {
  const name = nameOf({ kind, list: 'joined' });
  const path = `/stand-in/${kind}`;
  if (codeFor === null) {
    window.open(path, name);
    return;
  }
  const opened = window.open('about:blank', name);
  try {
    const code = await codeFor();
    if (opened) opened.location.href = `${location.origin}${path}#${code}`;
  } catch (error) {
    opened?.close();
    throw error;
  }
}

/** This tab becomes a stand-in with the sample list. */
export function trySample(kind: DeviceKind): void {
  window.name = nameOf({ kind, list: 'sample' });
  location.assign(`/stand-in/${kind}`);
}

/** This tab is the browser itself again. */
export function leaveStandIn(): void {
  window.name = '';
  location.replace('/');
}
