import type { BlockId } from './blocks'

/** A general kind of block on the wiring, in words. */
export interface BlockKind {
  readonly name: string
  /** Whether its power or its current stays the same when the voltage sags. */
  readonly takes: 'watts' | 'amps'
  /** How to read what it is given by. */
  readonly label: string
}

const kind = (name: string, takes: BlockKind['takes'], label: string): BlockKind => ({ name, takes, label })
const contact = (name: string, label = 'its contact carries what passes it'): BlockKind => kind(name, 'amps', label)
const BY_LABEL = 'volts and amps on its label'

/** The short library of general kinds. Ready-made drivers regulate, so that their power stays (common practice). */
export const BLOCKS: Readonly<Record<BlockId, BlockKind>> = {
  inlet: kind('Mains inlet', 'amps', 'the volts of the mains, the amps of its fuse'),
  strip: kind('Mains strip', 'amps', 'the volts of the mains, the amps on its label'),
  motorSupply: kind('Supply of the motors', 'watts', BY_LABEL),
  supply: kind('Another supply', 'watts', BY_LABEL),
  converter: kind('Converter', 'watts', 'what it is set to, and the amps it gives'),
  motors: kind('Motors and their drivers', 'watts', 'amps from the rail with all motors running'),
  head: kind('Diode head', 'watts', BY_LABEL),
  controller: kind('Controller', 'watts', 'volts it takes, amps it draws'),
  fan: kind('Fan', 'amps', BY_LABEL),
  pump: kind('Air pump', 'amps', BY_LABEL),
  cooler: kind('Thermoelectric cooler', 'amps', 'volts and amps of its data sheet'),
  lamp: kind('Lamp', 'amps', BY_LABEL),
  stop: contact('Emergency stop'),
  key: contact('Key'),
  interlock: contact('Lid interlock'),
  arm: contact('Arming switch'),
  contactor: contact('Contactor', 'a signal wire into it drives its coil'),
  switch: contact('Driver or switch', 'the signal wires into it decide whether it conducts'),
}

/** Contacts that a person moves, and how it is said that one asks for darkness. */
export const ACTUATED = {
  stop: 'pressed',
  key: 'off',
  interlock: 'open',
  arm: 'off',
} as const satisfies Partial<Record<BlockId, string>>
export type ActuatedId = keyof typeof ACTUATED

/** Whether a kind is a contact that a person moves. */
export function isActuated(kind: BlockId): kind is ActuatedId {
  return Object.hasOwn(ACTUATED, kind)
}
