import { readFileSync } from 'node:fs'
import { PLAIN_CARD, writeProgram } from '../../src/core/gcode'
import { readingDefs, reachOf, type ReadingDef } from '../../src/core/calibrate'
import { drawHidden } from '../../src/core/workshop'
import { HandMachine, HERON_SPEC } from '../handMachine'
import { expect, test } from './driver'
import { MachineDriver } from './machineDriver'

/** How far the machine's real size may end from the ideal: 0.05 %, or what the page itself states. */
const WITHIN = 0.0005

for (const number of [41, 20_771]) {
  test(`the stand-in ${number} is commissioned over the link, and a second run proves it`, async ({ bench, page }) => {
    test.setTimeout(120_000)
    const machine = new MachineDriver(page, bench)
    await machine.startLikeHeron('Plot')
    await machine.connect(number)
    // The machine has the nominal steps of a guessed drive train: that proves nothing yet.
    await bench.expectMark('X steps agree?', 'not known yet')
    await machine.commission()
    await bench.expectMark('X burns to size', 'good')
    await bench.expectMark('Y burns to size', 'good')
    await expect(page.locator('[data-closing]')).toContainText(/X is now \d+\.\d+.*steps\/mm; work was .*; repeat after/)

    const { mmPerStep } = drawHidden(number, HERON_SPEC)
    for (const axis of ['x', 'y'] as const) {
      const stated = await machine.statedShare(axis.toUpperCase())
      const error = (await machine.inMachine(`axes.${axis}.steps`)) * mmPerStep[axis] - 1
      expect(Math.abs(error), axis).toBeLessThanOrEqual(Math.max(WITHIN, stated))
    }
  })
}

test('a machine is commissioned by hand: settings pasted, programs taken as files, readings and settings typed', async ({
  bench,
  page,
}) => {
  test.setTimeout(120_000)
  const hand = new HandMachine(3307)
  const machine = new MachineDriver(page, bench)
  await machine.startLikeHeron('Plot')
  const listing = Object.entries(hand.machine.settings).map(([key, text]) => `${key} = ${text}   ; as it came`)
  await page.getByLabel(/asked for its settings/).fill(listing.join('\n'))
  await page.getByRole('button', { name: 'Read it' }).click()
  await expect(page.getByText('11 lines, 11 of them settings of this bench.')).toBeVisible()
  await page.getByRole('button', { name: 'Take these 11 settings' }).click()

  await machine.part('Mark')
  hand.run(await machine.takeProgram(true))
  await machine.takeLine(hand.machine.marks.findIndex((it) => it !== null) + 2)
  await machine.part('Scale run')

  const readRun = async (): Promise<void> => {
    hand.ask('sheet')
    expect(hand.run(await machine.takeProgram(false))).toEqual({ kind: 'ended' })
    const shape = {
      origin: { x: 12, y: 12 },
      ticks: { x: { short: 15, middle: 80, long: 144 }, y: { short: 15, middle: 80, long: 144 } },
      repeats: 2,
      corner: { x: 101, y: 101 },
    }
    const typed = readingDefs(shape).map((def: ReadingDef) =>
      hand.read({ from: def.from, to: def.to, over: def.edges === 'over' }).toFixed(2),
    )
    expect(reachOf(shape).maxX).toBeLessThan(430)
    await machine.typeReadings(typed)
  }
  await readRun()
  await machine.apply('X')
  await machine.apply('Y')
  await machine.part('Settings')
  for (const axis of ['x', 'y'] as const) {
    const line = await machine.row(`axes.${axis}.steps`).locator('[data-line]').textContent()
    const [key = '', value = ''] = (line ?? '').split(' = ')
    expect(hand.ask(`set ${key} ${value}`)).toMatchObject({ kind: 'yes' })
    await page.getByRole('button', { name: `${axis.toUpperCase()} steps: it is typed in` }).click()
    await bench.expectMark(`${axis.toUpperCase()} steps agree`, 'good')
  }
  await machine.part('Scale run')
  await page.getByRole('button', { name: 'The next run' }).click()
  await readRun()
  await bench.expectMark('X burns to size', 'good')
  for (const axis of ['x', 'y'] as const) {
    const stated = await machine.statedShare(axis.toUpperCase())
    expect(Math.abs(hand.sizeError(axis)), axis).toBeLessThanOrEqual(Math.max(WITHIN, stated))
  }
})

