import { chromium } from '@playwright/test'
import { CHROMIUM } from '../scripts/chromium'
import { serveBuild } from '../scripts/serveBuild'
import { argsOfFigure, setAt, type Fact } from '../src/core/bench'
import { engineFor, FIGURES, judgeAll, type Bench } from '../src/core/document'
import { heron } from '../src/data/heron'
import { median } from './engine'

const DRAGGED = 'motion.axes.x.travel'
/** Figures that the Motion sheet and the nameplate show while X's travel is dragged. */
const SHOWN = [
  ['motion.stepsPerMm', 'x'],
  ['motion.stepsPerMm', 'y'],
  ['calibrate.steps', 'x'],
  ['calibrate.steps', 'y'],
  ['motion.smallestStep', 'x'],
  ['optics.stepsAcrossSpot', 'x'],
  ['motion.travelPerTurn', 'x'],
  ['motion.topSpeedByStepRate', 'x'],
  ['motion.topSpeedByStepRate', 'y'],
  ['motion.runOut', 'x'],
  ['motion.pulleyRadius', 'x'],
  ['motion.pulleyRadius', 'y'],
  ['motion.frameWidth'],
  ['motion.frameDepth'],
  ['safety.densityWatching'],
] as const

/** Every figure of the bench with its ±, and every verdict: what opening it afresh costs. */
function everything(bench: Bench): void {
  const engine = engineFor(bench)
  for (const def of FIGURES) for (const args of argsOfFigure(def, bench)) engine.byId(def.id, args)
  judgeAll(engine)
}

/** Cost of one step of dragging a dimension of the demo's plate, to a full evaluation of its bench. */
export function timeDrag(runs: number): number {
  const { bench } = heron()
  const engine = engineFor(bench)
  judgeAll(engine)
  const show = (): void => {
    for (const [id, ...args] of SHOWN) engine.valueById(id, args)
  }
  show()
  const fact = bench.motion.axes['x']?.travel as Fact
  const ratios: number[] = []
  for (let run = 0; run < runs; run++) {
    const start = performance.now()
    everything(bench)
    const full = performance.now() - start
    const steps = 40
    const dragStart = performance.now()
    for (let i = 0; i < steps; i++) {
      engine.update(setAt(bench, DRAGGED, { ...fact, value: 300 + i + run }))
      show()
    }
    ratios.push((performance.now() - dragStart) / steps / full)
  }
  return median(ratios)
}

/** Longest task of the page while a dimension of the demo's plate is dragged, ms; median of several visits. */
export function longestDragTask(runs: number): Promise<number> {
  return longestWhileDragged(runs, '', `[data-drag="${DRAGGED}"]`)
}

/** The same while a block of the demo's wiring is dragged, and let go. */
export function longestBlockTask(runs: number): Promise<number> {
  return longestWhileDragged(runs, 'bench/heron/power/wiring', '[data-block="Diode head"]')
}

/** The same while the length of a wire is dragged on the drawing. */
export function longestWireTask(runs: number): Promise<number> {
  return longestWhileDragged(runs, 'bench/heron/power/wiring', '[data-drag="electrical.wires.w5.length"]')
}

/** The same while the material is dragged through the beam, and let go. */
export function longestHeightTask(runs: number): Promise<number> {
  return longestWhileDragged(runs, 'bench/heron/beam/focus', '[data-drag="optics.gap"]', [0, 1])
}

/** The same while the end of a duct is dragged on its drawing, and let go. */
export function longestDuctTask(runs: number): Promise<number> {
  return longestWhileDragged(runs, 'bench/heron/air/duct', '[data-drag="air.ways.out.parts.hose.length"]')
}

/** The same while the height of the box is dragged, and let go. */
export function longestWallTask(runs: number): Promise<number> {
  return longestWhileDragged(runs, 'bench/heron/housing/box', '[data-drag="housing.size.z"]', [0, -1])
}

/** @param address Where the thing stands, below the start; the demo's first sheet where it is empty. @param way Which way it is dragged, px a step. */
async function longestWhileDragged(
  runs: number,
  address: string,
  what: string,
  [right, down]: readonly [number, number] = [-2, 0],
): Promise<number> {
  const { home, close } = await serveBuild()
  const browser = await chromium.launch(CHROMIUM)
  const longest: number[] = []
  try {
    for (let run = 0; run < runs; run++) {
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
      await page.goto(home)
      await page.getByRole('button', { name: 'Open the demo bench' }).click()
      await page.locator('[data-plate] svg').first().waitFor()
      if (address !== '') await page.goto(home + address)
      const handle = page.locator(what)
      await handle.waitFor()
      await page.waitForTimeout(6000)
      await page.evaluate(() => {
        const seen: number[] = []
        Object.assign(window, { longTasks: seen })
        new PerformanceObserver((list) => seen.push(...list.getEntries().map((it) => it.duration))).observe({ type: 'longtask' })
      })
      const box = await handle.boundingBox()
      if (box === null) throw new Error('the dimension cannot be seen')
      const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
      await page.mouse.move(x, y)
      await page.mouse.down()
      for (let i = 0; i < 60; i++) await page.mouse.move(x + i * right, y + i * down)
      // What is let go of a wiring is laid down and saved; a dimension that is let go is worked anew, another row's matter.
      if (address !== '') {
        await page.mouse.up()
        await page.waitForTimeout(500)
      }
      longest.push(Math.max(0, ...(await page.evaluate(() => (window as unknown as { longTasks: number[] }).longTasks))))
      await page.mouse.up()
      await page.close()
    }
  } finally {
    await browser.close()
    close()
  }
  return median(longest)
}
