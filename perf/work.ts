import { PNG } from 'pngjs'
import { newestTrial, offDelay, onDelay } from '../src/core/calibrate'
import { shownNumber } from '../src/core/bench'
import { axisIds, engineFor, machineLimits, type Bench } from '../src/core/document'
import { PLAIN_CARD, readProgram, writeProgram } from '../src/core/gcode'
import { packStrip } from '../src/core/nesting'
import { isLit, planMoves } from '../src/core/planner'
import { greyLines, partedScan, scanGrid, scanSteps, type Picture, type ScanMachine } from '../src/core/scan'
import {
  burningOf,
  darkWay,
  oneTreeBound,
  pictureTones,
  planWork,
  sheetsOf,
  tasksOf,
  tourOf,
  type PieceToBurn,
  type Source,
} from '../src/core/work'
import { seeded } from '../src/core/workshop'
import { readArtwork } from '../src/data/artworkFile'
import { polygons } from '../src/data/polygons'
import type { BenchBundle } from '../src/data'
import { axisLimits } from '../src/core/planner'
import { median } from './engine'

const axis = { speed: 300, acceleration: 1000 }
const MACHINE: ScanMachine = {
  limits: axisLimits({ x: axis, y: axis, z: axis }, 0.01),
  onDelay: 0,
  offDelay: 0,
  bothWays: true,
  backShift: 0,
}

/** Cost of planning the scan of a picture of so many pixels a side, to writing its program. */
export function timeScan(side: number, runs: number): { readonly ratio: number; readonly blocks: number } {
  // Rings about two places: greys that change slowly, as those of photographs do.
  const luminance = new Float32Array(side * side)
  for (let j = 0; j < side; j++) {
    for (let i = 0; i < side; i++) {
      const far = Math.hypot(i - side / 3, j - side / 2) + Math.hypot(i - 0.7 * side, j - side / 4)
      luminance[j * side + i] = 0.5 + 0.5 * Math.sin((40 * far) / side)
    }
  }
  const picture: Picture = { width: side, height: side, luminance }
  const powers = Array.from({ length: 32 }, (_, i) => 1 - i / 31)
  let blocks = 0
  const ratios = Array.from({ length: runs }, () => {
    let start = performance.now()
    const scan = greyLines(scanGrid(picture, { width: side / 10, height: side / 10 }, 0.1, 0), { powers })
    const steps = scanSteps(partedScan(scan, 100, MACHINE), MACHINE, { x: 0, y: 0 })
    const planning = performance.now() - start
    blocks = steps.length
    start = performance.now()
    const written = writeProgram(steps, PLAIN_CARD)
    if (!written.ok) throw new Error('not written')
    return planning / (performance.now() - start)
  })
  return { ratio: median(ratios), blocks }
}

