import type { Work } from './slice'
import type { PieceToBurn, WayToBurn } from './tasksOf'

/** What of an order its time hangs on. */
export interface Order {
  readonly pieces: readonly PieceToBurn[]
  /** Whether scan lines are burnt on the way back too. */
  readonly bothWays: boolean
  readonly sequence: Work['sequence']
  /** mm. */
  readonly apart: number
}

/** A part of a piece, in words. */
interface OfWay {
  readonly pieceId: string
  readonly name: string
  readonly drawn: string
}

/** One change to an order that may save time. */
export type Change =
  /** Speed and power of a way are both larger by a factor: what it gets of energy stays. */
  | (OfWay & { readonly kind: 'faster'; readonly factor: number; readonly speed: number; readonly power: number })
  /** Its lines run in the direction that is quickest. */
  | (OfWay & { readonly kind: 'turned' })
  /** Scan lines are burnt there and back. */
  | { readonly kind: 'bothWays' }
  /** Lines are burnt in the quickest order, heat or not. */
  | { readonly kind: 'quickest' }

/** A change that saves time, s. */
export type Saving = Change & { readonly saved: number }

/** Faster than this at once is no small step any more: acceleration and the material's answer to speed come in. */
const MOST = 2
/** Changes that are tried. */
const TRIED = 8

/**
 * Changes that are worth trying: ways that do not use all their power, faster with as much more of it; lines that are held in a direction or an
 * order, or burnt one way only. @param fastest Speed that the machine reaches, mm/s. @returns Those of the whole order, then the ways with
 * most to burn first. Valid: any order. Source: line energy P/v and dose P/(v·pitch) stay (handbook of the trade).
 */
export function changesToTry({ pieces, bothWays, sequence, apart }: Order, fastest: number): readonly Change[] {
  const all = pieces.flatMap(({ id, piece, ways }) =>
    ways.flatMap(({ way, setting }) =>
      way.does === 'leave' ? [] : [{ of: { pieceId: id, name: piece.name, drawn: way.drawn }, way, setting }],
    ),
  )
  const isScanned = all.some(({ way }) => way.does === 'fill')
  const faster = all.flatMap(({ of, way, setting }) => {
    const factor = Math.min(1 / setting.power, fastest / setting.speed, MOST)
    // Settings of the book are as they were learnt.
    if (way.setting !== '' || factor < 1.05) return []
    const seconds = (way.does === 'fill' ? way.area / setting.pitch : way.length) / setting.speed
    const change: Change = { kind: 'faster', ...of, factor, speed: setting.speed * factor, power: setting.power * factor }
    return [{ change, seconds }]
  })
  const most = [...faster].sort((p, q) => q.seconds - p.seconds).map(({ change }) => change)
  return [
    ...(isScanned && !bothWays ? [{ kind: 'bothWays' } as const] : []),
    ...(sequence !== 'quickest' || apart > 0 ? [{ kind: 'quickest' } as const] : []),
    ...all.flatMap(({ of, way }): Change[] => (way.does === 'fill' && way.angle >= 0 ? [{ kind: 'turned', ...of }] : [])),
    ...most,
  ].slice(0, TRIED)
}

/** An order with one change made. Valid: a change of this order. Source: by definition. */
export function withChange(order: Order, change: Change): Order {
  if (change.kind === 'bothWays') return { ...order, bothWays: true }
  if (change.kind === 'quickest') return { ...order, sequence: 'quickest', apart: 0 }
  const changed = (it: WayToBurn): WayToBurn => {
    if (it.way.drawn !== change.drawn) return it
    return change.kind === 'turned' ? { ...it, way: { ...it.way, angle: -1 } } : fasterBy(it, change.factor)
  }
  const pieces = order.pieces.map((it) => (it.id === change.pieceId ? { ...it, ways: it.ways.map(changed) } : it))
  return { ...order, pieces }
}

function fasterBy(it: WayToBurn, factor: number): WayToBurn {
  const { toning, setting } = it
  const powers = toning?.kind === 'grey' ? Array.from(toning.powers, (power) => Math.min(1, power * factor)) : null
  return {
    ...it,
    setting: { ...setting, speed: setting.speed * factor, power: Math.min(1, setting.power * factor) },
    toning: powers === null ? toning : { kind: 'grey', powers },
  }
}
