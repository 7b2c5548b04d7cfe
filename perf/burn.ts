import { burnDose, stampOf, type BurnJob, type DoseGrid } from '../src/core/burn'
import { readProgram } from '../src/core/gcode'
import { axisLimits, planMoves } from '../src/core/planner'
import { median } from './engine'

const PITCH = 0.02
const GRID: DoseGrid = { left: -1, bottom: -1, pitch: PITCH, columns: 2100, rows: 600 }
const AXIS = { speed: 200, acceleration: 1000 }

/** A scanned area of 40 by 10 mm in a hundred lines. */
function job(): BurnJob {
  const rows = Array.from({ length: 100 }, (_, i) => `G0 X${i % 2 === 0 ? 0 : 40} Y${i / 10}\nG1 X${i % 2 === 0 ? 40 : 0} F3000`)
  const { moves } = readProgram(`G21 G90\nM3 S800\n${rows.join('\n')}\nM2`)
  return {
    moves,
    plan: planMoves(moves, axisLimits({ x: AXIS, y: AXIS, z: AXIS }, 0.02)),
    light: { fullS: 1000, shares: [0, 1], watts: [0, 5], pulsesHz: null, onDelay: 0, offDelay: 0 },
    beam: { x: { radius: 0.1, rayleigh: 3, order: 6 }, y: { radius: 0.07, rayleigh: 2, order: 2 }, turnRad: 0 },
    surface: 0.2,
    passes: 1,
  }
}

/** Cost of burning a scanned area into a map, to adding as many samples to an array one behind the other. */
export function timeBurn(runs: number): number {
  const of = job()
  const side = (radius: number, order: number) => ({ radius, order })
  const stamp = stampOf({ x: side(0.1, 6), y: side(0.07, 2), turnRad: 0 }, PITCH, 0.5, 0.5)
  // A stamp every 0.028 mm of 4,000 mm of lines.
  const samples = Math.round((4000 / 0.028) * stamp.values.length)
  const into = new Float32Array(GRID.columns * GRID.rows)
  const from = Float32Array.from({ length: into.length }, (_, i) => (i % 7) / 7)
  const ratios: number[] = []
  for (let run = 0; run < runs; run++) {
    let start = performance.now()
    burnDose(of, GRID)
    const burning = performance.now() - start
    start = performance.now()
    for (let done = 0; done < samples; done += into.length) {
      const end = Math.min(into.length, samples - done)
      for (let i = 0; i < end; i++) into[i] = (into[i] as number) + 0.5 * (from[i] as number)
    }
    ratios.push(burning / (performance.now() - start))
  }
  return median(ratios)
}
