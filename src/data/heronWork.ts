import type { BenchRecord } from '../core/bench'
import type { WaySummary, Work } from '../core/work'
import type { FileRow } from './database'
import { artworkOf, demoPiece, demoWay, measuredMm } from './demoWork'
import { PLANT_LABEL, PRINTS, SEED_HEAD } from './heronArtwork'

const AT = '2026-11-22T10:30:00.000Z'

/** What the reader says of the label and of the picture; a test holds them against it. */
export const HERON_DRAWN = {
  outline: {
    key: '||#000000',
    drawn: 'lines black',
    outlines: 2,
    closed: 2,
    length: 248.36245433491393,
    area: 2267.9803484657314,
    left: 0.5181347150259067,
    bottom: 2.305699481865286,
    right: 99.99999999999999,
    top: 27.176165803108805,
    does: 'cut',
  },
  lines: {
    key: '||#0000ff',
    drawn: 'lines blue',
    outlines: 2,
    closed: 0,
    length: 91.1917098445596,
    area: 0,
    left: 19.170984455958546,
    bottom: 5.932642487046632,
    right: 64.76683937823834,
    top: 23.54922279792746,
    does: 'mark',
  },
  leaves: {
    key: '|#2f6b3a|#2f6b3a',
    drawn: 'filled green',
    outlines: 2,
    closed: 2,
    length: 101.02428994999308,
    area: 322.4933631870821,
    left: 21.243523316062173,
    bottom: 9.102578531768549,
    right: 62.69430051813471,
    top: 21.14898050163064,
    does: 'fill',
  },
  picture: {
    key: 'picture',
    drawn: 'picture',
    outlines: 0,
    closed: 0,
    length: 0,
    area: 63.96811609943293,
    left: 0,
    bottom: 0,
    right: 18,
    top: 16,
    does: 'fill',
  },
} as const satisfies Readonly<Record<string, WaySummary>>

/** The label is to be 96 mm long; its file makes it 99.5. */
const SCALE = 96 / 99.4819
const ROWS = { columns: 2, rows: 4 } as const
const LABEL = { width: 100 * SCALE, height: 30 * SCALE }
const GAP = 3

/** Heron's work order: plant labels, cut, marked, filled, with a picture on each. */
export function heronWork(benchId: string, blank: Work): Work {
  const label = demoPiece({
    order: 1,
    name: 'Plant label',
    record: `${benchId}-label`,
    print: PRINTS.label,
    kind: 'drawing',
    width: 99.99999999999999,
    height: 30,
    scale: SCALE,
    x: 5,
    y: 6,
    gapX: GAP,
    gapY: GAP,
    ...ROWS,
    ways: {
      outline: demoWay(1, HERON_DRAWN.outline, { power: 1, speed: 5.9, lead: 1.5, tabs: 2, tabWidth: 0.4 }),
      lines: demoWay(2, HERON_DRAWN.lines, { power: 0.8, speed: 20 }),
      leaves: demoWay(3, HERON_DRAWN.leaves, { power: 0.35, speed: 24, pitch: 0.15 }),
    },
  })
  const picture = demoPiece({
    order: 2,
    name: 'Seed head',
    record: `${benchId}-seed-head`,
    print: PRINTS.seedHead,
    kind: 'picture',
    width: 18,
    height: 16,
    x: 5 + 66,
    y: 6 + LABEL.height / 2 - 8,
    gapX: LABEL.width + GAP - 18,
    gapY: LABEL.height + GAP - 16,
    ...ROWS,
    ways: { picture: demoWay(1, HERON_DRAWN.picture, { power: 0.6, speed: 30, pitch: 0.15, toning: 'grey' }) },
  })
  const sheet = (typed: string) => measuredMm(typed, 'rule', 0.25, AT)
  return {
    ...blank,
    material: 'ply',
    sheetWidth: sheet('210'),
    sheetHeight: sheet('148'),
    sheetX: { ...sheet('60'), doubt: { kind: 'standard', u: 0.15 } },
    sheetY: { ...sheet('45'), doubt: { kind: 'standard', u: 0.15 } },
    pieces: { label, picture },
  }
}

/** What is kept with it. */
export function heronArtwork(benchId: string): readonly { readonly record: BenchRecord; readonly file: FileRow }[] {
  return [
    artworkOf(benchId, {
      id: 'label',
      name: 'plant-label.svg',
      type: 'image/svg+xml',
      at: AT,
      bytes: new TextEncoder().encode(PLANT_LABEL),
    }),
    artworkOf(benchId, {
      id: 'seed-head',
      name: 'seed-head.png',
      type: 'image/png',
      at: AT,
      bytes: Uint8Array.from(atob(SEED_HEAD), (it) => it.charCodeAt(0)),
    }),
  ]
}
