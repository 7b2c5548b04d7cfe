import { readFileSync } from 'node:fs'
import { strFromU8, unzipSync } from 'fflate'
import { expect, test, type Driver } from './driver'

/** What a person types to come from the empty start to a machine like Heron. */
async function enterHeron(bench: Driver): Promise<void> {
  for (const [axis, travel] of [
    ['x', '430'],
    ['y', '310'],
  ] as const) {
    await bench.showAxis(axis.toUpperCase())
    const at = (key: string): string => `motion.axes.${axis}.${key}`
    await bench.chooseDrive(axis, 'belt')
    await bench.type(at('travel'), travel, { origin: 'measured', instrument: 'rule' })
    await bench.type(at('motors'), axis === 'x' ? '1' : '2', { origin: 'stated' })
    await bench.type(at('fullSteps'), '200', { origin: 'stated' })
    await bench.type(at('microsteps'), '1/16', { origin: 'stated' })
    await bench.type(at('pulleyTeeth'), '20', { origin: 'stated' })
    await bench.type(at('beltPitch'), '2 ± 0,004 mm', { origin: 'stated' })
  }
  await bench.type('motion.maxStepRate', '30 kHz', { origin: 'stated', plusMinus: '1' })
  await bench.type('motion.wantedSpeed', '200', { origin: 'stated' })
  await bench.type('motion.corners.width', '400.0', { origin: 'measured', instrument: 'rule' })
  await bench.type('motion.corners.depth', '300.0', { origin: 'measured', instrument: 'rule' })
  await bench.type('motion.corners.fromOrigin', '500.3', { origin: 'measured', instrument: 'rule' })
  await bench.type('motion.corners.across', '499.7', { origin: 'measured', instrument: 'rule' })
  await bench.part('Machine')
  await bench.inCell('spot', async () => {
    await bench.type('optics.spotX', '80 µm', { origin: 'measured', plusMinus: '5' }, 'nameplate')
    await bench.type('optics.spotY', '0.11', { origin: 'measured', plusMinus: '0.01' }, 'nameplate')
  })
  await bench.inCell('beam', async () => {
    await bench.type('optics.power', '5.5', { origin: 'stated', plusMinus: '0.1' }, 'nameplate')
    await bench.type('optics.wavelength', '455', { origin: 'stated', plusMinus: '1' }, 'nameplate')
  })
}

test('from the empty start to a machine like Heron, undone, redone, closed, reopened, exported, deleted, imported', async ({
  bench,
  page,
}) => {
  test.setTimeout(120_000)
  await bench.startEmpty('Gate')
  await expect(page.getByText('Not to scale yet')).toBeVisible()
  await bench.expectMark(/steps fine enough\?/, 'not known yet')
  await enterHeron(bench)
  await bench.showAxis('X')
  await bench.expectFigure('Nominal steps', '80.00')
  await bench.expectFigure('Top speed by step rate', '375')
  await bench.expectMark(/X steps are fine enough/, 'good')
  await bench.expectMark(/Y is fast enough/, 'good')
  await expect(page.getByText('OD 5.1')).toBeVisible() // 5.06 at 100 s, handbook value for 5.5 W at 455 nm

  await bench.type('motion.axes.x.pulleyTeeth', '16')
  await bench.expectFigure('Nominal steps', '100.00')
  await bench.undo()
  await bench.expectFigure('Nominal steps', '80.00')
  await bench.redo()
  await bench.expectFigure('Nominal steps', '100.00')
  await bench.undo()
  await bench.saved()

  await bench.openFromList('Gate')
  await bench.expectFigure('Nominal steps', '80.00')
  const before = await bench.exportBench()
  await bench.deleteFromList('Gate')
  await bench.openFile('gate.bench.zip', before)
  await bench.standsOnMotion()
  const after = await bench.exportBench()
  const read = (bytes: Buffer): string => strFromU8(unzipSync(bytes)['bench.json']!)
  expect(read(after)).toBe(read(before))
})

test('what cannot be entered keeps what was there, says what to do, and is not lost', async ({ bench, page }) => {
  await bench.openDemo()
  const field = 'motion.frame.barWidth'
  const refused = async (text: string, says: RegExp): Promise<void> => {
    await bench.attempt(field, text)
    await expect(page.getByRole('alert').filter({ hasText: says })).toBeVisible()
    await expect(page.getByLabel('Width of the frame bars', { exact: true })).toHaveValue(text)
    await bench.abandon()
    await expect(bench.field(field)).toContainText('20 mm')
  }
  await refused('12 furlong', /not a unit known here.*Use mm, cm, m/)
  await refused('5 mm/s', /unit of speed, and this is a length/)
  await refused('4000', /accepted from 1\smm to 300\smm/)
  await refused('wide', /does not begin with a number/)
  await bench.attempt(field, '1,2,3')
  await page.mouse.click(1100, 64)
  await expect(bench.field(field)).toContainText('“1,2,3” not accepted')
  await bench.field(field).click()
  await expect(page.getByLabel('Width of the frame bars', { exact: true })).toHaveValue('1,2,3')
  await bench.abandon()
  await bench.type(field, '3/4 in')
  await expect(bench.field(field)).toContainText('3/4 in')
})

test('a straddling verdict names what to measure, and the measurement decides it', async ({ bench }) => {
  await bench.openDemo()
  await bench.expectMark(/Square\?/, 'not known yet')
  await expect(bench.verdict(/Square\?/)).toContainText('with the steel rule and lens: that decides')
  await bench
    .verdict(/Square\?/)
    .getByRole('link', { name: 'the diagonal through the origin' })
    .click()
  await bench.abandon()
  await bench.type('motion.corners.fromOrigin', '500.32', { origin: 'measured', instrument: 'rule' })
  await bench.type('motion.corners.across', '499.74', { origin: 'measured', instrument: 'rule' })
  await bench.expectMark(/Square enough/, 'good')
})

