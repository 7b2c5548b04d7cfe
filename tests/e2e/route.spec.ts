import { mkdirSync, readFileSync, writeFileSync, existsSync } from 'node:fs'
import { engineFor, judgeAll, wordingOf } from '../../src/core/document'
import { readBenchFile } from '../../src/data/benchFile'
import { expect, test, type Driver } from './driver'
import { MachineDriver } from './machineDriver'
import { fixDate } from '../../scripts/fixDate'
import type { Page } from '@playwright/test'

const stage = async (page: Page, name: string) => page.getByRole('navigation', { name: 'Route' }).getByRole('link', { name: new RegExp(`\\d ${name}`) }).click()
const M = { origin: 'measured' } as const
const S = { origin: 'stated' } as const

async function dump(bench: Driver, n: string) {
  const zip = await bench.exportBench()
  mkdirSync('/tmp/walk', { recursive: true }); writeFileSync(`/tmp/walk/${n}.zip`, zip)
  const read = readBenchFile(new Uint8Array(zip), 'x.bench.zip')
  if (!read.ok) throw new Error(JSON.stringify(read.findings))
  console.log('==', n); const e = engineFor(read.value.bench); for (const it of judgeAll(e)) if (it.mark !== 'good' && SO_FAR(n).includes(it.def.stage)) { const w = wordingOf(e, it, 'metric'); console.log(it.mark, it.def.id, it.args.join(','), '|', w.head, '|', w.why, '|', JSON.stringify(w.next)) }
}
const ORDER = ['plan', 'motion', 'power', 'controller', 'beam', 'burns', 'work', 'rotary', 'housing', 'air', 'safety', 'log']
const SO_FAR = (n: string) => (n === 'log' || n === 'rotary' ? ORDER.slice(0, ORDER.indexOf(n) + 1) : [n])
async function type(bench: Driver, path: string, text: string, more: any = {}) { console.log('type', path); await bench.type(path, text, more) }

