import type { PieceToBurn, WayToBurn } from './tasksOf'

/** One change to an order that may save time. */
export interface Change {
  readonly pieceId: string
  readonly name: string
  readonly drawn: string
  /** By how much both speed and power of the way are larger: what it gets of energy stays. */
  readonly factor: number
  readonly speed: number
  readonly power: number
}

/** A change that saves time, s. */
export interface Saving extends Change {
  readonly saved: number
}

/** Faster than this at once is no small step any more: acceleration and the material's answer to speed come in. */
const MOST = 2
/** Changes that are tried. */
const TRIED = 8

/**
 * Changes that are worth trying: ways that do not use all their power, faster with as much more of it.
 * @param fastest Speed that the machine reaches, mm/s. @returns The ways with most to burn first.
 * Valid: any order. Source: line energy P/v and dose P/(v·pitch) stay (handbook of the trade).
 */
export function changesToTry(pieces: readonly PieceToBurn[], fastest: number): readonly Change[] {
  return pieces
    .flatMap(({ id, piece, ways }) =>
      ways.flatMap(({ way, setting }) => {
        if (way.does === 'leave') return []
        const factor = Math.min(1 / setting.power, fastest / setting.speed, MOST)
        // Settings of the book are as they were learnt.
        if (way.setting !== '' || factor < 1.05) return []
        const seconds = (way.does === 'fill' ? way.area / setting.pitch : way.length) / setting.speed
        const change = {
          pieceId: id,
          name: piece.name,
          drawn: way.drawn,
          factor,
          speed: setting.speed * factor,
          power: setting.power * factor,
        }
        return [{ change, seconds }]
      }),
    )
    .sort((p, q) => q.seconds - p.seconds)
    .slice(0, TRIED)
    .map(({ change }) => change)
}

/** An order with one change made. Valid: a change of this order. Source: by definition. */
export function withChange(pieces: readonly PieceToBurn[], { pieceId, drawn, factor }: Change): readonly PieceToBurn[] {
  const changed = (it: WayToBurn): WayToBurn => {
    if (it.way.drawn !== drawn) return it
    const { toning } = it
    const powers = toning?.kind === 'grey' ? Array.from(toning.powers, (power) => Math.min(1, power * factor)) : null
    return {
      ...it,
      setting: { ...it.setting, speed: it.setting.speed * factor, power: Math.min(1, it.setting.power * factor) },
      toning: powers === null ? toning : { kind: 'grey', powers },
    }
  }
  return pieces.map((it) => (it.id === pieceId ? { ...it, ways: it.ways.map(changed) } : it))
}