test('a changed pulley names what it spoilt, in order; changing it back makes it fresh', async ({ bench, page }) => {
  await bench.openDemo()
  await bench.openWorking('Nominal steps')
  await expect(page.getByText('Rests on, and how far each blurs it')).toBeVisible()
  await expect(page.locator('.katex').first()).toBeVisible()
  await page.getByRole('button', { name: 'Write down that you used this value' }).click()
  await page.getByPlaceholder('typed into the controller').fill('Belt clamps printed')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText('Belt clamps printed')).toBeVisible()

  await bench.type('motion.axes.x.pulleyTeeth', '16')
  const again = page.getByRole('region', { name: 'To do again' })
  await expect(again.getByRole('listitem')).toContainText([
    'Belt clamps printed',
    'Program handed out: scale run',
    'Scale run applied to X',
    'X steps: 80.000 → 80.416',
  ])
  await expect(again).toContainText('80 steps/mm then, 100 steps/mm now')
  await bench.undo()
  // What is left is the demo's own: a cutting speed that was kept before the last tries.
  await expect(again.getByRole('listitem')).toHaveCount(1)
  await expect(again).toContainText('Birch plywood')
  await page.reload()
  await expect(page.getByText('Belt clamps printed')).toBeVisible()
})

test('a dragged dimension moves the machine, is one undo step, and Escape leaves it', async ({ bench, page }) => {
  await bench.openDemo()
  const travel = bench.field('motion.axes.x.travel', 'plate')
  const scale = await bench.scale()
  await bench.dragDimension('motion.axes.x.travel', -80 * scale, 0)
  await expect(travel).toContainText('350 mm')
  await bench.expectFigure('Frame, outside width', '452.4')
  expect(await bench.scale()).toBe(scale)
  await bench.letGo()
  await expect(travel).toContainText('350 mm')
  await bench.undo()
  await expect(travel).toContainText('430 ± 0.50 mm')
  await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeDisabled()
  await bench.dragDimension('motion.axes.y.travel', 0, -30)
  await page.keyboard.press('Escape')
  await bench.letGo()
  await expect(bench.field('motion.axes.y.travel', 'plate')).toContainText('310 ± 0.50 mm')
  await page.locator('[data-carriage]').focus()
  await page.keyboard.press('ArrowLeft')
  await expect(page.locator('[data-carriage]')).toHaveAttribute('data-carriage', '248.00,139.50')
})

test('an axis is driven by a screw, a Z axis comes and goes, figures convert to inches', async ({ bench, page }) => {
  await bench.openDemo()
  await bench.chooseDrive('x', 'screw')
  await bench.type('motion.axes.x.screwPitch', '2', { origin: 'stated', plusMinus: '0' })
  await bench.type('motion.axes.x.screwStarts', '2', { origin: 'stated' })
  await bench.expectFigure('Nominal steps', '800')
  await bench.expectMark(/X runs out of steps/, 'stop')
  await expect(page.getByText('2 stops')).toBeVisible() // of X the speed, and the steps in the machine; a wrong size can be burnt
  await bench.chooseDrive('x', 'belt through a reduction')
  await bench.expectFigure('Nominal steps', '160')
  await page.getByRole('button', { name: 'Add a Z axis' }).click()
  await expect(page.getByRole('region', { name: 'Given, Z axis' })).toBeVisible()
  await bench.palette('Show figures in inches')
  await bench.showAxis('Y')
  await bench.expectFigure('Nominal steps', /2\s?032/) // 80 × 25.4
  await expect(bench.field('motion.axes.y.travel')).toContainText('310') // facts keep what was typed
  await page.getByRole('button', { name: 'Remove Z' }).click()
  await expect(page.getByRole('button', { name: 'Z axis', exact: true })).toHaveCount(0)
})

test('files that are broken, foreign or newer are refused with words, and an old one is migrated', async ({ bench, page }) => {
  await bench.visit()
  const says = async (name: string, content: string | Buffer, words: RegExp): Promise<void> => {
    await bench.openFile(name, Buffer.from(content))
    await expect(page.getByRole('alert').filter({ hasText: words })).toBeVisible()
  }
  await says('torn.bench.zip', Buffer.from([0x50, 0x4b, 3, 4, 9, 9]), /damaged ZIP/)
  await says('letter.json', '{"to":"the committee"}', /not a Fine Kerf bench file/)
  await says('notes.txt', 'buy belts', /cannot be read as a bench/)
  await says('later.json', '{"kind":"fine-kerf.bench","version":99}', /newer Fine Kerf.*left untouched/)
  await says('half.json', '{"kind":"fine-kerf.bench","version":1,"name":"Half"}', /Nothing was changed/)
  await expect(page.getByText('Nothing yet')).toBeVisible()
  await bench.openFile('old.json', readFileSync('tests/fixtures/bench-v0.json'))
  await bench.standsOnMotion()
  await bench.expectFigure('Nominal steps', '80.00')
})

test('a file is opened by dropping it on the window, beside the bench it came from', async ({ bench, page }) => {
  await bench.openDemo()
  const bytes = await bench.exportBench()
  await bench.dropFile('heron.bench.zip', bytes)
  await expect(page.getByText('Heron (from file)')).toBeVisible()
  await expect(page.getByText('opened as a copy')).toBeVisible()
})
