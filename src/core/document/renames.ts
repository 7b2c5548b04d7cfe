/** What figures were called before, by the old name: records name them so for ever. */
export const RENAMED_FIGURES: Readonly<Record<string, string>> = {}
