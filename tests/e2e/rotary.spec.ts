import { heron } from '../../src/data/heron'
import { plover } from '../../src/data/plover'
import { expect, test } from './driver'
import { MachineDriver } from './machineDriver'

const PLOT = `<svg xmlns="http://www.w3.org/2000/svg" width="24mm" height="60mm" viewBox="0 0 24 60">
<path d="M2 6H22V54H2Z M6 12L18 30L6 48" fill="none" stroke="#1d4e89" stroke-width="0.1"/></svg>`
const artwork = (name: string, text: string) => ({ name, mimeType: 'image/svg+xml', buffer: Buffer.from(text) })

test('a mug is held on a disc from the shelf, set in the place of Y, burnt, and Y is put back as it was', async ({
  bench,
  page,
}) => {
  test.setTimeout(240_000)
  const machine = new MachineDriver(page, bench)
  const demo = heron()
  await bench.put({ ...demo, bench: { ...demo.bench, work: { ...demo.bench.work, pieces: {} } } })
  await bench.openStage('heron', 'controller', 'settings')
  // The demo connects its own stand-in by itself; this is another one.
  await page.getByRole('button', { name: 'Disconnect' }).click()
  await machine.connect(41)

  // The shelf is looked at before anything is cut; what is wanted lies on a sheet.
  await bench.openStage('heron', 'rotary', 'holders')
  await expect(page.locator('[data-holder="fits"]')).toContainText('This one fits “Enamel mug”')
  await expect(page.locator('[data-holder="narrow"]')).toContainText('Loose on “Enamel mug”')
  await bench.expectMark('It goes on Disc for the mugs', 'good')
  await page.getByRole('button', { name: 'Disc for a bore' }).click()
  await expect(page.getByRole('figure')).toContainText('2 parts')
  // A disc that is too wide is stopped where the head would hit it, and comes back by undo.
  await bench.type('rotary.holder.discDiameter', '148')
  await bench.type('rotary.objects.mug.workFrom', '8')
  await bench.openStage('heron', 'rotary', 'height')
  await bench.expectMark('The head may hit the disc or the jaws', 'stop')
  await bench.undo()
  await bench.undo()
  await bench.expectMark('The head clears the disc or the jaws', 'good')

  // The order lies round the mug.
  await bench.part('Unrolled')
  await page.getByLabel('How the order lies').selectOption('lies round the object in hand')
  await page.getByRole('button', { name: 'Make the sheet as large as the work' }).click()
  await bench.openStage('heron', 'work', 'order')
  await page.getByLabel('Artwork file').setInputFiles(artwork('plot.svg', PLOT))
  await page.getByLabel(/What is done with .* of plot/).selectOption('is marked along its lines')
  await bench.expectMark('The machine is not set for the rotary', 'stop')
  await bench.openStage('heron', 'rotary', 'unrolled')
  await expect(page.locator('[data-turning]')).not.toHaveAttribute('data-turning', '0', { timeout: 30_000 })
  await bench.expectMark('The order fits around the object', 'good')
  const turning = page.getByRole('slider', { name: 'Turn Enamel mug' })
  const before = await turning.getAttribute('aria-valuenow')
  await turning.press('ArrowRight')
  await expect(turning).not.toHaveAttribute('aria-valuenow', before ?? '')

  // Settings in, read back; meanwhile it stands on the route; burnt; settings back, with proof.
  await bench.part('One turn')
  await page.getByRole('button', { name: 'Write them for Y, and read them back' }).click()
  await expect(page.getByRole('button', { name: 'Put Y back, and read it again' })).toBeVisible({ timeout: 30_000 })
  await bench.expectMark('The rotary is in the place of Y', 'look')
  await bench.openStage('heron', 'work', 'order')
  await bench.expectMark('Order and machine agree', 'good')
  await machine.burn('Burn the order')
  await machine.takeCautions()
  await expect(page.getByText('Burnt: work order')).toBeVisible({ timeout: 60_000 })
  await bench.openStage('heron', 'rotary', 'run')
  await page.getByRole('button', { name: 'Put Y back, and read it again' }).click()
  await expect(page.getByRole('button', { name: 'Write them for Y, and read them back' })).toBeVisible({ timeout: 30_000 })
  await expect(page.getByText('Y put back after the rotary')).toBeVisible()
  await expect(page.getByText('All of it reads back.').last()).toBeVisible()
})