test('no program leaves before the cautions are taken; an output card without beam off is refused', async ({ bench, page }) => {
  const machine = new MachineDriver(page, bench)
  await bench.openDemo()
  await machine.go()
  await machine.part('Mark')
  await page.getByRole('button', { name: 'Burn the ramp' }).click()
  const dialog = page.getByRole('dialog', { name: 'Before the beam is on' })
  await expect(dialog).toContainText('optical density of at least 5.2')
  await expect(dialog.getByRole('button', { name: 'I have checked all of these' })).toBeDisabled()
  await bench.expectNoAxeFindings()
  await dialog.getByRole('button', { name: 'Not now' }).click()
  await expect(page.getByText('as it will be burnt')).toBeVisible()
  await expect(page.getByText(/Beam off, stand-in at rest/)).toBeVisible()

  await page.getByText(/How the program is said/).click()
  await page.getByLabel('Beam off', { exact: true }).fill('')
  await page.getByLabel('Beam off', { exact: true }).blur()
  await expect(page.getByText(/does not say how to turn the beam off/).first()).toBeVisible()
  await expect(page.getByRole('button', { name: 'Get the program' })).toBeDisabled()
  await bench.undo()
  await expect(page.getByRole('button', { name: 'Get the program' })).toBeEnabled()
  expect(writeProgram([], { ...PLAIN_CARD, beamOff: '' }).ok).toBe(false)
})

test('a burn is stopped in the middle: the beam goes off at once, and what was burnt stays', async ({ bench, page }) => {
  const machine = new MachineDriver(page, bench)
  await bench.openDemo()
  await machine.go()
  await expect(page.getByText(/Beam off, stand-in at rest/)).toBeVisible()
  await page.getByLabel('Its clock runs').selectOption('as a real one')
  await machine.part('Mark')
  await machine.burn('Burn the ramp')
  await machine.takeCautions()
  await expect(page.locator('[data-beam="on"]')).toContainText(/Beam on, \d/)
  await page.keyboard.press('Control+.')
  await expect(page.locator('[data-beam="off"]')).toContainText('stand-in at rest')
  await expect(page.getByRole('button', { name: 'Burn the ramp' })).toBeEnabled()
})

test('a machine that goes silent, resets, garbles or refuses is named, the beam told to go off first, nothing lost', async ({
  bench,
  page,
}) => {
  test.setTimeout(120_000)
  const machine = new MachineDriver(page, bench)
  await machine.startLikeHeron('Plot')
  const faults = [
    ['stops answering', /did not answer .* The beam was told to go off/, true],
    ['starts anew in the middle', /started anew in the middle/, true],
    ['says a garbled line', /none of its words/, true],
    ['refuses once', /The machine refused it: not now/, false],
  ] as const
  for (const [i, [fault, says, stops]] of faults.entries()) {
    await machine.part('Settings')
    await machine.connect(5, { fault })
    await machine.part('Mark')
    await machine.burn('Burn the ramp')
    if (i === 0) await machine.takeCautions()
    await expect(page.getByText(says).first()).toBeVisible()
    if (stops) {
      await page.getByText('What was said on the link').click()
      await expect(page.getByRole('region', { name: 'What was said on the link' })).toContainText(/→ stop/)
    }
    await page.getByRole('button', { name: stops ? 'Let go of it' : 'Disconnect' }).click()
    await expect(page.getByText('No link. Work by hand')).toBeVisible()
  }
  await machine.part('Settings')
  expect(await machine.inMachine('axes.x.steps')).toBe(80)
})

test('a machine that falls silent while it burns: stop until confirmed, the person told, nothing left behind', async ({
  bench,
  page,
}) => {
  const machine = new MachineDriver(page, bench)
  await bench.openDemo()
  await machine.go()
  await page.getByRole('button', { name: 'Disconnect' }).click()
  await machine.connect(41, { rate: 'as a real one', fault: 'falls silent while it burns' })
  await machine.part('Mark')
  await machine.burn('Burn the ramp')
  await machine.takeCautions()
  const bar = page.getByRole('alert').filter({ hasText: 'has not confirmed that it stopped. Cut its supply now.' })
  await expect(bar).toBeVisible()
  await expect(page.locator('[data-beam]')).not.toContainText('Beam off')
  await bench.expectNoAxeFindings()
  // Nobody leaves a machine that may be burning: it is asked, stopped, and stays in sight where that is not confirmed.
  await page.getByRole('link', { name: 'Fine Kerf, all benches' }).click()
  await page.getByRole('button', { name: 'Stop it and leave' }).click()
  await expect(page).toHaveURL(/\/controller/)
  await expect(bar).toBeVisible()
  await page.getByRole('button', { name: 'I have cut the supply: the beam is off' }).click()
  await expect(bar).toHaveCount(0)
  await expect(page.locator('[data-beam="off"]')).toContainText('stand-in at fault')
  await expect(page.getByRole('region', { name: 'Written down' })).toContainText(/Lost at \d+ % or later: faint ramp/)
  await page.getByRole('link', { name: 'Fine Kerf, all benches' }).click()
  await expect(page.getByRole('button', { name: 'Open the demo bench' })).toBeVisible()
})

