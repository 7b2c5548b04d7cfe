/** What each stage that is not built yet will take over, in a sentence. */
export const SOON: Readonly<Record<string, string>> = {
  housing: 'It will take over the box from the machine’s reach: panels, window, lid strut and cut plan.',
  log: 'It will take over what happened, what is due, and what it cost.',
}
