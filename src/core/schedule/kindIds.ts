/** Kinds of parts in a kit's bag; what each is, says `kinds.ts`. */
export const KIND_IDS = [
  'bar',
  'plate',
  'angle',
  'motor',
  'pulley',
  'idler',
  'wheel',
  'eccentric',
  'spacer',
  'belt',
  'turnNut',
  'slideNut',
  'foot',
  'board',
  'head',
  'supply',
  'endSwitch',
  'chain',
] as const
export type KindId = (typeof KIND_IDS)[number]
