import type { KindId } from './kindIds'

/** A kind of part in a kit's bag: its name, how it is told from what looks alike, and what it is for. */
export interface PartKind {
  readonly name: string
  readonly many: string
  /** How to tell it. */
  readonly tell: string
}

const kind = (name: string, many: string, tell: string): PartKind => ({ name, many, tell })

/** What a kit without instructions is made of (common practice). */
export const KINDS = {
  bar: kind('Bar', 'Bars', 'A profile with slots along it; lay those of one length together'),
  plate: kind('Plate', 'Plates', 'Flat, with holes; a carriage plate has three or four large ones for wheels'),
  angle: kind('Angle bracket', 'Angle brackets', 'Two legs at 90°, a hole in each; it joins two bars'),
  motor: kind('Motor', 'Motors', 'Square, four threads round a shaft, four wires'),
  pulley: kind('Pulley', 'Pulleys', 'Toothed, with grub screws; it clamps on a motor'),
  idler: kind('Idler', 'Idlers', 'Toothed or plain with a bearing and no grub screw'),
  wheel: kind('Wheel', 'Wheels', 'V-shaped or round edge, two bearings'),
  eccentric: kind('Eccentric', 'Eccentrics', 'A hexagon whose hole is off its middle: turn it in your fingers'),
  spacer: kind('Spacer', 'Spacers', 'Round tube or hexagon whose hole is in its middle'),
  belt: kind('Belt', 'Belts', 'Flat, with teeth; measure it, it may be one for several'),
  turnNut: kind(
    'Slot nut that turns in',
    'Slot nuts that turn in',
    'Narrow enough to drop into the slot, with rounded corners: it can come last',
  ),
  slideNut: kind(
    'Slot nut that slides in',
    'Slot nuts that slide in',
    'As wide as the slot inside: only from a bar’s end, before the corner is closed',
  ),
  foot: kind('Foot', 'Feet', 'Rubber, or a screw with a plate'),
  board: kind('Controller', 'Controllers', 'The board with a row of drivers and a plug for each motor'),
  head: kind('Diode head', 'Diode heads', 'Fins, a lens at one end, a fan: its cap stays on'),
  supply: kind('Supply', 'Supplies', 'Its label says volts and amps'),
  endSwitch: kind('End switch', 'End switches', 'Small, with a lever or a light gap, two or three wires'),
  chain: kind('Cable chain', 'Cable chains', 'Links that bend one way'),
} as const satisfies Readonly<Record<KindId, PartKind>>
