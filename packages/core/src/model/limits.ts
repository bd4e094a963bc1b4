/** Bounds of the model. Clusters are extended grapheme clusters (UAX #29) as `Intl.Segmenter` counts them. */
export const LIMITS = {
  codeClusters: 40,
  codeCodePoints: 160,
  expansionClusters: 20_000,
  expansionBytes: 100_000,
  setNameClusters: 60,
  reasonClusters: 200,
  noteClusters: 300,
  usesAWeek: 10_000,
  keyboards: 8,
  shortcutsPerList: 50_000,
} as const;
