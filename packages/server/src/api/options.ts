import type { Database } from '../database';
import type { Presence } from '../devices';
import type { Erasure } from '../erasure';
import type { ServerState } from '../health';
import type { Intake } from '../intake';
import type { WayIn } from '../phones/phones';
import type { Streams } from '../stream';
import type { Tries } from './rateLimits';

/** What the routes work with, and what the operator sets. */
export interface ApiOptions {
  db: Database;
  streams: Streams;
  intake: Intake;
  presence: Presence;
  erasure: Erasure;
  /** Wall time in ms since 1970; tests set it. */
  now: () => number;
  /** The one list that takes in every browser which reaches it: for the demo. */
  openList?: string;
  /** The address at which other devices reach this server, if it was told. */
  publicUrl?: string;
  /** How phones on the same network get in now, if they are let in. */
  wayIn?: () => WayIn | null;
  /** What the server knows of its own state. */
  state: ServerState;
  /** How often wrong codes may be tried, and lists and successors be asked for. */
  tries?: Partial<Tries>;
  /** Whether nobody may start a list here. */
  isInviteOnly?: boolean;
}
