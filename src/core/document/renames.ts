/** What figures were called before, by the old name: records name them so for ever. */
export const RENAMED_FIGURES: Readonly<Record<string, string>> = {
  'reach.glassesLabel': 'safety.glassesLabel',
  'reach.glassesDense': 'safety.glassesDense',
  'reach.glassesWithstand': 'safety.glassesWithstand',
}
