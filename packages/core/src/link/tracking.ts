/** Why a part of a link is not the way to the page. */
export type TrackingReason = 'campaign' | 'click' | 'mail' | 'share';

/**
 * Names of parameters that tell a page where its visitor came from and are no part of the address. From memory of what
 * advertising, mailing and sharing services add; common practice, no source. A name that ends in `*` stands for all that begin so.
 */
export const TRACKING: readonly { readonly name: string; readonly reason: TrackingReason }[] = [
  // Which campaign led here.
  ...[
    'utm_*',
    'pk_campaign',
    'pk_kwd',
    'pk_source',
    'pk_medium',
    'mtm_*',
    'piwik_*',
    'matomo_*',
    'hsa_*',
    'cmpid',
    'ns_campaign',
    'ns_source',
    'ns_mchannel',
  ].map((name) => ({ name, reason: 'campaign' as const })),
  // Which click on which advertisement.
  ...[
    'gclid',
    'gclsrc',
    'dclid',
    'gbraid',
    'wbraid',
    'fbclid',
    'msclkid',
    'yclid',
    'twclid',
    'ttclid',
    'li_fat_id',
    'rdt_cid',
    'epik',
    'srsltid',
  ].map((name) => ({ name, reason: 'click' as const })),
  // Whose copy of which mailing.
  ...[
    'mc_cid',
    'mc_eid',
    'mkt_tok',
    '_hsenc',
    '_hsmi',
    'vero_id',
    'vero_conv',
    'oly_anon_id',
    'oly_enc_id',
    'ck_subscriber_id',
    '_ke',
    '_kx',
  ].map((name) => ({ name, reason: 'mail' as const })),
  // Who shared it.
  ...['igsh', 'igshid', 'share_id', 'sharer_id', 'ref_src', 'ref_url', '_branch_match_id'].map((name) => ({
    name,
    reason: 'share' as const,
  })),
];

const NAMES = new Map(TRACKING.filter(({ name }) => !name.endsWith('*')).map(({ name, reason }) => [name, reason]));
const BEGINNINGS = TRACKING.filter(({ name }) => name.endsWith('*')).map(({ name, reason }) => ({
  begins: name.slice(0, -1),
  reason,
}));

/** Why a parameter of this name is taken for tracking; null: it is not. */
export function trackingReason(name: string): TrackingReason | null {
  const low = name.toLowerCase();
  return NAMES.get(low) ?? BEGINNINGS.find(({ begins }) => low.startsWith(begins))?.reason ?? null;
}
