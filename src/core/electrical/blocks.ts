/** What a block does on a rail. */
export type Role = 'source' | 'converter' | 'load' | 'contact' | 'mains'

/** What each general kind of block does on a rail; what they are called is in `blockKinds.ts`. */
const ROLES = {
  inlet: 'mains',
  strip: 'mains',
  motorSupply: 'source',
  supply: 'source',
  converter: 'converter',
  motors: 'load',
  head: 'load',
  controller: 'load',
  fan: 'load',
  pump: 'load',
  cooler: 'load',
  lamp: 'load',
  stop: 'contact',
  key: 'contact',
  interlock: 'contact',
  arm: 'contact',
  contactor: 'contact',
  switch: 'contact',
} as const satisfies Readonly<Record<string, Role>>
export type BlockId = keyof typeof ROLES
export const BLOCK_IDS = Object.keys(ROLES) as readonly BlockId[]

/** What a kind does on a rail. */
export function roleOf(kind: BlockId): Role {
  return ROLES[kind]
}

/** How two blocks are joined. */
export const WIRE_KINDS = ['rail', 'signal', 'earth', 'mains'] as const
export type WireKind = (typeof WIRE_KINDS)[number]

/** What a contact does when it is pressed, turned off or its lid opened. */
export const SENSES = ['opens', 'closes'] as const
export type Sense = (typeof SENSES)[number]
