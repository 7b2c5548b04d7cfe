import type { Locator, Page } from '@playwright/test'
import { fixDate } from '../../scripts/fixDate'
import { expect, test, type Driver } from './driver'

// Three people who have never seen it, from the first page to a machine that is set. They go only where a link leads that
// stands before them: from what to do next, from a verdict, from a step.

/** A person who knows no other way than the links. */
class Newcomer {
  constructor(
    readonly page: Page,
    readonly bench: Driver,
  ) {}

  async start(name: string): Promise<void> {
    // A morning: nothing is hindered by the quiet hours.
    await fixDate(this.page, '2026-11-24T10:30:00')
    await this.bench.visit()
    await this.page.getByLabel('Name of the machine').fill(name)
    await this.page.getByRole('button', { name: 'Start an empty bench' }).click()
    await this.follow(/^Say what you build/)
  }

  async setUp(build: string, moved: string, width: string, depth: string): Promise<void> {
    await this.page.getByLabel('How it is built').selectOption(build)
    await this.page.getByLabel('How it is moved').selectOption(moved)
    await this.page.getByRole('textbox', { name: 'Width of the largest work' }).fill(width)
    await this.page.getByRole('textbox', { name: 'Depth of the largest work' }).fill(depth)
    await this.page.getByRole('button', { name: 'Set the bench up' }).click()
    await expect(this.page.getByRole('heading', { name: 'What to do next', level: 1 })).toBeVisible()
  }

  /** Goes by a line of what to do next; fails where there is none such. */
  async follow(words: RegExp): Promise<void> {
    const { page } = this
    if (!page.url().endsWith('/next')) await page.getByRole('link', { name: /What to do next/ }).click()
    const line = page.locator('[data-todo] a').filter({ hasText: words }).first()
    await line.click({ timeout: 30_000 }).catch(async () => {
      throw new Error(`What to do next has no line ${String(words)}; it shows: ${await page.locator('body').innerText()}`)
    })
  }

  get step(): Locator {
    return this.page.getByRole('region', { name: 'The step in hand' })
  }

  /** Does the steps at the bench up to one, each with its button. */
  async doStepsUpTo(name: string): Promise<void> {
    for (let i = 0; i < 30; i++) {
      const heading = await this.step.getByRole('heading').first().textContent()
      if (heading === name) return
      await this.step.getByRole('button', { name: 'It is done' }).click()
      await expect(this.step.getByRole('heading').first()).not.toHaveText(heading ?? '')
    }
    throw new Error(`the step “${name}” never came`)
  }

  /** Enters a fact in whichever editor the link opened, then closes what is left open. */
  async typeIntoOpenEditor(text: string, origin: 'measured' | 'stated' = 'stated', doubt?: string): Promise<void> {
    const editor = this.page.locator('form', { has: this.page.getByRole('button', { name: 'Leave as it was' }) })
    await editor.locator('input').first().fill(text)
    await editor.getByRole('radio', { name: origin }).check()
    if (doubt !== undefined) await editor.getByRole('textbox').nth(1).fill(doubt)
    await editor.getByRole('button', { name: 'Enter', exact: true }).click()
    await expect(editor).toHaveCount(0)
  }

  /** States what the labels, the switches and the teeth say, for one axis or motor. */
  async readDrive(axis: string, facts: Readonly<Record<string, string>>): Promise<void> {
    for (const [key, text] of Object.entries(facts)) {
      const more = key === 'beltPitch' ? { plusMinus: '0.001' } : {}
      await this.bench.type(`motion.axes.${axis}.${key}`, text, { origin: 'stated', ...more })
    }
  }

  /** Pastes what the machine prints; every line that is a setting is proposed. */
  async pasteSettings(lines: readonly string[], settings: number): Promise<void> {
    await this.page.getByLabel(/asked for its settings/).fill(lines.join('\n'))
    await this.page.getByRole('button', { name: 'Read it' }).click()
    await this.page.getByRole('button', { name: `Take these ${settings} settings` }).click()
  }

  row(id: string): Locator {
    return this.page.locator(`[data-setting="${id}"]`)
  }
}

