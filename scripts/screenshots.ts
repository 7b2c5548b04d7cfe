/** Takes the pictures in docs/screenshots again, from the demo bench and an empty one. Only made-up data is in them. */
import { chromium, type Browser, type Page } from '@playwright/test'
import { CHROMIUM } from './chromium'
import { serveBuild } from './serveBuild'

const { home, close } = await serveBuild()
const browser = await chromium.launch(CHROMIUM)

async function demo(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Open the demo bench' }).click()
  await page.locator('[data-plate] svg').waitFor()
  await page.getByText('stand-in at rest').waitFor()
}

/** Plan on a fixed evening, so that the picture stays the same. */
async function plan(page: Page): Promise<void> {
  await page.clock.setFixedTime(new Date('2026-11-24T18:30:00'))
  await demo(page)
  await page.getByRole('link', { name: /Plan/ }).first().click()
}

async function motionPart(page: Page, name: string): Promise<void> {
  await page.getByRole('group', { name: 'Parts of Motion' }).getByRole('button', { name }).click()
}

async function kinematics(page: Page, words: string): Promise<void> {
  await page.locator('[data-fact="motion.kinematics"]').click()
  await page.getByRole('dialog').getByRole('button', { name: words, exact: true }).click()
  await toTop(page)
}

async function toTop(page: Page): Promise<void> {
  await page
    .locator('#sheet > div > div')
    .first()
    .evaluate((sheet) => sheet.scrollTo(0, 0))
}

async function enter(page: Page, path: string, text: string): Promise<void> {
  await page.locator(`[data-fact="${path}"][data-place="given"]`).click()
  // The editor's code comes with the first one that opens.
  await page.getByRole('button', { name: 'Leave as it was' }).waitFor()
  await page.keyboard.type(text)
  await page.keyboard.press('Enter')
}

async function controller(page: Page, part: string): Promise<void> {
  await demo(page)
  await page.getByRole('link', { name: /Controller/ }).click()
  await page.getByRole('group', { name: 'Parts of Controller' }).getByRole('button', { name: part }).click()
  await page.getByText('stand-in at rest').waitFor()
}

const SHOTS: readonly {
  readonly name: string
  readonly dark?: boolean
  readonly size?: readonly [number, number]
  readonly act: (page: Page) => Promise<void>
}[] = [
  { name: 'start', act: async () => Promise.resolve() },
  { name: 'motion', act: demo },
  {
    name: 'motion-working',
    dark: true,
    act: async (page) => {
      await demo(page)
      await page.getByRole('button', { name: /^Nominal steps/ }).click()
      await page.locator('.katex').first().waitFor()
    },
  },
  {
    name: 'motion-consequences',
    act: async (page) => {
      await demo(page)
      await page.locator('[data-fact="motion.axes.x.pulleyTeeth"]').click()
      await page.keyboard.type('16')
      await page.keyboard.press('Enter')
      await page.getByText('To do again').waitFor()
    },
  },
  {
    name: 'motion-empty',
    dark: true,
    size: [820, 1180],
    act: async (page) => {
      await page.getByLabel('Name of the machine').fill('Gate')
      await page.getByRole('button', { name: 'Start an empty bench' }).click()
      await page.locator('[data-plate] svg').waitFor()
    },
  },
  {
    name: 'plan-schedule',
    act: async (page) => {
      await plan(page)
      await page.locator('[data-plate="The schedule"] svg').waitFor()
    },
  },
  {
    name: 'plan-cuts',
    act: async (page) => {
      await plan(page)
      await page.getByRole('button', { name: 'Parts and cuts' }).click()
      await page.locator('[data-plate="The cut plan"] svg').first().waitFor()
    },
  },
  {
    name: 'motion-drive',
    act: async (page) => {
      await demo(page)
      await motionPart(page, 'Drive train')
      await page.getByText('Torque of one motor').waitFor()
    },
  },
  {
    name: 'motion-belts',
    dark: true,
    act: async (page) => {
      await demo(page)
      await motionPart(page, 'Belts by ear')
      await page.getByRole('button', { name: 'Y axis' }).click()
    },
  },
  {
    name: 'motion-crossed',
    act: async (page) => {
      await demo(page)
      await page.locator('[data-carriage]').press('ArrowUp')
      await kinematics(page, 'crossed belts')
      await page.locator('[data-carriage]').press('ArrowUp')
      await page.locator('[data-carriage]').blur()
      await toTop(page)
    },
  },
  {
    name: 'motion-mirrors',
    act: async (page) => {
      await page.getByLabel('Name of the machine').fill('Wren')
      await page.getByRole('button', { name: 'Start an empty bench' }).click()
      await enter(page, 'motion.axes.x.travel', '110')
      await page.getByRole('button', { name: 'Y axis' }).click()
      await enter(page, 'motion.axes.y.travel', '90')
      await kinematics(page, 'two turning mirrors')
    },
  },
  { name: 'controller-settings', act: (page) => controller(page, 'Settings') },
  {
    name: 'controller-ramp',
    act: async (page) => {
      await controller(page, 'Faint mark')
      await page.getByRole('button', { name: 'Burn the ramp' }).click()
      await page.getByText('Before the beam is on').waitFor()
      for (const box of await page.getByRole('checkbox').all()) await box.check()
      await page.getByRole('button', { name: 'I have checked all of these' }).click()
      await page.getByText('as burnt', { exact: true }).waitFor()
    },
  },
  {
    name: 'controller-run',
    act: async (page) => {
      await controller(page, 'Scale run')
      await page.getByText('Read less line').waitFor()
    },
  },
  {
    name: 'cautions',
    dark: true,
    act: async (page) => {
      await controller(page, 'Faint mark')
      await page.getByRole('button', { name: 'Burn the ramp' }).click()
      await page.getByText('Before the beam is on').waitFor()
    },
  },
  {
    name: 'controller-hand',
    size: [820, 1180],
    act: async (page) => {
      await page.getByLabel('Name of the machine').fill('Gate')
      await page.getByRole('button', { name: 'Start an empty bench' }).click()
      await page.getByRole('link', { name: /Controller/ }).click()
      await page.getByText('Typed in').first().waitFor()
    },
  },
  {
    name: 'power',
    act: async (page) => {
      await demo(page)
      await page.getByRole('link', { name: /Power/ }).click()
      await page.locator('[data-plate] svg').waitFor()
    },
  },
  {
    name: 'work-program',
    act: async (page) => {
      await demo(page)
      await page.getByRole('link', { name: /Work/ }).click()
      await page.getByLabel('Program file').setInputFiles('tests/fixtures/label.nc')
      await page.getByText('Within the travel of X').waitFor()
    },
  },
  {
    name: 'plan-fasteners',
    act: async (page) => {
      await plan(page)
      await page.getByRole('button', { name: 'Fasteners' }).click()
      await page.locator('[data-plate="The joints"] svg').first().waitFor()
    },
  },
]

async function take(from: Browser, { name, dark, size, act }: (typeof SHOTS)[number]): Promise<void> {
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
