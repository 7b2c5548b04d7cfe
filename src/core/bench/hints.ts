/** How each fact is found out, in a sentence; `*` stands for an id. Kept apart from the slice, for the first picture needs none. */
export const instrumentsHints: Readonly<Record<string, string>> = {
  'instruments.*.scale': 'Compare with a gauge block or a certified rule: true length over reading, less one.',
  'instruments.*.zero': 'Close the jaws: true zero less what it reads.',
}
