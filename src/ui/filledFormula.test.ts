import { beforeAll, describe, expect, it } from 'vitest'
import { argsOfFigure, setAt, shownNumber } from '../core/bench'
import { engineFor, FIGURES, type Bench } from '../core/document'
import { heron } from '../data/heron'
import { loadDomains } from '../state'
import { filledFormula, plainFormula } from './filledFormula'

/** The demo with what its machine does not have, so that every figure has its numbers. */
const bench = [
  ['motion.axes.x.closedBelt', 200],
  ['motion.racking.left', 40.2],
  ['motion.racking.right', 40],
  ['motion.play.clearance', 0.05],
  ['plan.fits.shaft', 8],
  ['plan.fits.bush', 15],
].reduce(
  (it, [path, value]) => setAt(it, `${path}`, { ...heron().bench.motion.frame.barWidth, value, typed: String(value) }),
  heightsRead(),
)

function heightsRead(): Bench {
  const height = (value: number) => ({ ...heron().bench.motion.frame.barWidth, value, typed: String(value) })
  const places = [0, 1, 2, 3].map((i) => ({ order: i, x: (i % 2) * 400, y: i > 1 ? 300 : 0, height: height(i / 10) }))
  return setAt(heron().bench, 'motion.heights', Object.fromEntries(places.map((it) => [`h${it.order}`, it])))
}
const filled = (id: string, args: readonly string[], on: Bench = bench, system: 'metric' | 'inch' = 'metric') =>
  filledFormula(engineFor(on).valueById(id, args), on, system).replace(/\\text\{([^}]*)\}/g, '$1')

beforeAll(() => loadDomains())

describe('a formula with its numbers', () => {
  it('takes facts as typed, figures as shown, and sets the result behind', () => {
    expect(filled('motion.topSpeedByStepRate', ['x'])).toBe('\\dfrac{30 kHz}{80 steps/mm} = 375 mm/s')
    expect(filled('motion.stepsPerMm', ['x'])).toBe('\\dfrac{200\\cdot 16\\cdot 1}{40 mm} = 80 steps/mm')
  })

  it('brackets what is raised to a power, and keeps degrees apart from words', () => {
    expect(filled('motion.runOut', ['x'])).toBe('\\dfrac{\\left(200 mm/s\\right)^2}{2\\cdot 900 mm/s$^2$} = 22.22 mm')
    expect(filled('motion.squareMargin', [])).toContain('^\\circ')
  })

  it('shows the form that is in use: belt or screw', () => {
    expect(filled('motion.travelPerTurn', ['x'])).toBe('2 mm\\cdot 20 = 40 mm')
    const screw = setAt(bench, 'motion.axes.x.drive.chosen', 'screw')
    expect(filled('motion.travelPerTurn', ['x'], screw)).toBe('2 mm\\cdot 1 = 2 mm')
  })

  it('shows the form of what it is asked for: a side bar stands between front and back', () => {
    expect(filled('plan.barLength', ['side'])).toBe('424 mm - 2\\cdot 20 mm + 0 mm = 384 mm')
    expect(filled('plan.barLength', ['gantry'])).toBe('532.4 mm + 0 mm = 532.4 mm')
    expect(filled('plan.plateDepth', ['end'])).toBe('96 mm = 96 mm')
    expect(filled('plan.screwLength', ['plate'])).toBe('\\lceil 9 mm + 7.500 mm \\rceil_{\\mathrm{std}} = 20 mm')
    expect(filled('plan.reachMargin', ['Y'])).toBe('310 mm - 300 mm = 10 mm')
  })

  it('converts what is worked, not what was typed', () => {
    expect(filled('motion.runOut', ['x'], bench, 'inch')).toContain('200 mm/s')
    expect(filled('motion.runOut', ['x'], bench, 'inch')).toContain('= 0.8749 in')
  })

  it('leaves no symbol behind in any figure of the product, for all that it is of', () => {
    const engine = engineFor(bench)
    for (const def of FIGURES) {
      for (const args of argsOfFigure(def, bench)) {
        const { result } = engine.valueById(def.id, args)
        if (shownNumber(result) !== null)
          expect(filled(def.id, args), `${def.id} ${args.join()}`).not.toMatch(/\\v\{|\?|undefined|NaN/)
        expect(plainFormula({ def, args }, bench), def.id).not.toMatch(/\\v\{|\\text\{or\}/)
      }
    }
  })
})
