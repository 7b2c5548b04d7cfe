/** Takes the pictures in docs/screenshots again, from the demo bench and an empty one. Only made-up data is in them. */
import { chromium, type Browser, type Page } from '@playwright/test'
import { CHROMIUM } from './chromium'
import { fixDate } from './fixDate'
import { putBench } from './putBench'
import { serveBuild } from './serveBuild'
import { heron } from '../src/data/heron'

const { home, close } = await serveBuild()
const browser = await chromium.launch(CHROMIUM)

async function demo(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Open the demo bench' }).click()
  await page.locator('[data-plate] svg').waitFor()
  await page.getByText('stand-in at rest').waitFor()
}

/** A part of a stage of the demo bench, with its plate drawn. */
async function open(page: Page, stage: string, part: string): Promise<void> {
  await demo(page)
  await page.goto(`${home}bench/heron/${stage}/${part}`)
  await page.locator('[data-plate] svg, [data-plate] canvas').first().waitFor()
  await page.getByText('stand-in at rest').waitFor()
}

/** Plan on a fixed evening, so that the picture stays the same. */
async function openPlan(page: Page, part: string): Promise<void> {
  await fixDate(page, '2026-11-24T18:30:00')
  await open(page, 'plan', part)
}

/** The mug with a band of leaves on it, taken in as artwork; the demo's own order is put aside. */
async function openUnrolled(page: Page): Promise<void> {
  const { bench, ...rest } = heron()
  const rotary = { ...bench.rotary, lays: 'round', objects: withWork(bench.rotary.objects, '240') } as const
  await page.addInitScript('globalThis.__name = (it) => it')
  await page.goto(home)
  await putBench(page, { ...rest, bench: { ...bench, rotary, work: { ...bench.work, pieces: {} } } })
  await page.goto(`${home}bench/heron/rotary/unrolled`)
  await page.getByRole('button', { name: 'Make the sheet as large as the work' }).click()
  await page.goto(`${home}bench/heron/work/order`)
  await page
    .getByLabel('Artwork file')
    .setInputFiles({ name: 'band.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(bandOfLeaves()) })
  await page.getByLabel(/What is done with .* of band/).selectOption('is marked along its lines')
  await page.waitForTimeout(1500)
  await page.goto(`${home}bench/heron/rotary/unrolled`)
  await page.locator('[data-turning]:not([data-turning="0"])').waitFor({ timeout: 60_000 })
  await page.waitForTimeout(500)
}

function withWork(objects: ReturnType<typeof heron>['bench']['rotary']['objects'], around: string): typeof objects {
  return Object.fromEntries(
    Object.entries(objects).map(([id, it]) => [
      id,
      { ...it, workAround: { ...it.workAround, value: Number(around), typed: around } },
    ]),
  )
}

/** Leaves on a stem, all around: drawn for this picture. */
function bandOfLeaves(): string {
  const leaves = Array.from({ length: 24 }, (_, k) => {
    const y = 6 + 9.5 * k
    const side = k % 2 === 0 ? 1 : -1
    const [tip, belly] = [15 + side * 12, 15 + side * 6]
    return `M15 ${y}C${belly} ${y - 5} ${tip - side * 2} ${y - 1} ${tip} ${y + 6}C${belly} ${y + 7} ${15 + side} ${y + 5} 15 ${y}M15 ${y}L${tip - side * 3} ${y + 5}`
  })
  return `<svg xmlns="http://www.w3.org/2000/svg" width="30mm" height="238mm" viewBox="0 0 30 238"><path d="M15 2V236${leaves.join('')}" fill="none" stroke="#1d4e89" stroke-width="0.1"/></svg>`
}

interface Shot {
  /** Begins with the stage's id; a test sees that every stage has its picture. */
  readonly name: string
  readonly dark?: boolean
  readonly size?: readonly [number, number]
  readonly act: (page: Page) => Promise<void>
}

const SHOTS: readonly Shot[] = [
  { name: 'start', act: (page) => page.getByText('Nothing yet.').waitFor() },
  { name: 'plan-schedule', act: (page) => openPlan(page, 'schedule') },
  { name: 'plan-cuts', act: (page) => openPlan(page, 'parts') },
  { name: 'motion', act: demo },
  {
    name: 'start-next',
    dark: true,
    size: [820, 1180],
    act: async (page) => {
      await page.getByLabel('Name of the machine').fill('Gate')
      await page.getByRole('button', { name: 'Start an empty bench' }).click()
      await page.locator('[data-todo]').first().waitFor()
    },
  },
  { name: 'power-wiring', act: (page) => open(page, 'power', 'wiring') },
  { name: 'power-chain', dark: true, act: (page) => open(page, 'power', 'chain') },
  {
    name: 'controller-settings',
    dark: true,
    act: async (page) => {
      await demo(page)
      await page.goto(`${home}bench/heron/controller/settings`)
      await page.getByText('stand-in at rest').waitFor()
    },
  },
  { name: 'burns-tone', act: (page) => open(page, 'burns', 'tone') },
  { name: 'burns-cut', act: (page) => open(page, 'burns', 'cut') },
  { name: 'rotary-height', act: (page) => open(page, 'rotary', 'height') },
  { name: 'rotary-unrolled', act: openUnrolled },
  { name: 'housing-panels', act: (page) => open(page, 'housing', 'panels') },
  { name: 'air-duct', act: (page) => open(page, 'air', 'duct') },
  { name: 'beam-focus', act: (page) => open(page, 'beam', 'focus') },
  {
    name: 'work-order',
    act: async (page) => {
      await open(page, 'work', 'order')
      await page.locator('[data-burnt="now"]').waitFor({ timeout: 60_000 })
    },
  },
  {
    name: 'work-program',
    act: async (page) => {
      await demo(page)
      await page.goto(`${home}bench/heron/work/program`)
      await page.getByLabel('Program file').setInputFiles('tests/fixtures/label.nc')
      await page.getByText('Within the travel of X').waitFor()
      await page.getByRole('listbox').getByRole('option').nth(6).click()
    },
  },
  { name: 'safety-reach', act: (page) => open(page, 'safety', 'reach') },
  { name: 'log-line', act: (page) => open(page, 'log', 'line') },
]

async function take(from: Browser, { name, dark, size, act }: Shot): Promise<void> {
  const [width, height] = size ?? [1280, 800]
  const page = await from.newPage({ viewport: { width, height }, colorScheme: dark === true ? 'dark' : 'light' })
  await page.goto(home)
  await act(page)
  await page.waitForTimeout(800)
  await page.screenshot({ path: `docs/screenshots/${name}.png` })
  await page.close()
}

const only = process.argv.slice(2)
for (const shot of SHOTS) if (only.length === 0 || only.includes(shot.name)) await take(browser, shot)
await browser.close()
close()
