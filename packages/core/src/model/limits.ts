/** Bounds of the model. Clusters are extended grapheme clusters (UAX #29) as `Intl.Segmenter` counts them. */
export const LIMITS = {
  codeClusters: 40,
  codeCodePoints: 160,
  expansionClusters: 20_000,
  expansionBytes: 100_000,
  setNameClusters: 60,
  reasonClusters: 200,
  noteClusters: 300,
  deviceNameClusters: 60,
  /** UTF-16 units of the key of a person's card. */
  cardUid: 255,
  /** Tags that a person may set as most for a block. */
  tags: 1_000,
  usesAWeek: 10_000,
  /** New codes that a person may take on at a time. */
  newCodesAtOnce: 5,
  /** Pieces of evidence that are kept of what a person knows of a code. */
  reviewsKept: 24,
  keyboards: 8,
  shortcutsPerList: 50_000,
  /** UTF-16 units that a line may have for each of its clusters: a text is measured before it is counted. */
  unitsPerCluster: 16,
  /** Uses that one change may add to what a device has counted. */
  usesAChange: 100_000,
  usesInAll: 1_000_000_000,
  /** Versions of one field that are kept side by side. */
  versionsPerField: 8,
} as const;
