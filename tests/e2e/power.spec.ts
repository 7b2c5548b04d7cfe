import { readFileSync } from 'node:fs'
import { expect, test } from './driver'

test('a head is wired from nothing: the wrong rail is a stop at its block, a converter and a thicker wire mend it', async ({
  bench,
  page,
}) => {
  await bench.startEmpty('Crake')
  await page.getByRole('link', { name: /Power/ }).click()
  await expect(page.getByText('Nothing is drawn yet.')).toBeVisible()
  const add = async (kind: string): Promise<void> => {
    await page.getByLabel('Kind of block').selectOption(kind)
    await page.getByRole('button', { name: 'Add it' }).click()
  }
  const join = async (from: string, to: string): Promise<void> => {
    await page.getByLabel('Wire from', { exact: true }).selectOption(from)
    await page.getByLabel('Wire to', { exact: true }).selectOption(to)
    await page.getByRole('button', { name: 'Join them' }).click()
  }
  const label = async (block: string, facts: Readonly<Record<string, string>>): Promise<void> => {
    await page.getByLabel('Block that is shown').selectOption(block)
    for (const [key, text] of Object.entries(facts)) {
      const field = page.locator(`[data-fact^="electrical.blocks."][data-fact$=".${key}"]`)
      await bench.enterIn(field, text, { origin: 'stated', plusMinus: '0.05' })
      await expect(page.getByRole('button', { name: 'Enter', exact: true })).toHaveCount(0)
    }
  }
  // A usual wiring to begin from, told apart by what it still wants; taken back, the drawing is empty again.
  await page.getByRole('button', { name: 'Begin with a usual wiring' }).click()
  await expect(page.locator('[data-plate="The wiring"] [data-block]')).toHaveCount(9)
  await expect(page.getByRole('alert')).toHaveCount(0)
  await bench.part('Safety chain')
  await expect(page.locator('[data-chain-row]')).toHaveCount(0)
  await bench.choose('electrical.driver.pullDown', 'is fitted')
  await expect(page.locator('[data-chain-row]')).toHaveCount(4)
  await bench.expectMark('Emergency stop pressed holds through any single fault', 'good')
  await bench.undo()
  await bench.undo()
  await bench.part('Wiring')
  await expect(page.getByText('Nothing is drawn yet.')).toBeVisible()
  await add('Another supply')
  await add('Diode head')
  await expect(page.getByText('Nothing feeds Diode head')).toBeVisible()
  await join('Another supply', 'Diode head')
  await expect(page.getByText('Nothing feeds Diode head')).toHaveCount(0)
  await label('Another supply', { volts: '24', amps: '5' })
  await label('Diode head', { volts: '12', amps: '2.4', least: '11', most: '12.6' })
  await bench.expectMark('Diode head does not have its voltage', 'stop')
  await bench.expectNoAxeFindings()

  // A converter between them; the old wire goes.
  await page.getByRole('button', { name: 'Take the wire Another supply to Diode head away' }).click()
  await add('Converter')
  await join('Another supply', 'Converter')
  await join('Converter', 'Diode head')
  await label('Converter', { volts: '12', amps: '5' })
  await bench.expectMark('Diode head has its voltage', 'good')
  await bench.expectMark('Converter gives enough', 'good')

  // Two sources on one rail are said at the block; undone, they are gone. A block is moved by the keyboard.
  await join('Another supply', 'Diode head')
  await expect(page.getByRole('alert').getByText(/two sources on one rail/)).toBeVisible()
  await bench.undo()
  await expect(page.getByText(/two sources on one rail/)).toHaveCount(0)
  const head = page.locator('[data-block="Diode head"]')
  const before = await head.getAttribute('transform')
  await head.press('ArrowDown')
  await expect(head).not.toHaveAttribute('transform', before ?? '')
  await bench.undo()
  await expect(head).toHaveAttribute('transform', before ?? '')
  await page.getByRole('button', { name: 'Take Converter away, with its wires' }).click()
  await expect(page.getByText('Nothing feeds Diode head')).toBeVisible()
  await bench.undo()
  await bench.saved()
})

