/** How each fact is found out, in a sentence. */
export const roundHints: Readonly<Record<string, string>> = {
  'round.every': 'Every month is usual; before every burn is better. What is due is asked for in the round.',
  'round.watch': 'Half an hour at least; where local rules ask for an hour, an hour.',
}
