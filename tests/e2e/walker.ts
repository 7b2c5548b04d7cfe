import { expect, type Locator, type Page } from '@playwright/test'
import { engineFor, judgeAll, wordingOf } from '../../src/core/document'
import { readBenchFile } from '../../src/data/benchFile'
import type { Driver, Typed } from './driver'
import { MachineDriver } from './machineDriver'

const stated = (plusMinus?: string): Typed => ({ origin: 'stated', ...(plusMinus === undefined ? {} : { plusMinus }) })
const measured = (plusMinus: string): Typed => ({ origin: 'measured', plusMinus })

const ARTWORK = `<svg xmlns="http://www.w3.org/2000/svg" width="24mm" height="30mm" viewBox="0 0 24 30">
<path d="M2 6H22V24H2Z" fill="none" stroke="#1d4e89" stroke-width="0.1"/></svg>`

/** Somebody who goes the whole route in its order, and types only what nobody but a person at the machine can know. */
export class Walker {
  private readonly machine: MachineDriver

  constructor(
    readonly page: Page,
    readonly bench: Driver,
  ) {
    this.machine = new MachineDriver(page, bench)
  }

  async stage(name: string): Promise<void> {
    const route = this.page.getByRole('navigation', { name: 'Route' })
    await route.getByRole('link', { name: new RegExp(`\\d ${name}`) }).click()
    await expect(this.page.locator('main h1')).toBeVisible()
  }

  private async typeAll(at: string, facts: Readonly<Record<string, string>>, more: Typed): Promise<void> {
    for (const [key, text] of Object.entries(facts)) await this.bench.type(`${at}.${key}`, text, more)
  }

  /** Path of the n-th fact on the sheet whose path begins and ends so. */
  private async path(start: string, end: string, n = 0): Promise<string> {
    const field = this.page.locator(`[data-fact^="${start}"][data-fact$=".${end}"][data-place="given"]`).nth(n)
    await field.waitFor()
    return (await field.getAttribute('data-fact')) ?? ''
  }

  private click(name: string | RegExp): Promise<void> {
    return this.page.getByRole('button', { name }).first().click()
  }

  async plan(): Promise<void> {
    const { page } = this
    await this.bench.visit()
    await page.getByLabel('Name of the machine').fill('Lark')
    await this.click('Start an empty bench')
    await page
      .locator('[data-todo] a')
      .filter({ hasText: /^Say what you build/ })
      .click()
    await page.getByLabel('How it is moved').selectOption('a gantry with two motors')
    await page.getByLabel('Round things are turned under the beam').check()
    await this.click('Set the bench up')
    await expect(page.getByRole('heading', { name: 'What to do next', level: 1 })).toBeVisible()
  }

  async motion(): Promise<void> {
    const { bench } = this
    await this.stage('Motion')
    for (const axis of ['x', 'y']) {
      await bench.showAxis(axis.toUpperCase())
      const teeth = { fullSteps: '200', microsteps: '1/16', pulleyTeeth: '20', motorGear: '1' }
      await this.typeAll(`motion.axes.${axis}`, teeth, stated())
      await bench.type(`motion.axes.${axis}.beltPitch`, '2', stated('0.001'))
    }
    await bench.part('Drive train')
    for (const [axis, mass] of [
      ['x', '0.7 kg'],
      ['y', '1.6 kg'],
    ] as const) {
      await bench.showAxis(axis.toUpperCase())
      await bench.type(`motion.axes.${axis}.movingMass`, mass, measured('0.05'))
    }
    await bench.part('Square and level')
    const corners = { width: '480', depth: '380', fromOrigin: '612.2', across: '612.2' }
    await this.typeAll('motion.corners', corners, measured('0.2'))
  }