/** Cost of reading a drawing of so many segments, to parting its text into words. */
export function timeDrawing(segments: number, runs: number): number {
  const random = seeded(3)
  const number = (): string => (200 * random()).toFixed(2)
  const paths = Array.from({ length: segments / 100 }, () => {
    const data = Array.from({ length: 100 }, (_, i) =>
      i % 4 === 0 ? `C${number()} ${number()} ${number()} ${number()} ${number()} ${number()}` : `L${number()} ${number()}`,
    )
    return `<path d="M0 0${data.join('')}"/>`
  })
  const text = `<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="200mm" viewBox="0 0 200 200">${paths.join('\n')}</svg>`
  const bytes = new TextEncoder().encode(text)
  const ratios = Array.from({ length: runs }, () => {
    let start = performance.now()
    if (!readArtwork(bytes, 'a.svg').ok) throw new Error('not read')
    const reading = performance.now() - start
    start = performance.now()
    const words = new TextDecoder().decode(bytes).split(/[\s,<>="]+|(?=[A-Za-z])|(?<=[A-Za-z])(?=[-\d.])/)
    if (words.length < segments) throw new Error('too few words')
    return reading / (performance.now() - start)
  })
  return median(ratios)
}

/** Planned time of a demo's order, to the time that its beam is on: what is swept. */
export function sweptShare({ bench, files }: BenchBundle): number {
  const { steps, machine } = planDemo(bench, files)
  const written = writeProgram(steps, PLAIN_CARD)
  if (!written.ok) throw new Error('not written')
  const { moves } = readProgram(written.value)
  const plan = planMoves(moves, machine.limits)
  let lit = 0
  for (let i = 0; i < moves.count; i++) if (isLit(moves, i)) lit += (plan.length[i] as number) / (moves.feed[i] as number)
  return plan.totalSeconds / lit
}

function planDemo(bench: Bench, files: BenchBundle['files']) {
  const engine = engineFor(bench)
  const limits = machineLimits(engine)
  if (limits === null) throw new Error('no limits')
  const { work, burns } = bench
  const pieces = Object.entries(work.pieces).map(([id, piece]): PieceToBurn => {
    const file = files.find((it) => it.recordId === piece.record)
    if (file === undefined) throw new Error('no file')
    return {
      id,
      piece,
      source: sourceOf(file.bytes, file.name),
      ways: Object.entries(piece.ways).map(([wayId, way]) => {
        const toned = piece.kind === 'picture' ? engine.value(pictureTones, id, wayId).result : null
        return { way, setting: burningOf(work, burns.materials, way), toning: toned?.known === true ? toned.value.toning : null }
      }),
    }
  })
  const trial = newestTrial(bench.calibrate.trials, 'delay')
  const late = (def: typeof onDelay): number => (trial === null ? 0 : (shownNumber(engine.value(def, trial).result) ?? 0))
  const machine: ScanMachine = { limits, onDelay: late(onDelay), offDelay: late(offDelay), bothWays: true, backShift: 0 }
  const tasks = tasksOf(pieces, sheetsOf(work))
  const hasZ = axisIds(bench).some((id) => bench.motion.axes[id]?.letter === 'Z')
  const { steps } = planWork({ tasks, machine, kerf: 0.15, within: 0.01, start: { x: 0, y: 0 }, hasZ }, polygons)
  return { steps, machine }
}

function sourceOf(bytes: Uint8Array, name: string): Source {
  const read = readArtwork(bytes, name)
  if (!read.ok) throw new Error(read.findings[0]?.message)
  if (read.value.kind === 'drawing') return { kind: 'drawing', drawing: read.value.drawing }
  const { width, height, data } = PNG.sync.read(Buffer.from(bytes))
  const luminance = Float32Array.from({ length: width * height }, (_, i) => ((data[4 * i] as number) / 255) ** 2.2)
  return { kind: 'picture', picture: { width, height, luminance } }
}

/** Dark way of an order of so many pieces, to its bound. */
export function tourShare(count: number): number {
  const random = seeded(7)
  const home = { x: 0, y: 0 }
  const stops = Array.from({ length: count }, () => {
    const at = { x: 400 * random(), y: 300 * random() }
    return { from: at, to: at, turns: false, before: -1 }
  })
  return darkWay(stops, home, tourOf(stops, home)) / oneTreeBound([home, ...stops.map((it) => it.from)])
}

/** Height of layouts of sheets that were cut up by straight cuts, to those sheets: the mean of some. */
export function nestingShare(): number {
  const shares = [8, 12, 16, 20, 25, 30].flatMap((count) =>
    [1, 2, 3].map((seed) => packStrip(cutUp(count, 100 * count + seed), 300, 0).height / 200),
  )
  return shares.reduce((sum, it) => sum + it, 0) / shares.length
}

function cutUp(count: number, seed: number) {
  const random = seeded(seed)
  const boxes = [{ width: 300, height: 200 }]
  while (boxes.length < count) {
    boxes.sort((p, q) => q.width * q.height - p.width * p.height)
    const { width: w, height: h } = boxes.shift() as { width: number; height: number }
    const share = 0.3 + 0.4 * random()
    if (w > h) boxes.push({ width: w * share, height: h }, { width: w * (1 - share), height: h })
    else boxes.push({ width: w, height: h * share }, { width: w, height: h * (1 - share) })
  }
  return boxes.map((it, i) => ({ id: `${i}`, ...it, turns: random() < 0.5 }))
}
