import type { RoundView } from './steps'

/** What can hurt on a machine like this, said where the work is. */
export interface Caution {
  readonly id: string
  readonly head: string
  readonly words: string
  /** The parts where that work is done. */
  readonly part: string
}

const ALWAYS = {
  fire: {
    id: 'fire',
    head: 'Fire',
    words:
      'Wood smoulders unseen under the cut and in the tray. Never leave it alone; never hold a burn by covering it. Out with the power first, then CO₂ or water mist; no water on what is live.',
    part: 'safety/round',
  },
  fumes: {
    id: 'fumes',
    head: 'Fumes',
    words:
      'Smoke of wood, leather and plastics harms lungs at once and over years; soot in the filter is no rubbish for the house. Outdoors with it; carbon alone passes carbon monoxide.',
    part: 'air/box',
  },
  static: {
    id: 'static',
    head: 'Static',
    words:
      'A diode dies of a spark nobody feels. Wrist strap, supply off, wait until it is dark; never pull a plug of the diode live.',
    part: 'power/wiring',
  },
} satisfies Readonly<Record<string, Caution>>

/**
 * What can hurt on this machine besides its beam; what it does not have is left out.
 * @param bench The bench.
 */
export function cautionsOf(bench: RoundView): readonly Caution[] {
  const { electrical, housing, rotary, air } = bench
  const blocks = Object.values(electrical.blocks)
  const mains = blocks.some((it) => it.kind === 'inlet' || it.kind === 'strip' || it.kind === 'motorSupply')
  const sprung = housing.lid.springs.chosen === 'gas' || housing.lid.springs.chosen === 'coil'
  const cools = blocks.some((it) => it.kind === 'cooler')
  return [
    ALWAYS.fire,
    ALWAYS.fumes,
    ...(mains
      ? [
          {
            id: 'mains',
            head: 'Mains and capacitors',
            words:
              'Mains is wired by who is licensed for it, with earth on every metal part. Plug drawn, then wait five minutes: a supply holds its charge. Local codes come first.',
            part: 'power/wiring',
          },
        ]
      : []),
    ALWAYS.static,
    ...(sprung
      ? [
          {
            id: 'springs',
            head: 'Springs of the lid',
            words:
              'Two people to take the lid off: stretch the springs out first. A gas spring is never drilled, heated or opened.',
            part: 'housing/lid',
          },
        ]
      : []),
    ...(housing.size.floor.chosen === 'no'
      ? [
          {
            id: 'hood',
            head: 'A hood that is lifted',
            words: 'Beam off before it is lifted, and no fingers under its foot when it comes down.',
            part: 'housing/box',
          },
        ]
      : []),
    ...(rotary.objects[rotary.inHand] === undefined
      ? []
      : [
          {
            id: 'turning',
            head: 'What turns',
            words:
              'Hair, sleeves and cords away from chuck and rollers; glass is held with a rubber, and eye protection against splinters is worn as well.',
            part: 'rotary/object',
          },
        ]),
    ...(Object.keys(air.ways).length === 0
      ? []
      : [
          {
            id: 'fan',
            head: 'Fan',
            words: 'A grille before its blades; its plug drawn before a hand goes in.',
            part: 'air/duct',
          },
        ]),
    ...(cools
      ? [
          {
            id: 'cooler',
            head: 'Cold plates',
            words: 'Below the dew point water drips onto what is live.',
            part: 'power/cooling',
          },
        ]
      : []),
  ]
}
