import { setAt } from '../../src/core/bench'
import { heron } from '../../src/data/heron'
import { fixDate } from '../../scripts/fixDate'
import { expect, test, type Driver } from './driver'

/** An empty bench with the travel of both axes entered. */
async function withTravel(bench: Driver, name: string, x: string, y: string): Promise<void> {
  await bench.startEmpty(name)
  await bench.type('motion.axes.x.travel', x, { origin: 'stated' })
  await bench.showAxis('Y')
  await bench.type('motion.axes.y.travel', y, { origin: 'stated' })
  await bench.showAxis('X')
}

test('two turning mirrors from empty: steps in the middle, focus in the corner, a gear for the wanted resolution', async ({
  bench,
  page,
}) => {
  await withTravel(bench, 'Wren', '100', '100')
  await bench.choose('motion.kinematics', 'two turning mirrors')
  await expect(page.locator('[data-plate="The field of the mirrors"] svg')).toBeVisible()
  await bench.type('motion.mirrors.height', '250', { origin: 'measured', plusMinus: '1' })
  await bench.type('motion.mirrors.apart', '0', { origin: 'measured', plusMinus: '0.5' })
  await bench.type('motion.axes.x.fullSteps', '128', { origin: 'stated' })
  await bench.type('motion.axes.x.microsteps', '1/16', { origin: 'stated' })
  await bench.expectFigure('Nominal steps', '0.65') // 2,048 steps on a mirror at 250 mm: 0.652 (handbook value)
  await bench.expectFigure('Focus error in the corner', '9.8') // √(250² + 50² + 50²) − 250
  await bench.expectMark(/corners are out of focus/, 'look')
  await bench.type('motion.mirrors.wantedSteps', '1.5', { origin: 'stated' }) // 1.5 / 0.652 = 2.30; 28/12 is 2.33
  await expect(page.getByText('wheels of 12 and 28 teeth reach it')).toBeVisible()
})

test('crossed belts from empty: their lengths, a slanting run, and what to swap when the head goes the wrong way', async ({
  bench,
  page,
}) => {
  await withTravel(bench, 'Swift', '400', '300')
  await bench.choose('motion.kinematics', 'crossed belts')
  await expect(page.locator('[data-plate="Crossed belts in plan view"] svg')).toBeVisible()
  await bench.type('motion.crossed.motorAside', '0', { origin: 'measured', plusMinus: '0.5' })
  await bench.expectMark(/Belt of the left motor runs parallel/, 'good')
  await bench.type('motion.crossed.motorAside', '12', { origin: 'measured', plusMinus: '0.5' })
  await bench.expectMark(/Belt of the right motor slants/, 'look')
  await page.getByRole('application', { name: /Carriage/ }).press('ArrowUp')
  await expect(page.getByText('left belt 50 %, right belt 50 %')).toBeVisible()
  await expect(page.locator('[data-tight]')).toHaveCount(2)
  await bench.choose('motion.crossed.wentForX', 'back')
  await bench.choose('motion.crossed.wentForY', 'right')
  await expect(page.getByText('reverse the right motor')).toBeVisible()
  await bench.choose('motion.crossed.wentForY', 'front')
  await expect(page.getByText('No wiring explains that')).toBeVisible()
  await bench.expectMark('The head does not go where it is asked', 'stop')
})