test('twenty handles go round an indexing plate: it is cut as a part, some stations are burnt, the head waits between', async ({
  bench,
  page,
}) => {
  test.setTimeout(180_000)
  const machine = new MachineDriver(page, bench)
  const demo = plover()
  // Its full power word was read: no share of a guess leaves.
  const fullPower = { ...demo.bench.electrical.fullPower, origin: 'measured', doubt: { kind: 'exact' } } as const
  await bench.put({ ...demo, bench: { ...demo.bench, electrical: { ...demo.bench.electrical, fullPower } } })
  await bench.openStage('plover', 'rotary', 'plate')
  await bench.expectMark('The stations fit on the plate', 'good')
  await bench.expectFigure('From station to station', '18')
  // More than fit are stopped, in the plate and where it would be cut.
  await bench.type('rotary.plate.stations', '24')
  await bench.expectMark('The stations overlap', 'stop')
  await expect(page.getByText('24 stations overlap')).toBeHidden()
  await bench.undo()
  await page.getByLabel('Stations to burn').fill('1-3, 20')
  await page.keyboard.press('Enter')
  await expect(page.getByText('4 of 20 stations: 1, 2, 3, 20.')).toBeVisible({ timeout: 60_000 })
  await page.getByLabel('Stations to burn').fill('21')
  await page.keyboard.press('Enter')
  await expect(page.getByText('“21”: the plate has stations 1 to 20.')).toBeVisible()
  await page.getByLabel('Stations to burn').fill('1-3, 20')
  await page.keyboard.press('Enter')
  const program = await machine.takeProgram(true)
  expect(program.match(/^M0$/gm)).toHaveLength(3)
  expect(program).toContain('Turn to station 20, 342 degrees from station 1')
  // Over a link nothing waits for a hand: one station after the other, each turned to first.
  await bench.openStage('plover', 'controller', 'settings')
  await machine.connect(12)
  await bench.openStage('plover', 'rotary', 'plate')
  await expect(page.getByText('Over a link the machine does not wait for your hand')).toBeVisible({ timeout: 30_000 })
  await page.getByRole('button', { name: 'Begin with station 1' }).click()
  await expect(page.getByText('Turn the plate to station 1 and lock it')).toBeVisible()
  for (const station of [1, 2]) {
    await machine.burn(`Burn station ${station}`)
    await expect(page.getByText('Burnt: stations')).toHaveCount(station, { timeout: 60_000 })
    await page.getByRole('button', { name: `Next: station ${station + 1}` }).click()
  }
})

test('on an empty bench something is named, traced from a picture, measured and held, taken away and back', async ({
  bench,
  page,
}) => {
  await bench.startEmpty('Turner')
  await page
    .getByRole('navigation', { name: 'Route' })
    .getByRole('link', { name: /Rotary/ })
    .click()
  await expect(page.getByText('What is to be turned: a mug, a bottle, a tool handle?')).toBeVisible()
  await page.getByLabel('What is to be turned').fill('Watering rose')
  await page.getByRole('button', { name: 'Add this object' }).click()
  await expect(page.getByText('Watering rose is drawn as soon as')).toBeVisible()
  // A tapered side, drawn here: 400 px long, 120 px wide at one end and 200 px at the other.
  const picture = await page.evaluate(() => {
    const canvas = document.createElement('canvas')
    canvas.width = 560
    canvas.height = 360
    const pen = canvas.getContext('2d')
    if (pen === null) throw new Error('no pen')
    pen.fillStyle = '#eee'
    pen.fillRect(0, 0, 560, 360)
    pen.fillStyle = '#345'
    pen.beginPath()
    pen.moveTo(80, 120)
    pen.lineTo(480, 80)
    pen.lineTo(480, 280)
    pen.lineTo(80, 240)
    pen.fill()
    return canvas.toDataURL('image/png').slice('data:image/png;base64,'.length)
  })
  const file = { name: 'side.png', mimeType: 'image/png', buffer: Buffer.from(picture, 'base64') }
  await page.getByLabel('Side picture').setInputFiles(file)
  await expect(page.getByText('Say first how long it is')).toBeVisible()
  const id = await page.locator('[data-fact^="rotary.objects."]').first().getAttribute('data-fact')
  const at = String(id).split('.').slice(0, 3).join('.')
  await bench.type(`${at}.length`, '100')
  await page.getByLabel('Side picture').setInputFiles(file)
  await expect(page.getByText('Diameters of Watering rose from a side picture')).toBeVisible({ timeout: 30_000 })
  const sizes = await page.locator('[data-place="given"][data-fact$=".diameter"]').allTextContents()
  expect(sizes.map((it) => Math.round(parseFloat(it)))).toEqual([30, 50])
  await bench.type(`${at}.workFrom`, '20', { plusMinus: '0.5' })
  await bench.type(`${at}.workTo`, '80', { plusMinus: '0.5' })
  await bench.type(`${at}.workAround`, '40', { plusMinus: '0.5' })
  await bench.expectMark('The work fits around it', 'good')
  await bench.part('Holding')
  await page.locator('[data-holding="chuck"]').getByRole('button', { name: 'Hold it so' }).click()
  await bench.expectMark('Do the jaws reach it?', 'not known yet')
  // One that is taken away comes back with all that was measured.
  await bench.part('Object')
  await page.getByRole('button', { name: 'Take Watering rose away' }).click()
  await expect(page.getByText('What is to be turned: a mug, a bottle, a tool handle?')).toBeVisible()
  await bench.undo()
  await expect(page.getByLabel('Its name')).toHaveValue('Watering rose')
})