  /** What the labels of head and eyewear say, in the nameplate. */
  private async nameplate(): Promise<void> {
    const { bench } = this
    await bench.inCell('beam', async () => {
      await bench.type('optics.power', '5.5', stated('0.1'), 'nameplate')
      await bench.type('optics.wavelength', '455', stated('2'), 'nameplate')
    })
    await bench.inCell('eyewear', async () => {
      await bench.wear('D 440-470 LB7')
    })
  }

  async power(): Promise<void> {
    const { page, bench } = this
    await this.nameplate()
    await this.stage('Power')
    await this.click('Begin with a usual wiring')
    const labels: Readonly<Record<string, Readonly<Record<string, string>>>> = {
      Supply: { amps: '6.25' },
      'Motors and drivers': { volts: '24', amps: '1.8', least: '12', most: '30' },
      Converter: { volts: '12', amps: '5' },
      Controller: { volts: '24', amps: '0.25', least: '9', most: '28' },
      'Diode head': { volts: '12', amps: '2.4', least: '10.5', most: '12.6' },
      'Beam lamp': { volts: '12', amps: '0.1', least: '9', most: '14' },
    }
    for (const [block, facts] of Object.entries(labels)) {
      await page.getByLabel('Block that is shown').selectOption(block)
      for (const [key, text] of Object.entries(facts)) await this.label(key, text)
    }
    await bench.part('Safety chain')
    await bench.choose('electrical.driver.pullDown', 'is fitted')
    await bench.part('Signal')
    await bench.type('electrical.timerClock', '16 MHz', stated())
    await bench.part('Driver')
    await bench.choose('electrical.driver.wants', '5 V, TTL levels')
  }

  /** Types what the label of the block that is shown says. */
  private async label(key: string, text: string): Promise<void> {
    const { page } = this
    const field = page.locator(`[data-fact^="electrical.blocks."][data-fact$=".${key}"]`)
    await this.bench.enterIn(field, text, stated('0.05'))
    await expect(page.getByRole('button', { name: 'Enter', exact: true })).toHaveCount(0)
  }

  private async burnPattern(part: string): Promise<void> {
    const { page, bench, machine } = this
    await bench.part(part)
    await machine.burn('Burn the pattern')
    await this.click('Read it with the stand-in’s instruments')
    await expect(page.getByText(/^(\d+) of \1 read$/)).toBeVisible({ timeout: 30_000 })
  }

  async controller(): Promise<void> {
    const { machine } = this
    await machine.go()
    await machine.connect(41)
    await this.click('Read the settings')
    // What only the machine knows is not typed again.
    for (const label of ['Full power word', 'Frequency of the power signal'])
      await this.click(new RegExp(`${label}.*take what the machine says$`, 'i'))
    await machine.commission()
    await this.burnPattern('Delay')
    await this.click('Let the output card wait so long')
    await this.burnPattern('Closure')
    await this.burnPattern('Beam')
  }

  async beam(): Promise<void> {
    const { page, bench } = this
    await this.stage('Beam')
    await bench.choose('optics.flatAlong', 'along X')
    await this.click('Follow this ramp')
    await expect(page.getByText('the beam follows it')).toBeVisible()
    // The head is brought to where the ramp says, and the gap is read there.
    const worked = (await page.getByRole('button', { name: /^Gap at focus \d/ }).textContent()) ?? ''
    await bench.type('optics.gap', /([\d.]+)\s*±/.exec(worked)?.[1] ?? '', measured('0.05'))
    await bench.expectMark('The material is in focus', 'good')
  }

