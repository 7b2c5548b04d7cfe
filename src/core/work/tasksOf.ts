import { after, mappedOutline, type Affine, type Drawing, type Point } from '../artwork'
import type { Picture } from '../scan'
import { copiesOf, countOf } from './placing'
import type { Piece, Way } from './slice'
import { drawnAlike } from './summary'
import type { BurnSetting, Task, Toning } from './task'

/** A file as it was read. */
export type Source =
  { readonly kind: 'drawing'; readonly drawing: Drawing } | { readonly kind: 'picture'; readonly picture: Picture }

/** A way with what it is burnt with. */
export interface WayToBurn {
  readonly way: Way
  readonly setting: BurnSetting
  /** Of a picture; null where it is none. */
  readonly toning: Toning | null
}

/** A piece that is burnt, with its file. */
export interface PieceToBurn {
  readonly id: string
  readonly piece: Piece
  readonly source: Source
  readonly ways: readonly WayToBurn[]
}

/**
 * What a work order comes to on the machine: every way of every copy of every piece, on every sheet. @param sheets Lower left corners, mm.
 * @returns Tasks sheet by sheet, in the order of the pieces. @throws {RangeError} never for a drawing that was read. Valid: pieces as their schema has them.
 * Source: by definition.
 */
export function tasksOf(pieces: readonly PieceToBurn[], sheets: readonly Point[]): readonly Task[] {
  const turns = turnsOf(pieces)
  return sheets.flatMap((sheet, place) =>
    pieces.flatMap((it) =>
      copiesOf(it.piece).flatMap((copy, k): readonly Task[] => {
        const map = after([1, 0, 0, 1, sheet.x, sheet.y], copy)
        const at = { map, copy: k, place, places: sheets.length }
        return it.source.kind === 'picture'
          ? pictureTask(it, it.source.picture, at)
          : outlineTasks(it, it.source.drawing, at, turns)
      }),
    ),
  )
}

/** Turn of each way in the list, by piece and way. */
function turnsOf(pieces: readonly PieceToBurn[]): ReadonlyMap<Way, number> {
  return new Map(pieces.flatMap(({ ways }) => ways.map(({ way }) => way)).map((way, turn) => [way, turn]))
}

/** A copy of a piece on one of the sheets. */
interface CopyAt {
  readonly map: Affine
  readonly copy: number
  readonly place: number
  readonly places: number
}

function outlineTasks(
  { id, piece, ways }: PieceToBurn,
  drawing: Drawing,
  { map, copy, place, places }: CopyAt,
  turns: ReadonlyMap<Way, number>,
): readonly Task[] {
  const groups = new Map(drawnAlike(drawing).map((it) => [it.key, it]))
  const many = countOf(piece) > 1
  return ways.flatMap(({ way, setting }): Task[] => {
    const group = groups.get(way.key)
    if (group === undefined || way.does === 'leave') return []
    return [
      {
        does: way.does,
        name: `${piece.name}${many ? ` ${copy + 1}` : ''}, ${way.drawn}${places > 1 ? `, place ${place + 1}` : ''}`,
        of: `${piece.name}, ${way.drawn}`,
        copy: `${id} ${place} ${copy}`,
        turn: turns.get(way) ?? 0,
        outlines: group.outlines.map((it) => mappedOutline(map, it)),
        fillRule: group.fillRule,
        setting,
        side: way.side,
        tabs: way.tabs,
        tabWidth: way.tabWidth,
        lead: way.lead,
        drop: way.drop,
        angleRad: way.angle < 0 ? null : (way.angle * Math.PI) / 180 + turnOf(map, piece.mirrored === 'yes'),
      },
    ]
  })
}

/** A picture lies with its own corner at a place, turned about it: mirrored ones are turned back first. */
function pictureTask({ piece, ways }: PieceToBurn, picture: Picture, { map, place, places }: CopyAt): readonly Task[] {
  const size = piece.unit * piece.scale
  const isMirrored = piece.mirrored === 'yes'
  // Where the corner lies that the picture's own, or its mirrored self's, lower left one comes to.
  const corner = isMirrored ? { x: piece.width, y: 0 } : { x: 0, y: 0 }
  const [x, y] = [map[0] * corner.x + map[2] * corner.y + map[4], map[1] * corner.x + map[3] * corner.y + map[5]]
  return ways.flatMap(({ way, setting, toning }): Task[] => {
    if (toning === null || way.does === 'leave') return []
    return [
      {
        does: 'picture',
        name: places > 1 ? `${piece.name}, place ${place + 1}` : piece.name,
        of: piece.name,
        picture,
        isMirrored,
        width: piece.width * size,
        height: piece.height * size,
        x,
        y,
        turnRad: turnOf(map, isMirrored),
        setting,
        toning,
        angleRad: way.angle < 0 ? null : (way.angle * Math.PI) / 180,
      },
    ]
  })
}

/** By how much a map turns what it lays, rad; of a mirrored one, what was mirrored before it was turned. */
function turnOf([a, b]: Affine, isMirrored: boolean): number {
  return isMirrored ? Math.atan2(-b, -a) : Math.atan2(b, a)
}