const BELT = { fullSteps: '200', microsteps: '1/16', pulleyTeeth: '20', beltPitch: '2', motorGear: '1' }

test('somebody with a kit: the bag is counted, the frame squared, the settings in the machine are those of the bench', async ({
  bench,
  page,
}) => {
  test.setTimeout(180_000)
  const person = new Newcomer(page, bench)
  await person.start('Wagtail')
  await person.setUp('from a kit', 'a gantry with two motors', '400', '300')
  await person.follow(/Tip the bag out/)
  await person.step.getByRole('link', { name: /Count it under What is in the bag/ }).click()
  for (const [kind, count] of Object.entries(BAG)) {
    await page.getByLabel(`${kind} counted`).fill(count)
    await page.getByLabel(`${kind} counted`).press('Enter')
  }
  await bench.expectMark('The kit lacks parts', 'look')
  await page.getByLabel('Eccentrics counted').fill('3')
  await page.getByLabel('Eccentrics counted').press('Enter')
  await bench.expectMark('The kit is complete', 'good')
  await page.getByRole('button', { name: 'Take these joints' }).click()
  await bench.expectNoAxeFindings()
  await page.getByRole('link', { name: 'Fasteners', exact: true }).last().click()
  await expect(page.locator('[data-joint="Corner brackets of the frame"]')).toBeVisible()

  await person.follow(/Tip the bag out/)
  await person.doStepsUpTo('Slip the slot nuts in')
  await expect(person.step.getByRole('region', { name: 'Screws' })).toContainText('16 × M5 × 8, key 4 mm')
  await person.doStepsUpTo('Square the frame')
  for (const [key, text] of Object.entries({ width: '480', depth: '380', fromOrigin: '612.2', across: '612.2' })) {
    await bench.type(`motion.corners.${key}`, text, { origin: 'measured', plusMinus: '0.3' }, 'step')
  }
  await expect(person.step.getByText('Square enough')).toBeVisible()
  // What was noted of the step survives that the page is loaded anew.
  await person.step.getByLabel('What you measured or saw').fill('both diagonals 612.2')
  await page.reload()
  await expect(person.step.getByLabel('What you measured or saw')).toHaveValue('both diagonals 612.2')
  await person.doStepsUpTo('Tighten the corners')

  await person.follow(/Read the drivers' switches/)
  await bench.abandon()
  for (const axis of ['x', 'y']) {
    await bench.showAxis(axis.toUpperCase())
    await person.readDrive(axis, BELT)
  }
  await person.follow(/Read the settings that are in the machine/)
  await bench.abandon()
  await person.pasteSettings(['k1 = 80.000 ; X, steps per mm', 'k2 = 78.740 ; Y, steps per mm', 'k9 = 12 ; fan, s'], 2)
  await expect(person.row('axes.x.steps')).toContainText('the same')
  await expect(person.row('axes.y.steps')).toContainText('write this')
  await person.row('axes.y.steps').getByRole('button', { name: 'Y steps: it is typed in' }).click()
  await expect(person.row('axes.y.steps')).toContainText('the same')
  await bench.saved()
})

const BAG = {
  Bars: '5',
  Plates: '4',
  'Angle brackets': '8',
  Motors: '3',
  Pulleys: '3',
  Idlers: '3',
  Wheels: '9',
  Eccentrics: '2',
  Spacers: '6',
  Belts: '1',
  Controllers: '1',
  'Diode heads': '1',
  Supplies: '1',
  Feet: '4',
}

test('somebody with a router: the change-over with its plugs and clock, what is written goes onto the way back', async ({
  bench,
  page,
}) => {
  test.setTimeout(180_000)
  const person = new Newcomer(page, bench)
  await person.start('Dipper')
  await person.setUp('onto a machine that is there', 'a module on a router or mill', '250', '150')
  await person.follow(/Switch off, pull the spindle/)
  await person.step.getByRole('button', { name: /Begin/ }).click()
  await expect(page.getByText(/Begun at \d\d:\d\d; so far/)).toBeVisible()
  await person.doStepsUpTo('Clamp the diode’s head in')
  await bench.type('motion.retrofit.asideX', '42', { origin: 'measured', plusMinus: '0.5' }, 'step')
  await person.doStepsUpTo('Plug head, earth clip and air hose')
  await expect(person.step.getByRole('region', { name: 'Plugs, clips and hoses' })).toContainText('Earth clip')

  await person.follow(/Read the drivers' switches/)
  await bench.abandon()
  for (const axis of ['x', 'y']) {
    await bench.showAxis(axis.toUpperCase())
    await person.readDrive(axis, { fullSteps: '200', microsteps: '1/8', screwPitch: '2', screwStarts: '2', motorGear: '1' })
  }
  await person.follow(/Copy power and wavelength/)
  await person.typeIntoOpenEditor('2.2')
  await page.keyboard.press('Escape')
  await person.follow(/Read the settings that are in the machine/)
  await bench.abandon()
  await person.pasteSettings(['x/steps = 400.000', 'y/steps = 394.000', 'beam/full = 255'], 3)
  await expect(person.row('axes.x.steps')).toContainText('the same')
  await person.row('axes.y.steps').getByRole('button', { name: 'Y steps: it is typed in' }).click()
  await expect(person.row('axes.y.steps')).toContainText('the same')

  await person.follow(/Plug head, earth clip|Lay the plate/)
  await expect(page.getByRole('region', { name: 'To put back on the way back' })).toContainText('400.000 → 394.000')
  await bench.saved()
})

test('somebody with crossed belts from salvaged parts: a dead motor is found, both motors made to step alike, set', async ({
  bench,
  page,
}) => {
  test.setTimeout(180_000)
  const person = new Newcomer(page, bench)
  await person.start('Siskin')
  await person.setUp('from single parts', 'crossed belts', '300', '200')
  await person.follow(/Read the drivers' switches/)
  await bench.abandon()
  for (const [axis, motor, micro] of [
    ['x', 'left motor', '1/16'],
    ['y', 'right motor', '1/32'],
  ] as const) {
    await page.getByRole('button', { name: motor, exact: true }).click()
    await person.readDrive(axis, { ...BELT, microsteps: micro })
  }
  await bench.expectMark('The motors step unlike', 'look')
  await page.getByRole('link', { name: 'Check the left motor’s microsteps.' }).click()
  await person.typeIntoOpenEditor('1/32')
  await bench.expectMark('Both motors step alike', 'good')

  await person.follow(/Ask for a short way along \+X/)
  await page.keyboard.press('Escape')
  await bench.choose('motion.crossed.wentForX', 'right and back')
  await bench.choose('motion.crossed.wentForY', 'right and back')
  await expect(page.getByText(/The right motor does not move its belt/)).toBeVisible()
  await bench.choose('motion.crossed.wentForX', 'right')
  await bench.choose('motion.crossed.wentForY', 'back')
  await expect(page.getByText('Both motors are wired as they should be.')).toBeVisible()

  await person.follow(/Cut the bars/)
  await person.doStepsUpTo('Lay and tension the belts')
  for (const [axis, tone] of [
    ['x', '60'],
    ['y', '90'],
  ] as const) {
    await bench.type(`motion.axes.${axis}.freeSpan`, '350', { origin: 'measured', plusMinus: '2' }, 'step')
    await bench.type(`motion.axes.${axis}.toneA`, tone, { origin: 'measured', plusMinus: '1' }, 'step')
  }
  await bench.expectMark(/The crossed belts pull unlike/, 'look')
  await person.step.getByRole('link', { name: 'Pluck the right belt.' }).click()
  await person.typeIntoOpenEditor('61', 'measured', '0.5')
  await bench.expectMark('Both crossed belts pull alike', 'good')
  await bench.expectNoAxeFindings()

  await person.follow(/Read the settings that are in the machine/)
  await bench.abandon()
  await person.pasteSettings(['x/steps = 160.000', 'y/steps = 160.000'], 2)
  for (const axis of ['x', 'y']) await expect(person.row(`axes.${axis}.steps`)).toContainText('the same')
  await bench.saved()
})