  async burns(): Promise<void> {
    const { page, bench, machine } = this
    await this.stage('Burns')
    await page.getByLabel('Name of a material').fill('Alder plate')
    await this.click('Put it into the book')
    await page.getByLabel('What it is').selectOption('wood')
    for (const [label, value] of [
      ['in columns', '4'],
      ['in rows', '3'],
    ] as const) {
      await page.getByLabel(label, { exact: true }).fill(value)
      await page.keyboard.press('Enter')
    }
    await machine.burn('Burn the card')
    await expect(page.getByText('0 of 12 read')).toBeVisible({ timeout: 120_000 })
    await this.click('Photograph it with the stand-in’s camera')
    await expect(page.getByText('12 of 12 read')).toBeVisible({ timeout: 30_000 })
    await this.click('Keep the setting for the wanted tone')
    await bench.part('Cut through')
    const seen = page.getByText(/On the stand-in’s sheet it (came through|did not come through)\./)
    for (let turn = 0; turn < 12; turn++) {
      await machine.burn('Burn this line')
      const isThrough = (await seen.textContent({ timeout: 20_000 }))?.includes('it came through') === true
      await page.getByRole('button', { name: isThrough ? 'It came through' : 'It did not', exact: true }).click()
      await expect(page.getByRole('button', { name: `Take try ${turn + 1} away` })).toBeVisible()
    }
    await this.click('Keep the speed that cuts 95 of 100')
  }

  /** Burns the order, and waits until it is a record. */
  private async burnOrder(nth: number): Promise<void> {
    await this.stage('Work')
    await expect(this.page.locator('[data-burnt="now"]')).toBeVisible({ timeout: 60_000 })
    await this.machine.burn('Burn the order')
    await expect(this.page.getByText('Burnt: work order')).toHaveCount(nth, { timeout: 60_000 })
  }