test('readings that cannot be are said, kept as typed, and the others stay', async ({ bench, page }) => {
  const machine = new MachineDriver(page, bench)
  await bench.openDemo()
  await machine.go()
  await machine.part('Scale run')
  const first = page.locator('[data-reading="x-like-long-1"]')
  const attempt = async (text: string, says: RegExp): Promise<void> => {
    await first.locator('input').fill(text)
    await first.locator('input').blur()
    await expect(first).toContainText(says)
    await expect(first.locator('input')).toHaveValue(text)
  }
  await attempt('-3', /accepted from 0.01\smm/)
  await attempt('1432.4', /instrument reads 0\smm to 150\smm/)
  await attempt('about 143', /does not begin with a number/)
  await attempt('14,93 cm', /^X0 to X3/)
  await bench.expectFigure('X moved for 1 mm', /1\.0/)
  await bench.undo()
  await bench.expectFigure('X moved for 1 mm', '0.99483')
  await bench.expectNoAxeFindings()
})

test('lists of settings are kept: what changed between two is shown, and the machine put back to the earlier', async ({
  bench,
  page,
}) => {
  await bench.openDemo()
  await bench.openStage('heron', 'controller', 'settings')
  await page.getByRole('button', { name: 'Read the settings' }).click()
  const lists = page.getByRole('region', { name: 'The machine’s lists, as they were taken' })
  await expect(lists.getByRole('button', { name: 'Its list, by the bench' })).toBeVisible()
  await bench.type('electrical.fullPower', '255', { origin: 'stated' })
  await expect(lists.getByRole('status')).toContainText('changed: Full power word')
  const saved = page.waitForEvent('download')
  await lists.getByRole('button', { name: 'Its list, by the bench' }).click()
  expect(readFileSync(await (await saved).path(), 'utf8')).toMatch(/^beam\/full = 255$/m)
  await page.getByRole('button', { name: /^Write (the one that differs|all \d+ that differ)/ }).click()
  await page.getByRole('button', { name: /^Write (it|them)$/ }).click()
  const changes = lists.getByRole('list', { name: 'What changed between the lists' })
  await expect(changes).toContainText('beam/full1000 → 255')
  await bench.expectNoAxeFindings()
  await lists.getByRole('button', { name: 'Put the machine back to it …' }).click()
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(page.getByText(/^Settings put back to the list of/)).toBeVisible()
  // Taken as a third list: the first and the third are alike in it.
  await lists.getByLabel('Earlier list').selectOption({ index: 2 })
  await expect(lists.getByText('Nothing changed between them.')).toBeVisible()
})

test('the power curve is read with the stand-in’s meter: where the light begins, how straight, what to command', async ({
  bench,
  page,
}) => {
  await bench.openDemo()
  await bench.openStage('heron', 'controller', 'curve')
  await page.getByRole('button', { name: 'Begin with the usual powers' }).click()
  for (const percent of [0, 5, 10, 20, 40, 60, 80, 100]) {
    await page.getByRole('button', { name: `Read ${percent}% with the stand-in’s meter` }).click()
    await expect(page.locator('li', { hasText: new RegExp(`^${percent}%`) }).locator('[data-fact$=".light"]')).not.toContainText(
      'enter',
    )
  }
  await bench.expectMark('Dark at 0 %, by the meter', 'good')
  await bench.expectFigure('For 50% of the light', /5\d\.\d/)
  await page.getByLabel('Another power, %').fill('120')
  await page.getByRole('button', { name: 'Add this power' }).click()
  await expect(page.getByText('Type a power from 0 to 100 %.')).toBeVisible()
  await bench.expectNoAxeFindings()
  await bench.undo()
  await bench.saved()
})