test('the demo’s thin lead to its head is found on the drawing, and mended there', async ({ bench, page }) => {
  await bench.openDemo()
  await page.getByRole('link', { name: /Power/ }).click()
  await expect(page.locator('[data-plate="The wiring"] [data-block]')).toHaveCount(14)
  await bench.expectMark(/Much is lost on the way to Diode head/, 'look')
  await page.locator('[data-wire-row="Lid contact to Diode head"] [data-fact$=".gauge"]').click()
  await page.getByRole('dialog').getByRole('button', { name: 'AWG 18', exact: true }).click()
  await bench.expectMark(/Little is lost on the way to Diode head/, 'good')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Wiring list' }).click()
  expect(readFileSync(await (await download).path(), 'utf8')).toContain(
    'Lid contact,Diode head,rail,yellow and black,AWG 18,2600,three-pole plug,',
  )
  const drawn = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Drawing as SVG' }).click()
  const svg = readFileSync(await (await drawn).path(), 'utf8')
  expect(svg).toMatch(/^<\?xml[\s\S]*<svg[\s\S]*Diode head/)
  expect(svg).not.toContain('var(--')
  const painted = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Drawing as PNG' }).click()
  expect(
    readFileSync(await (await painted).path())
      .subarray(1, 4)
      .toString(),
  ).toBe('PNG')
  // The supply of the motors is the fact that Motion reckons with.
  await page.getByLabel('Block that is shown').selectOption('Supply, 24 V')
  await bench.type('motion.motorVoltage', '36', { origin: 'stated', plusMinus: '0.2' }, 'power')
  await bench.expectMark('Motors and drivers does not have its voltage', 'stop')
  await bench.undo()
  await bench.expectMark('Motors and drivers has its voltage', 'good')
})

test('the safety chain is worked from the drawing: every state, every single fault, shown where it is', async ({
  bench,
  page,
}) => {
  await bench.openDemo()
  await bench.openStage('heron', 'power', 'chain')
  const drawing = page.locator('[data-plate="The safety chain"]')
  const row = (moved: string) => page.locator(`[data-chain-row="${moved}"]`)
  await expect(page.locator('[data-chain-row]')).toHaveCount(8)
  await expect(row('')).toContainText('dark until told')
  await expect(drawing).toContainText('can be on')
  await row('Emergency stop').getByRole('button', { name: 'dark' }).click()
  await expect(drawing).not.toContainText('can be on')
  await expect(row('Emergency stop')).toContainText('none')
  await row('Key').getByRole('button', { name: 'Key welded' }).click()
  await expect(drawing).toContainText('can be on')
  await expect(page.getByRole('status').filter({ hasText: 'fault: Key welded' })).toBeVisible()
  await bench.expectMark('Emergency stop pressed holds through any single fault', 'good')
  await bench.expectNoAxeFindings()

  // Without its second contact one welded contact is enough, and the drawing shows which.
  await bench.part('Wiring')
  await page.getByLabel('Block that is shown').selectOption('Stop, second')
  await page.getByRole('button', { name: 'Take Stop, second away, with its wires' }).click()
  await page.getByLabel('Wire from', { exact: true }).selectOption('Controller')
  await page.getByLabel('Wire to', { exact: true }).selectOption('Lid, second')
  await expect(page.getByLabel('Wire carries')).toHaveValue('signal')
  await page.getByRole('button', { name: 'Join them' }).click()
  await bench.part('Safety chain')
  await bench.expectMark('Emergency stop pressed does not hold through a single fault', 'look')
  await row('Emergency stop').getByRole('button', { name: 'Emergency stop welded' }).click()
  await expect(drawing).toContainText('can be on')

  // A contact that closes when it is pressed stands the wrong way round in the lead of the head.
  await bench.part('Wiring')
  await page.getByLabel('Block that is shown').selectOption('Emergency stop')
  await page.getByLabel('What Emergency stop does').selectOption('closes')
  await bench.part('Safety chain')
  await bench.expectMark('Emergency stop pressed: Diode head can still be on', 'stop')
  await expect(row('')).toContainText('never on')
  await bench.undo()
  await bench.undo()
  await bench.undo()
  await bench.expectMark('Emergency stop pressed holds through any single fault', 'good')
})