  async work(): Promise<void> {
    const { page, bench } = this
    await this.stage('Work')
    const file = { name: 'label.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(ARTWORK) }
    await page.getByLabel('Artwork file').setInputFiles(file)
    await page.getByLabel(/What is done with .* of label/).selectOption('is marked along its lines')
    await page.getByLabel('Material of the sheet').selectOption('Alder plate')
    await bench.type('work.sheetWidth', '120', { plusMinus: '0.5' })
    await bench.type('work.sheetHeight', '80', { plusMinus: '0.5' })
    await this.burnOrder(1)
    await this.click('Reckon what it costs with this time')
    await expect(page.getByRole('link', { name: 'What it costs is reckoned with this time' })).toBeVisible()
  }

  async rotary(): Promise<void> {
    const { page, bench } = this
    await this.stage('Rotary')
    await page.getByLabel('What is to be turned').fill('Mug')
    await this.click('Add this object')
    const object = (await this.path('rotary.objects.', 'length')).replace(/\.length$/, '')
    await bench.choose(`${object}.hollow`, 'hollow, open at the driven end')
    await bench.choose(`${object}.madeOf`, 'enamelled steel')
    const read = { length: '80', mass: '162 g', bore: '83.1', boreDepth: '78.5', workFrom: '26', workTo: '56', workAround: '70' }
    await this.typeAll(object, read, measured('0.1'))
    for (const [n, [at, diameter]] of [
      ['0', '85.0'],
      ['80', '84.2'],
    ].entries()) {
      await bench.type(await this.path(`${object}.sections.`, 'at', n), at ?? '', measured('0.1'))
      await bench.type(await this.path(`${object}.sections.`, 'diameter', n), diameter ?? '', measured('0.05'))
    }
    await bench.part('Holding')
    await page.locator('[data-holding="centres"]').getByRole('button', { name: 'Hold it so' }).click()
    await this.typeAll('rotary.holder', { centresMost: '160', discDiameter: '90' }, measured('0.5'))
    await bench.part('Height')
    const stack = { axisHeight: '80', headHigh: '146', headLow: '58', headAlong: '22', headAcross: '24', feet: '12' }
    await this.typeAll('rotary.stack', stack, measured('0.5'))
    await bench.part('Turning')
    await bench.choose('rotary.turn.drive', 'by a belt')
    const drive = { fullSteps: '200', microsteps: '1/16', motorTeeth: '20', drivenTeeth: '60', gearbox: '1' }
    await this.typeAll('rotary.turn', drive, stated())
    await bench.part('Parts')
    await this.click('Disc for a bore')
    await bench.part('One turn')
    await this.click('Begin a run of turns')
    await this.click('Turn it on the stand-in, and read')
    await this.click('Use the steps of this run')
    await this.burnRound()
  }

  /** The order lies round the mug, Y is set for it, and put back as it was. */
  private async burnRound(): Promise<void> {
    const { page, bench } = this
    await bench.part('Unrolled')
    await page.getByLabel('How the order lies').selectOption('lies round the object in hand')
    await this.click('Make the sheet as large as the work')
    await bench.part('One turn')
    const into = page.getByRole('button', { name: 'Write them for Y, and read them back' })
    const back = page.getByRole('button', { name: 'Put Y back, and read it again' })
    await into.click()
    await expect(back).toBeVisible({ timeout: 30_000 })
    await this.burnOrder(2)
    await this.stage('Rotary')
    await bench.part('One turn')
    await back.click()
    await expect(into).toBeVisible({ timeout: 30_000 })
    await bench.part('Unrolled')
    await page.getByLabel('How the order lies').selectOption('is flat')
  }

  async housing(): Promise<void> {
    const { bench } = this
    await this.stage('Housing')
    await this.typeAll('housing.needs', { machineX: '520', machineY: '470', machineZ: '250', bedOver: '60' }, measured('1'))
    await this.click('Fix the sizes as worked')
    await bench.part('Panels and sheets')
    await this.click('Compare 9, 12 and 18 mm')
    await this.page.getByRole('radio', { name: 'Make the box of sheet 2' }).check()
    await bench.part('Lid')
    await bench.choose('housing.lid.springs', 'a stay that is set by hand')
  }

  async air(): Promise<void> {
    const { bench } = this
    await this.stage('Air')
    await this.click('A box with an open inlet')
    for (const [n, text] of ['0.8 m', '1.9 m', '0.5 m'].entries())
      await bench.type(await this.path('air.', 'length', n), text, measured('0.01'))
    await bench.type(await this.path('air.', 'freeFlow'), '330 m3/h', stated('10'))
    await bench.type(await this.path('air.', 'shutOff'), '320 Pa', stated('20'))
    await bench.part('Box and room')
    await bench.type('air.box.gaps', '20 cm2', stated('10'))
    await bench.type('air.box.inlet', '240 cm2', measured('5'))
    await bench.choose('air.room.appliance', 'nothing: no stove, boiler, heater or geyser')
    await bench.type('air.room.supply', '900 cm2', measured('50'))
  }

  async safety(): Promise<void> {
    const { page, bench } = this
    await this.stage('Safety')
    await bench.part('The round')
    for (const what of ['the stop button', 'the key']) {
      await page.getByLabel('What was tried').selectOption(what)
      await page.getByLabel('What the beam did').selectOption('dark at once, and dark until reset')
      await this.click('Write the try down')
    }
    await expect(page.getByText('No stop stands against a burn.')).toBeVisible()
  }

  /** What is looked after; then the line in which both burns stand. */
  async log(): Promise<Locator> {
    const { bench } = this
    await this.stage('Log')
    await bench.part('Upkeep')
    await this.click('Add the usual things')
    await bench.type('calibrate.hours', '3 h', stated())
    await bench.part('Time line')
    return this.page.getByText('Burnt: work order')
  }

  /** What the bench is judged to be, by the file that is exported. */
  async judged(): Promise<
    readonly { readonly id: string; readonly mark: string; readonly why: string; readonly leads: boolean }[]
  > {
    const file = readBenchFile(new Uint8Array(await this.bench.exportBench()), 'lark.bench.zip')
    if (!file.ok) throw new Error(file.findings[0]?.message)
    const engine = engineFor(file.value.bench)
    return judgeAll(engine).map((it) => {
      const { why, next } = wordingOf(engine, it, 'metric')
      return { id: it.def.id, mark: it.mark, why, leads: next !== undefined }
    })
  }
}
