/** npm run fuzz [count]: random programs through reader and planner, random lists of settings through their reader, random courses of a cable, random and damaged artwork; the seed is printed, a failure stops it. */
import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { readListing, rewriteListing } from '../src/core/controller'
import { randomCourse, wrongWith } from '../tests/randomCable'
import { randomListing } from '../tests/randomListing'
import { damaged, randomSvg, wrongWithArtwork } from '../tests/randomArtwork'
import { readProgram } from '../src/core/gcode'
import { axisLimits, planMoves, provePlan } from '../src/core/planner'

const count = Number(process.argv[2] ?? 200_000)
const seed = Number(process.env['SEED'] ?? Math.floor(Math.random() * 2 ** 31))
console.log(`${count} programs, seed ${seed}`)

const word = fc.tuple(
  fc.constantFrom(...Array.from('GGGMXYZIJKRFSPNABWE#%/([')),
  fc.double({ min: -1000, max: 1000, noNaN: true }),
)
const move = fc.tuple(
  fc.constantFrom(0, 1, 2, 3),
  fc.integer({ min: 0, max: 400 }),
  fc.integer({ min: 0, max: 300 }),
  fc.integer({ min: 1, max: 50 }),
)
const line = fc.oneof(
  fc.string({ maxLength: 30 }),
  fc
    .array(
      word.map(([l, v]) => `${l}${Number(v.toFixed(2))}`),
      { maxLength: 6 },
    )
    .map((it) => it.join('')),
  move.map(([g, x, y, r]) => `G${g} X${x} Y${y}${g > 1 ? ` R${r * 10}` : ''} F${r * 60}`),
)
const axis = { speed: 200, acceleration: 800 }
const limits = axisLimits({ x: axis, y: axis, z: axis }, 0.01)

fc.assert(
  fc.property(fc.array(line, { maxLength: 10 }), (lines) => {
    const { moves } = readProgram(lines.join('\n'))
    const breaches = provePlan(moves, planMoves(moves, limits), limits)
    return breaches.length === 0
  }),
  { seed, numRuns: count },
)
console.log('no program made it throw, and no plan broke a limit')

console.log(`${count} lists of settings, seed ${seed}`)
fc.assert(
  fc.property(randomListing, (text) => {
    const { entries } = readListing(text)
    return rewriteListing(text, entries, {}) === text && entries.every((it) => it.at.end > it.at.start)
  }),
  { seed, numRuns: count },
)

console.log(`${count} courses of a cable, seed ${seed}`)
fc.assert(
  fc.property(randomCourse, (course) => wrongWith(course) === null),
  { seed, numRuns: count },
)
console.log('nothing that came over the cable threw, and stop came first')

console.log(`${count} drawings, and as many damaged files of each kind, seed ${seed}`)
fc.assert(
  fc.property(randomSvg, (text) => wrongWithArtwork(new TextEncoder().encode(text)) === null),
  { seed, numRuns: count },
)
for (const name of ['plant-label.svg', 'handle-mark.dxf', 'seed-head.png']) {
  const whole = new Uint8Array(readFileSync(`tests/fixtures/artwork/${name}`))
  fc.assert(
    fc.property(damaged(whole), (bytes) => wrongWithArtwork(bytes) === null),
    { seed, numRuns: count },
  )
}
const program = new TextEncoder().encode(
  'G21 G90\nG0 X10 Y10\nM3 S500\nG1 X30 F600\nY30\nG2 X10 Y10 I-10 J-10\nM5\nG20 G91\nM3\nG1 X1 Z-.1\nM2\n',
)
fc.assert(
  fc.property(damaged(program), (bytes) => wrongWithArtwork(bytes) === null),
  { seed, numRuns: count },
)
console.log('all artwork was read, or refused in words')