test('the first power-up: the stand-in’s meter finds the bad plug, and says what would mend it', async ({ bench, page }) => {
  await bench.openDemo()
  await bench.openStage('heron', 'power', 'bringUp')
  const read = (what: string) => page.getByRole('button', { name: `Read ${what} with the stand-in’s meter` }).click()
  await expect(page.locator('[data-bring-up]').first()).toContainText('Mains off, everything unplugged')
  await read('volts at Converter to 12 V')
  await read('volts at Diode head')
  await bench.expectMark(/Much is lost on the way to Diode head, by the readings/, 'look')
  const found = page.locator('[data-bring-up="head-head"]').getByRole('status')
  await expect(found).toContainText(/are lost between Converter to 12 V and Diode head/)
  await expect(found).toContainText(/AWG \d+ or a wire \d+\smm shorter would do/)
  await read('the light')
  await bench.expectMark(/The light agrees with what is worked/, 'good')
  await expect(page.locator('[data-block="Diode head"]')).toContainText('read ')
  // What a person reads is entered the same way, and 4 V less is a stop.
  await page.locator('[data-bring-up="load-pump"] [data-fact$=".reading"]').click()
  await page.getByRole('textbox').first().fill('8')
  await page.getByRole('button', { name: 'Enter', exact: true }).click()
  await bench.expectMark('Air pump was read outside its range', 'stop')
  await bench.undo()
  await bench.saved()
})

test('driver, signal and cooling answer for a linear source and a cooler', async ({ bench, page }) => {
  await bench.openDemo()
  await bench.openStage('heron', 'power', 'driver')
  await bench.expectFigure('Light of one ampere', /1\.26/)
  await bench.choose('electrical.driver.wants', '5 V, CMOS levels')
  await bench.expectMark('The signal does not drive the input for certain', 'stop')
  await bench.choose('electrical.driver.kind', 'a relay')
  await bench.expectMark('A relay gives no grey', 'stop')
  await bench.choose('electrical.driver.kind', 'a linear current source')
  const stated = { origin: 'stated', plusMinus: '0.001' } as const
  for (const [key, value] of [
    ['feed', '12'],
    ['sense', '0.1'],
    ['senseVolts', '0.2'],
    ['senseWatts', '1'],
    ['perWatt', '4.5'],
  ] as const)
    await bench.type(`electrical.driver.${key}`, value, stated)
  // 12 − 4.3 − 0.2 V at 2 A are 15 W through 4.5 K/W on 21 °C: 88.5 °C.
  await bench.expectFigure('Heat in the driver’s transistor', /15\.0/)
  await bench.expectFigure('Junction of the driver’s transistor', /8[89]/)
  await bench.expectMark('The source reaches its current', 'good')
  await bench.type('electrical.driver.feed', '5', stated)
  await bench.expectMark('The source does not reach its current', 'look')

  await bench.part('Signal')
  await page.getByRole('slider', { name: 'Power drawn' }).fill('75')
  await expect(page.getByText('75%')).toBeVisible()
  await bench.type('electrical.driver.filterOhms', '10', { origin: 'stated', plusMinus: '0.1' })
  await bench.type('electrical.driver.filterFarads', '1', { origin: 'stated', plusMinus: '0.01' })
  await bench.expectMark('The filter breaks the signal', 'look')
  await bench.expectFigure('Ripple behind the filter at half power', /0\.500/)
  await bench.choose('electrical.driver.input', 'a steady level')
  await bench.expectMark('The level is smooth', 'good')
  await bench.expectMark('The filter blurs the dots', 'look')

  await bench.part('Cooling')
  await bench.choose('electrical.cooling.kind', 'a thermoelectric cooler on a heat sink')
  await bench.type('electrical.cooling.mostAmps', '6.4', stated)
  await bench.type('electrical.cooling.mostVolts', '14.4', stated)
  await bench.type('electrical.cooling.mostStep', '66', { origin: 'stated', plusMinus: '1' })
  await bench.type('electrical.cooling.amps', '1.5', stated)
  await bench.expectMark(/Water condenses on the cold side/, 'stop')
  await bench.expectNoAxeFindings()
})