const STEPS: Record<string, (b: Driver, page: Page, m: MachineDriver) => Promise<void>> = {
  async setUp(bench, page) {
    await bench.visit()
    await page.getByLabel('Name of the machine').fill('Walk')
    await page.getByRole('button', { name: 'Start an empty bench' }).click()
    await page.locator('[data-todo] a').filter({ hasText: /^Say what you build/ }).click()
    await page.getByLabel('How it is moved').selectOption('a gantry with two motors')
    await page.getByLabel('Round things are turned under the beam').check()
    await page.getByRole('button', { name: 'Set the bench up' }).click()
    await expect(page.getByRole('heading', { name: 'What to do next', level: 1 })).toBeVisible()
  },
  async motion(bench, page) {
    await stage(page, 'Motion')
    for (const axis of ['x', 'y']) {
      await bench.showAxis(axis.toUpperCase())
      for (const [k, t] of Object.entries({ fullSteps: '200', microsteps: '1/16', pulleyTeeth: '20', motorGear: '1' })) await type(bench, `motion.axes.${axis}.${k}`, t, S)
      await type(bench, `motion.axes.${axis}.beltPitch`, '2', { ...S, plusMinus: '0.001' })
    }
    await bench.part('Drive train')
    for (const [axis, mass] of [['x', '0.7 kg'], ['y', '1.6 kg']] as const) {
      await bench.showAxis(axis.toUpperCase())
      await type(bench, `motion.axes.${axis}.movingMass`, mass, { ...M, plusMinus: '0.05' })
    }
    await bench.part('Square and level')
    for (const [key, text] of Object.entries({ width: '480', depth: '380', fromOrigin: '612.2', across: '612.2' })) await type(bench, `motion.corners.${key}`, text, { ...M, plusMinus: '0.2' })
  },
  async power(bench, page) {
    await bench.inCell('beam', async () => {
      await bench.type('optics.power', '5.5', { ...S, plusMinus: '0.1' }, 'nameplate')
      await bench.type('optics.wavelength', '455', { ...S, plusMinus: '2' }, 'nameplate')
    })
    await bench.inCell('eyewear', async () => {
      await bench.type('safety.eyewearDensity', '7', S, 'nameplate')
      await bench.type('safety.eyewearScale', '7', S, 'nameplate')
    })
    await stage(page, 'Power')
    await page.getByRole('button', { name: 'Begin with a usual wiring' }).click()
    const label = async (block: string, facts: Readonly<Record<string, string>>): Promise<void> => {
      await page.getByLabel('Block that is shown').selectOption(block)
      for (const [key, text] of Object.entries(facts)) {
        await page.locator(`[data-fact^="electrical.blocks."][data-fact$=".${key}"]`).click()
        const editor = page.locator('form', { has: page.getByRole('button', { name: 'Leave as it was' }) })
        await editor.locator('input').first().fill(text)
        await editor.getByRole('radio', { name: 'stated' }).check()
        await editor.getByRole('textbox').nth(1).fill('0.05')
        await editor.getByRole('button', { name: 'Enter', exact: true }).click()
        await expect(editor).toHaveCount(0)
      }
    }
    await label('Supply', { amps: '6.25' })
    await label('Motors and drivers', { volts: '24', amps: '1.8', least: '12', most: '30' })
    await label('Converter', { volts: '12', amps: '5' })
    await label('Controller', { volts: '24', amps: '0.25', least: '9', most: '28' })
    await label('Diode head', { volts: '12', amps: '2.4', least: '10.5', most: '12.6' })
    await label('Beam lamp', { volts: '12', amps: '0.1', least: '9', most: '14' })
    await bench.part('Safety chain')
    await bench.choose('electrical.driver.pullDown', 'is fitted')
    await bench.part('Signal')
    await type(bench, 'electrical.timerClock', '16 MHz', S)
    await bench.part('Driver')
    await bench.choose('electrical.driver.wants', '5 V, TTL levels')
  },
  async controller(bench, page, machine) {
    await machine.go()
    await machine.connect(41)
    await page.getByRole('button', { name: 'Read the settings' }).click()
    await machine.part('Mark')
    await machine.burn('Burn the ramp')
    await machine.takeCautions()
    await machine.takeLine()
    await machine.part('Scale run')
    await machine.burn('Burn the run')
    await machine.readWithCalipers()
    await machine.apply('X')
    await machine.apply('Y')
    await machine.part('Settings')
    await machine.writeAll()
    await machine.part('Scale run')
    await page.getByRole('button', { name: 'The next run' }).click()
    await machine.burn('Burn the run')
    await machine.readWithCalipers()
    for (const part of ['Delay', 'Closure']) {
      await bench.part(part)
      await machine.burn('Burn the pattern')
      await page.getByRole('button', { name: 'Read it with the stand-in’s instruments' }).click()
      await expect(page.getByText(/^(\d+) of \1 read$/)).toBeVisible({ timeout: 30_000 })
      if (part === 'Delay') await page.getByRole('button', { name: 'Let the output card wait so long' }).click()
    }
  },
  async beam(bench, page, machine) {
    if (process.env.WALK_FROM === 'beam') { await machine.go(); await machine.connect(41) }
    await stage(page, 'Controller')
    await bench.part('Beam')
    await machine.burn('Burn the pattern')
    if (process.env.WALK_FROM === 'beam') await machine.takeCautions()
    await page.getByRole('button', { name: 'Read it with the stand-in’s instruments' }).click()
    await expect(page.getByText(/^(\d+) of \1 read$/)).toBeVisible({ timeout: 30_000 })
    await stage(page, 'Beam')
    await bench.choose('optics.flatAlong', 'along X')
    await page.getByRole('button', { name: 'Follow this ramp' }).first().click()
    await expect(page.getByText('the beam follows it')).toBeVisible()
  },
  async burns(bench, page, machine) {
    if (process.env.WALK_FROM === 'burns') { await machine.go(); await machine.connect(41) }
    await stage(page, 'Burns')
    await page.getByLabel('Name of a material').fill('Alder plate')
    await page.getByRole('button', { name: 'Put it into the book' }).click()
    await page.getByLabel('What it is').selectOption('wood')
    for (const [label, value] of [['in columns', '4'], ['in rows', '3']] as const) { await page.getByLabel(label, { exact: true }).fill(value); await page.keyboard.press('Enter') }
    await machine.burn('Burn the card')
    if (process.env.WALK_FROM === 'burns') await machine.takeCautions()
    await expect(page.getByText('0 of 12 read')).toBeVisible({ timeout: 120_000 })
    await page.getByRole('button', { name: 'Photograph it with the stand-in’s camera' }).click()
    await expect(page.getByText('12 of 12 read')).toBeVisible({ timeout: 30_000 })
    await page.getByRole('button', { name: 'Keep the setting for the wanted tone' }).click()
    await bench.part('Cut through')
    const seen = page.getByText(/On the stand-in’s sheet it (came through|did not come through)\./)
    for (let turn = 0; turn < 12; turn++) {
      await machine.burn('Burn this line')
      const isThrough = (await seen.textContent({ timeout: 20_000 }))?.includes('it came through') === true
      await page.getByRole('button', { name: isThrough ? 'It came through' : 'It did not', exact: true }).click()
      await expect(seen).toHaveCount(0)
      await expect(page.getByRole('button', { name: `Take try ${turn + 1} away` })).toBeVisible()
    }
    await page.getByRole('button', { name: 'Keep the speed that cuts 95 of 100' }).click()
  },
  async work(bench, page, machine) {
    if (process.env.WALK_FROM === 'work') { await machine.go(); await machine.connect(41) }
    await stage(page, 'Beam')
    const worked = page.getByRole('button', { name: /^Gap at focus \d/ })
    const gap = /([\d.]+)\s*±/.exec((await worked.textContent()) ?? '')?.[1] ?? ''
    await type(bench, 'optics.gap', gap, { ...M, plusMinus: '0.05' })
    await stage(page, 'Work')
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="24mm" height="30mm" viewBox="0 0 24 30"><path d="M2 6H22V24H2Z" fill="none" stroke="#1d4e89" stroke-width="0.1"/></svg>`
    await page.getByLabel('Artwork file').setInputFiles({ name: 'label.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(svg) })
    await page.getByLabel(/What is done with .* of label/).selectOption('is marked along its lines')
    await page.getByLabel('Material of the sheet').selectOption('Alder plate')
    await type(bench, 'work.sheetWidth', '120', { plusMinus: '0.5' })
    await type(bench, 'work.sheetHeight', '80', { plusMinus: '0.5' })
    await expect(page.locator('[data-burnt="now"]')).toBeVisible({ timeout: 60_000 })
    await machine.burn('Burn the order')
    if (process.env.WALK_FROM === 'work') await machine.takeCautions()
    await expect(page.getByText('Burnt: work order')).toBeVisible({ timeout: 60_000 })
  },
  async rotary(bench, page, machine) {
    if (process.env.WALK_FROM === 'rotary') { await machine.go(); await machine.connect(41) }
    await stage(page, 'Rotary')
    await page.getByLabel('What is to be turned').fill('Mug')
    await page.getByRole('button', { name: 'Add this object' }).click()
    const path = (await page.locator('[data-fact$=".length"][data-place="given"]').first().getAttribute('data-fact')) ?? ''
    const object = path.replace(/\.length$/, '')
    await bench.choose(`${object}.hollow`, 'hollow, open at the driven end')
    await bench.choose(`${object}.madeOf`, 'enamelled steel')
    for (const [key, value] of Object.entries({ length: '80', mass: '162 g', bore: '83.1', boreDepth: '78.5', workFrom: '26', workTo: '56', workAround: '70' })) await type(bench, `${object}.${key}`, value, { ...M, plusMinus: '0.1' })
    const field = (what: string, n: number) => page.locator(`[data-fact^="${object}.sections."][data-fact$=".${what}"][data-place="given"]`).nth(n)
    for (const [n, it] of [['0', '85.0'], ['80', '84.2']].entries()) for (const [k, what] of (['at', 'diameter'] as const).entries()) await type(bench, (await field(what, n).getAttribute('data-fact')) ?? '', it[k]!, { ...M, plusMinus: '0.05' })
    await bench.part('Holding')
    await page.locator('[data-holding="centres"]').getByRole('button', { name: 'Hold it so' }).click()
    await type(bench, 'rotary.holder.centresMost', '160', { ...M, plusMinus: '0.5' })
    await type(bench, 'rotary.holder.discDiameter', '90', { ...M, plusMinus: '0.1' })
    await bench.part('Height')
    for (const [key, value] of Object.entries({ axisHeight: '80', headHigh: '146', headLow: '58', headAlong: '22', headAcross: '24', feet: '12' })) await type(bench, `rotary.stack.${key}`, value, { ...M, plusMinus: '0.5' })
    await bench.part('Turning')
    await bench.choose('rotary.turn.drive', 'by a belt')
    for (const [key, value] of Object.entries({ fullSteps: '200', microsteps: '1/16', motorTeeth: '20', drivenTeeth: '60', gearbox: '1' })) await type(bench, `rotary.turn.${key}`, value, S)
    await bench.part('Parts')
    await page.getByRole('button', { name: 'Disc for a bore' }).click()
    await bench.part('One turn')
    await page.getByRole('button', { name: 'Begin a run of turns' }).click()
    await page.getByRole('button', { name: 'Turn it on the stand-in, and read' }).click()
    await page.getByRole('button', { name: 'Use the steps of this run' }).click()
    await bench.part('Unrolled')
    await page.getByLabel('How the order lies').selectOption('lies round the object in hand')
    await page.getByRole('button', { name: 'Make the sheet as large as the work' }).click()
    await bench.part('One turn')
    await page.getByRole('button', { name: 'Write them for Y, and read them back' }).click()
    await expect(page.getByRole('button', { name: 'Put Y back, and read it again' })).toBeVisible({ timeout: 30_000 })
    await stage(page, 'Work')
    await page.waitForTimeout(2000)
    await dump(bench, 'rotaryMid')
    await machine.burn('Burn the order')
    if (process.env.WALK_FROM === 'rotary') await machine.takeCautions()
    await expect(page.getByText('Burnt: work order')).toHaveCount(2, { timeout: 60_000 })
    await stage(page, 'Rotary')
    await bench.part('One turn')
    await page.getByRole('button', { name: 'Put Y back, and read it again' }).click()
    await expect(page.getByRole('button', { name: 'Write them for Y, and read them back' })).toBeVisible({ timeout: 30_000 })
    await bench.part('Unrolled')
    await page.getByLabel('How the order lies').selectOption({ index: 0 })
  },
  async housing(bench, page) {
    await stage(page, 'Housing')
    const read = { origin: 'measured', plusMinus: '1' } as const
    await type(bench, 'housing.needs.machineX', '520', read)
    await type(bench, 'housing.needs.machineY', '470', read)
    await type(bench, 'housing.needs.machineZ', '250', read)
    await type(bench, 'housing.needs.bedOver', '60', read)
    await page.getByRole('button', { name: 'Fix the sizes as worked' }).click()
    await bench.part('Panels and sheets')
    await page.getByRole('button', { name: 'Compare 9, 12 and 18 mm' }).click()
    await page.getByRole('radio', { name: 'Make the box of sheet 2' }).check()
  },
  async air(bench, page) {
    await stage(page, 'Air')
    await page.getByRole('button', { name: 'A box with an open inlet' }).click()
    const nth = async (suffix: string, n = 0) => { const f = page.locator(`[data-fact^="air."][data-fact$=".${suffix}"][data-place="given"]`).nth(n); await f.waitFor(); return (await f.getAttribute('data-fact')) ?? '' }
    const long = { ...M, plusMinus: '0.01' }
    for (const [n, text] of ['0.8 m', '1.9 m', '0.5 m'].entries()) await type(bench, await nth('length', n), text, long)
    await type(bench, await nth('freeFlow'), '330 m3/h', { ...S, plusMinus: '10' })
    await type(bench, await nth('shutOff'), '320 Pa', { ...S, plusMinus: '20' })
    await bench.part('Box and room')
    await type(bench, 'air.box.gaps', '20 cm2', { ...S, plusMinus: '10' })
    await type(bench, 'air.box.inlet', '240 cm2', { ...M, plusMinus: '5' })
    await bench.choose('air.room.appliance', 'nothing: no stove, boiler, heater or geyser')
    await type(bench, 'air.room.supply', '900 cm2', { ...M, plusMinus: '50' })
  },
  async safety(bench, page) {
    await stage(page, 'Safety')
    await bench.part('The round')
    for (const what of ['the stop button', 'the key']) {
      await page.getByLabel('What was tried').selectOption(what)
      await page.getByLabel('What the beam did').selectOption({ index: 0 })
      await page.getByRole('button', { name: 'Write the try down' }).click()
    }
    await dump(bench, 'safety')
  },
  async log(bench, page) {
    await stage(page, 'Log')
  },
}
test('walk', async ({ bench, page }) => {
  test.setTimeout(900_000)
  page.setDefaultTimeout(20_000)
  await fixDate(page, '2026-11-24T10:30:00')
  const machine = new MachineDriver(page, bench)
  const names = Object.keys(STEPS)
  const from = process.env.WALK_FROM ?? names[0]!
  const i = names.indexOf(from)
  if (i > 0) { await bench.visit(); await bench.openFile('x.bench.zip', readFileSync(`/tmp/walk/${names[i - 1]}.zip`)); await bench.standsOnMotion() }
  for (const n of names.slice(i)) { await STEPS[n]!(bench, page, machine); await dump(bench, n); if (n === process.env.WALK_TO) break }
})
