import type { Database } from '../database';
import type { Presence } from '../devices';
import type { Erasure } from '../erasure';
import type { Intake } from '../intake';
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
  /** How often wrong codes may be tried, and lists and successors be asked for. */
  tries?: Partial<Tries>;
  /** Whether nobody may start a list here. */
  isInviteOnly?: boolean;
}