test('a gantry and a retrofit from empty: racking, the spindle’s place, rack and geared motor, torque', async ({
  bench,
  page,
}) => {
  await withTravel(bench, 'Dunnock', '300', '200')
  await bench.choose('motion.kinematics', 'a gantry with two motors')
  await bench.part('Square and level')
  await bench.type('motion.racking.left', '41.2', { origin: 'measured', instrument: 'calipers' })
  await bench.type('motion.racking.right', '40.0', { origin: 'measured', instrument: 'calipers' })
  await bench.expectFigure('Gantry out of square', '0.18') // atan(1.2 / 380)
  await bench.expectMark('The gantry racks', 'look')
  await bench.expectFigure('Right end of the gantry, to the back by', '1.20')
  await bench.type('motion.axes.y.motors', '2', { origin: 'stated' }, 'square')
  await bench.choose('motion.axes.y.drivers', 'a driver each')
  await bench.expectFigure('by the right motor alone, steps', '96') // 1.2 mm at 80 steps/mm
  await bench.choose('motion.axes.y.drivers', 'one driver for both, in parallel')
  await expect(page.getByText('One driver turns both motors alike')).toBeVisible()

  // To the back, away from both motors: on each side the belt pulls round its idler, and along X nothing does.
  await bench.part('Machine')
  await page.locator('[data-carriage]').press('ArrowUp')
  await expect(page.locator('[data-tight="y"]')).toHaveCount(2)
  await expect(page.locator('[data-tight="x"]')).toHaveCount(0)
  await bench.choose('motion.kinematics', 'a module on a router or mill')
  await bench.type('motion.retrofit.asideX', '-45', { origin: 'measured', plusMinus: '1' })
  await bench.type('motion.retrofit.asideY', '20', { origin: 'measured', plusMinus: '1' })
  await expect(page.getByText('reached by spindle and beam')).toBeVisible()
  await bench.choose('motion.axes.x.drive', 'rack and pinion')
  await bench.type('motion.axes.x.motorGear', '25792/405', { origin: 'stated' })
  await bench.type('motion.axes.x.fullSteps', '32', { origin: 'stated' })
  await bench.type('motion.axes.x.microsteps', '1', { origin: 'stated' })
  await bench.expectFigure('Travel a turn', '47.1') // π · 1 · 15
  await bench.expectFigure('Nominal steps', '43.2') // 2,037.9 / 47.12

  await bench.part('Drive train')
  await bench.type('motion.axes.x.movingMass', '0.9 kg', { origin: 'measured', plusMinus: '0.02' })
  await expect(page.getByRole('img', { name: 'Torque over speed, X axis' })).toBeVisible()
  await bench.expectFigure('Torque to spare', /%/)
  await bench.expectNoAxeFindings()
})

test('the second demo is a retrofit on screws, its change-over planned', async ({ bench, page }) => {
  await fixDate(page, '2026-11-25T18:30:00')
  await bench.visit()
  await page.getByRole('button', { name: 'Open the retrofit demo' }).click()
  await bench.standsOnMotion()
  await expect(page.getByText('reached by spindle and beam')).toBeVisible()
  await bench.expectFigure('Nominal steps', '400.0') // 200 · 8 / (2 mm · 2)
  await page.getByRole('link', { name: /Plan/ }).click()
  await expect(page.locator('[data-task="Clamp the diode’s head in"]')).toContainText('waits for a task')
  // Its hour and ten minutes are drawn by the hour; dragged by half a sheet, a step is put off to the next day.
  await expect(page.locator('[data-plate="The schedule"]')).toContainText('18:45')
  const bar = page.getByRole('slider', { name: /Switch off, pull the spindle’s plug/ })
  const box = (await bar.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 }
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 + 200, box.y + box.height / 2, { steps: 4 })
  await page.mouse.up()
  await expect(bar).toHaveAttribute('aria-valuetext', '2026-11-26')
})

test('a belt is plucked: the stand-in’s is heard within its ±; a refused microphone and an unread span are said', async ({
  bench,
  page,
}) => {
  await bench.openDemo()
  await expect(page.getByText('stand-in at rest')).toBeVisible()
  await bench.part('Belts by ear')
  await page.getByRole('button', { name: 'Pluck the X belt of the stand-in' }).click()
  const tone = bench.field('motion.axes.x.toneA')
  await expect(tone).not.toContainText('80.1')
  await expect(tone).toContainText(/± \d/)
  await page.evaluate(() => {
    navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('no', 'NotAllowedError'))
  })
  await page.getByRole('button', { name: 'Listen to the X belt' }).click()
  await expect(page.getByText('The microphone was refused')).toBeVisible()
  await bench.undo()
  await expect(tone).toContainText('80.1')
  await bench.expectNoAxeFindings()
})

test('heights over the bed give its range, what shims would leave, and a shim for each foot', async ({ bench, page }) => {
  await bench.put({ bench: setAt(heron().bench, 'motion.heights', {}), records: [], files: [] })
  await bench.openStage('heron', 'motion', 'square')
  await page.getByRole('button', { name: 'Nine places over the bed' }).click()
  const fields = page.locator('[data-fact^="motion.heights."][data-place="list"]')
  await expect(fields).toHaveCount(9)
  for (let i = 0; i < 9; i++) {
    const path = (await fields.nth(i).getAttribute('data-fact')) ?? ''
    // Rising by 1 mm to the right over the grid, the middle 0.2 mm low.
    await bench.type(path, String((i % 3) * 0.5 - (i === 4 ? 0.2 : 0)), { origin: 'measured', plusMinus: '0.02' }, 'list')
  }
  await bench.expectFigure('Bed, highest less lowest', '1.00')
  await bench.expectFigure('Shim, front left foot', '1.1') // 1 mm over the grid is 1.11 mm over the travel
  await bench.expectFigure('Shim, back right foot', '0.000')
  await bench.expectMark(/Bed level\?/, 'not known yet')
  await bench.expectNoAxeFindings()
})
