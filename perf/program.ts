import { spawnSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { CHROMIUM } from '../scripts/chromium'
import { serveBuild } from '../scripts/serveBuild'
import { readProgram } from '../src/core/gcode'
import { axisLimits, planMoves } from '../src/core/planner'
import { refitForBeam } from '../src/core/refit'
import { median } from './engine'
import { BLOCKS, millionBlocks, millionOfCutter } from './millionBlocks'

/** What splitting and parsing alone takes: the baseline. */
function naive(text: string): number {
  let s = 0
  for (const l of text.split('\n')) for (const w of l.split(' ')) s += parseFloat(w.slice(1))
  return s
}

export interface ProgramTimes {
  readonly read: number
  readonly readAndPlan: number
  readonly peakMegabytes: number
}

/** Ratios of reading, and of reading and planning, to the baseline of the same run. */
export function timeProgram(runs: number): ProgramTimes {
  const text = millionBlocks()
  const axis = { speed: 300, acceleration: 1000 }
  const limits = axisLimits({ x: axis, y: axis, z: axis }, 0.01)
  const read: number[] = []
  const both: number[] = []
  for (let run = 0; run < runs; run++) {
    const base = timed(() => naive(text))
    const start = performance.now()
    const { moves } = readProgram(text)
    const reading = performance.now() - start
    const plan = planMoves(moves, limits)
    read.push(reading / base)
    both.push((performance.now() - start) / base)
    if (plan.count !== BLOCKS) throw new Error(`${plan.count} moves instead of ${BLOCKS}`)
  }
  return { read: median(read), readAndPlan: median(both), peakMegabytes: peakMegabytes() }
}

/** Making a million blocks of a cutter's program into steps for the beam, to the baseline of the same run. */
export function timeConversion(runs: number): number {
  const text = millionOfCutter()
  const { moves } = readProgram(text)
  const power = { depths: [0, 1], powers: [0.2, 0.8] }
  const wish = { level: 0, rapids: 'dark', still: 'lit', power, feed: null, dotSeconds: 0.1, passes: 'once', times: 1 } as const
  const ratios: number[] = []
  for (let run = 0; run < runs; run++) {
    const base = timed(() => naive(text))
    let burnt = 0
    const converting = timed(() => {
      for (const step of refitForBeam(moves, wish).steps) if (step.kind === 'line') burnt++
    })
    if (burnt < BLOCKS / 2) throw new Error(`only ${burnt} of ${BLOCKS} blocks are burnt`)
    ratios.push(converting / base)
  }
  return median(ratios)
}

/** The most memory that a process of its own holds while it reads and plans, its text included. */
function peakMegabytes(): number {
  const { stdout, status } = spawnSync(process.execPath, ['--import', 'tsx', 'perf/memory.ts'], { encoding: 'utf8' })
  if (status !== 0) throw new Error('the memory could not be measured')
  return Number(stdout)
}

function timed(act: () => unknown): number {
  const start = performance.now()
  act()
  return performance.now() - start
}

export interface ViewerTimes {
  /** ms. */
  readonly longestTask: number
  /** From a jump of the listing's window until its lines stand there, ms; median of many. */
  readonly scroll: number
}

/** Longest task of the page's own frame, ms, while a million blocks are read and drawn; median of several visits. */
export async function timeViewer(runs: number): Promise<ViewerTimes> {
  const file = join(mkdtempSync(join(tmpdir(), 'fine-kerf-')), 'million.nc')
  writeFileSync(file, millionBlocks())
  const { home, close } = await serveBuild()
  const browser = await chromium.launch(CHROMIUM)
  const longest: number[] = []
  const scrolls: number[] = []
  try {
    for (let run = 0; run < runs; run++) {
      const page = await browser.newPage()
      await page.goto(home)
      await page.getByRole('button', { name: 'Open the demo bench' }).click()
      await page.getByRole('link', { name: /Work/ }).click()
      await page.getByRole('link', { name: /2 ?Program/ }).click()
      await page.getByRole('button', { name: 'Choose a program' }).waitFor()
      await page.waitForTimeout(1500)
      await page.evaluate(() => {
        const seen: number[] = []
        Object.assign(window, { longTasks: seen })
        new PerformanceObserver((list) => seen.push(...list.getEntries().map((it) => it.duration))).observe({ type: 'longtask' })
      })
      await page.getByLabel('Program file').setInputFiles(file)
      await page.getByText('Within the travel of X').waitFor({ timeout: 120_000 })
      await page.waitForTimeout(6000)
      longest.push(Math.max(0, ...(await page.evaluate(() => (window as unknown as { longTasks: number[] }).longTasks))))
      for (let k = 1; k <= 9; k++) scrolls.push(await page.evaluate<number>(scrolled(((k * 7) % 11) / 11)))
      await page.close()
    }
  } finally {
    await browser.close()
    close()
  }
  return { longestTask: median(longest), scroll: median(scrolls) }
}

/** Runs in the page, as text: jumps the listing to a share of its height and waits until lines stand in its window. */
const scrolled = (share: number): string => `new Promise((resolve, reject) => {
  const list = document.querySelector('[role="listbox"]')
  if (list === null) reject(new Error('there is no listing'))
  const isDrawn = () => {
    const box = list.getBoundingClientRect()
    return [...list.querySelectorAll('[role="option"]')].some((it) => {
      const { top, bottom } = it.getBoundingClientRect()
      return top <= box.top + 1 && bottom > box.top
    })
  }
  const start = performance.now()
  list.scrollTop = ${share} * list.scrollHeight
  const look = () => (isDrawn() ? resolve(performance.now() - start) : requestAnimationFrame(look))
  requestAnimationFrame(look)
})`
