/** What a block does on a rail. */
export type Role = 'source' | 'converter' | 'load' | 'contact'

/** A general kind of block on the wiring. */
export interface BlockKind {
  readonly name: string
  readonly role: Role
  /** Whether its power or its current stays the same when the voltage sags. */
  readonly takes: 'watts' | 'amps'
  /** How to read what it is given by. */
  readonly label: string
}

const kind = (name: string, role: Role, takes: BlockKind['takes'], label: string): BlockKind => ({ name, role, takes, label })

/** The short library of general kinds. Ready-made drivers regulate, so that their power stays (common practice). */
export const BLOCKS = {
  motorSupply: kind('Supply of the motors', 'source', 'watts', 'volts and amps on its label'),
  supply: kind('Another supply', 'source', 'watts', 'volts and amps on its label'),
  converter: kind('Converter', 'converter', 'watts', 'what it is set to, and the amps it gives'),
  motors: kind('Motors and their drivers', 'load', 'watts', 'amps from the rail with all motors running'),
  head: kind('Diode head', 'load', 'watts', 'volts and amps on its label'),
  controller: kind('Controller', 'load', 'watts', 'volts it takes, amps it draws'),
  fan: kind('Fan', 'load', 'amps', 'volts and amps on its label'),
  pump: kind('Air pump', 'load', 'amps', 'volts and amps on its label'),
  cooler: kind('Thermoelectric cooler', 'load', 'amps', 'volts and amps of its data sheet'),
  lamp: kind('Lamp', 'load', 'amps', 'volts and amps on its label'),
  stop: kind('Emergency stop', 'contact', 'amps', 'its contact carries what passes it'),
  key: kind('Key', 'contact', 'amps', 'its contact carries what passes it'),
  interlock: kind('Lid interlock', 'contact', 'amps', 'its contact carries what passes it'),
} as const satisfies Readonly<Record<string, BlockKind>>
export type BlockId = keyof typeof BLOCKS
export const BLOCK_IDS = Object.keys(BLOCKS) as readonly BlockId[]

/** What a kind does on a rail. */
export function roleOf(kind: BlockId): Role {
  return BLOCKS[kind].role
}

/** How two blocks are joined. */
export const WIRE_KINDS = ['rail', 'signal', 'earth', 'mains'] as const
export type WireKind = (typeof WIRE_KINDS)[number]
