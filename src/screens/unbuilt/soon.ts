/** What each stage that is not built yet will take over, in a sentence. */
export const SOON: Readonly<Record<string, string>> = {
  log: 'It will take over what happened, what is due, and what it cost.',
}
