import { templateOf, type BenchRecord } from '../core/bench'
import { materialShape, type Burns } from '../core/burn'
import type { WaySummary, Work } from '../core/work'
import type { FileRow } from './database'
import { artworkOf, demoPiece, demoWay, measuredMm } from './demoWork'
import { HANDLE_PRINT, handleMark } from './ploverArtwork'

const AT = '2026-10-11T16:40:00.000Z'

/** What the reader says of the mark, in its own unit; a test holds it against it. */
export const PLOVER_DRAWN = {
  lines: {
    key: 'marks||as its layer',
    drawn: 'layer marks',
    outlines: 14,
    closed: 2,
    length: 18.6187650413489,
    area: 3.0923474662711286,
    left: 0,
    bottom: 1.1102230246251565e-16,
    right: 5.7,
    top: 1.6,
    does: 'cut',
  },
  block: {
    key: 'marks|as its layer|',
    drawn: 'layer marks, filled',
    outlines: 1,
    closed: 1,
    length: 1.2000000000000002,
    area: 0.08000000000000067,
    left: 1.9,
    bottom: 1.1,
    right: 2.3,
    top: 1.3000000000000003,
    does: 'fill',
  },
} as const satisfies Readonly<Record<string, WaySummary>>

/** Plover's book: the handles of the shed's tools. */
export function ploverBurns(blank: Burns): Burns {
  const ash = templateOf(materialShape, { order: 1, name: 'Ash handle', kind: 'wood' })
  return { ...blank, materials: { ash: { ...ash, thickness: measuredMm('31.5', 'calipers', 0.1, AT) } } }
}

/** Plover's work order: a mark on a tool handle, from a file that names no unit. */
export function ploverWork(benchId: string, blank: Work): Work {
  const mark = demoPiece({
    order: 1,
    name: 'Handle mark',
    record: `${benchId}-mark`,
    print: HANDLE_PRINT,
    kind: 'drawing',
    hasUnits: 'no',
    unit: 10,
    width: 5.7,
    height: 1.6,
    x: 40,
    y: 8,
    ways: {
      lines: demoWay(1, PLOVER_DRAWN.lines, { does: 'mark', power: 0.5, speed: 6 }),
      block: demoWay(2, PLOVER_DRAWN.block, { power: 0.4, speed: 8, pitch: 0.15 }),
    },
  })
  const sheet = (typed: string) => measuredMm(typed, 'calipers', 0.1, AT)
  return {
    ...blank,
    material: 'ash',
    sheetWidth: sheet('140'),
    sheetHeight: sheet('32'),
    sheetX: sheet('30'),
    sheetY: sheet('50'),
    pieces: { mark },
  }
}

/** What is kept with it. */
export function ploverArtwork(benchId: string): { readonly record: BenchRecord; readonly file: FileRow } {
  return artworkOf(benchId, { id: 'mark', name: 'handle-mark.dxf', type: 'application/dxf', at: AT, bytes: handleMark() })
}
