import { readFileSync } from 'node:fs'
import { fixDate } from '../../scripts/fixDate'
import { expect, test } from './driver'

test('the demo’s plan says what can be done now; a late parcel moves the end, a ring and a week without time are said', async ({
  bench,
  page,
}) => {
  await fixDate(page, '2026-11-24T18:30:00')
  await bench.openDemo()
  await page.getByRole('link', { name: /Plan/ }).click()
  const finish = page.getByText(/At this pace it is done on/)
  await expect(finish).toContainText('1 of 5 open tasks can be begun now')
  const before = await finish.textContent()
  await bench.part('Parts and cuts')
  await page.getByLabel('Day Certified window sheet, 200 × 150 arrives').fill('2026-12-20')
  await bench.part('Schedule')
  await expect(finish).not.toHaveText(before ?? '')
  await bench.undo()
  await expect(finish).toHaveText(before ?? '')
  const parcel = page.getByRole('slider', { name: /Certified window sheet/ })
  await parcel.press('ArrowRight')
  await expect(parcel).toHaveAttribute('aria-valuetext', '2026-12-03')
  await expect(finish).not.toHaveText(before ?? '')
  await bench.undo()

  // Its first task is put off by a day, then dragged a week on; all that waits for it goes with it.
  const bar = page.getByRole('slider', { name: /Cut the housing’s panels/ })
  await expect(bar).toHaveAttribute('aria-valuetext', '2026-11-25')
  await bar.press('ArrowRight')
  await expect(bar).toHaveAttribute('aria-valuetext', '2026-11-26')
  const [from, to] = [await bar.boundingBox(), await parcel.boundingBox()]
  if (from === null || to === null) throw new Error('the schedule cannot be seen')
  await page.mouse.move(from.x + from.width / 2, from.y + 10)
  await page.mouse.down()
  await page.mouse.move(to.x + to.width / 2, from.y + 10, { steps: 5 })
  await page.mouse.up()
  await expect(bar).toHaveAttribute('aria-valuetext', /2026-12-0[2-3]/)
  await expect(page.locator('[data-task="Cut the housing’s panels"]')).toContainText('put off')
  await expect(finish).not.toHaveText(before ?? '')
  await bench.undo()
  await bench.undo()
  await expect(finish).toHaveText(before ?? '')

  await page.getByRole('button', { name: 'Cut the housing’s panels', exact: true }).click()
  await page.getByLabel('It waits for, one more').selectOption('Set the certified window')
  await expect(page.getByText(/These tasks wait for each other: .*Set the certified window/)).toBeVisible()
  await bench.undo()
  for (const day of ['monday', 'tuesday', 'wednesday', 'thursday', 'saturday', 'sunday']) {
    await page.getByLabel(`${day} from`).fill('')
    await page.getByLabel(`${day} from`).press('Enter')
  }
  await expect(page.getByText(/There is no free time for/)).toBeVisible()
  await bench.expectNoAxeFindings()
})

test('a task is done at the bench with its record, its drying is counted, and the plan leaves as a calendar file', async ({
  bench,
  page,
}) => {
  await fixDate(page, '2026-11-24T18:30:00')
  await bench.openDemo()
  await page.getByRole('link', { name: /Plan/ }).click()
  await bench.part('At the bench')
  const step = page.getByRole('region', { name: 'The step in hand' })
  await expect(step).toContainText('Cut the housing’s panels')
  // No room for its record: that is said, and what was noted stands there when the step is opened again.
  await page.evaluate(() => {
    const store = IDBObjectStore.prototype
    const add = Object.getOwnPropertyDescriptor(store, 'add') as PropertyDescriptor
    Object.assign(window, { makeRoom: () => Object.defineProperty(store, 'add', add) })
    store.add = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
  })
  await step.getByLabel('What you measured or saw').fill('all within 0.4 mm')
  await step.getByRole('button', { name: 'It is done' }).click()
  await expect(page.getByText(/What you noted is kept: open the step again/)).toBeVisible()
  await page.evaluate(() => (window as unknown as { makeRoom: () => void }).makeRoom())
  await page.getByText(/^11 done$/).click()
  await page.getByRole('button', { name: 'Open “Cut the housing’s panels” again' }).click()
  await expect(step.getByLabel('What you measured or saw')).toHaveValue('all within 0.4 mm')
  await expect(page.getByText(/What you noted is kept/)).toHaveCount(0)
  await step.getByRole('button', { name: 'It is done' }).click()
  await expect(step).toContainText('Paint the inside matt black')
  await expect(page.getByRole('region', { name: 'Written down' })).toContainText('all within 0.4 mm')
  await step.getByRole('button', { name: 'It is done' }).click()
  await expect(page.getByText(/Paint the inside matt black: wait until 18:30 on Wed,? 25 Nov/)).toBeVisible()
  await bench.part('Schedule')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Calendar file' }).click()
  expect(readFileSync(await (await download).path(), 'utf8')).toMatch(
    /BEGIN:VEVENT[\s\S]*SUMMARY:Heron: Set the certified window/,
  )
})

test('bars are cut from the machine, parts come and go as CSV, screws from the bag find their joints', async ({
  bench,
  page,
}) => {
  await bench.openDemo()
  await page.getByRole('link', { name: /Plan/ }).click()
  await bench.part('Parts and cuts')
  // Frame 532.4 × 424 outside, bars 20 wide: two sides of 384 and three of 532.4 go into three bars of a metre.
  await expect(page.getByText(/3 bars of 1000\smm, and fewer would not do/)).toBeVisible()
  await bench.type('plan.stock.length', '500', { origin: 'stated' })
  await expect(page.getByText(/is 532.4 mm long, and a bar gives 492.5 mm/).first()).toBeVisible()
  await bench.undo()
  await bench.choose('motion.frame.guides', 'rails with blocks')
  await expect(page.getByText(/2 rails of 1000\smm, and fewer would not do/)).toBeVisible()
  await bench.expectFigure('Rail along X', '512') // 430 + 62.4 and 10 over at each end
  await page.getByRole('button', { name: 'Take what the machine asks for' }).click()
  await expect(page.locator('[data-part^="Rail of 1000"]')).toBeVisible()
  await bench.expectMark('Enough rails or shafts are listed', 'good')
  await page.getByLabel(/How many of Rail of 1000/).fill('1')
  await page.keyboard.press('Enter')
  await bench.expectMark('Too few rails or shafts are listed', 'look')
  // Three belts of 1064.8, 848 and 848 from a roll of 5 m; two metres are too short, three leave 80 mm for each.
  await bench.expectMark('The listed belt reaches', 'good')
  const roll = page.getByLabel('Length of Toothed belt 2 mm, 5 m')
  for (const [length, head, mark] of [
    ['2 m', 'The listed belt does not reach', 'stop'],
    ['3000', 'The listed belt hardly reaches', 'look'],
  ] as const) {
    await roll.fill(length)
    await roll.press('Enter')
    await bench.expectMark(head, mark)
  }
  await bench.part('What is built')
  await page.getByText('Anything of these? They are never burnt').last().click()
  await page.getByLabel('PVC, vinyl and neoprene').last().check()
  await bench.expectMark('Never burn this', 'stop')
  await bench.expectNoAxeFindings()

  await bench.part('Parts and cuts')
  const csv = 'Name;Where;Count;Price;Colour\nKnob;head;2;1,50;red\n;head;1;1;\nSpring;lid;many;1;\n'
  await page.getByLabel('Parts file').setInputFiles({ name: 'parts.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
  await expect(page.locator('[data-part="Knob"]')).toBeVisible()
  await expect(page.getByLabel('Price of Knob')).toHaveValue('1.50')
  await expect(page.getByText('The column “colour” is not known here')).toBeVisible()
  await expect(page.getByText(/Line 3, name/)).toBeVisible()
  await expect(page.getByText(/Line 4, count/)).toBeVisible()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Parts as CSV' }).click()
  expect(readFileSync(await (await download).path(), 'utf8')).toContain('Knob,head,2,needed,1.5,')

  await bench.part('Fasteners')
  const belongs = page.getByRole('list', { name: 'Where the screws belong' })
  await expect(belongs).toContainText('8 of M5 × 10 belong to Frame corners.')
  await expect(belongs).toContainText('2 missing for Motors on their plates.')
  await bench.expectMark('Screws are missing from the bag', 'look')
  await expect(page.getByRole('list', { name: 'What all joints take' })).toContainText('Slot nuts M5, slipped in first8')
  await page.getByLabel('Depth, mm').first().fill('5')
  await page.keyboard.press('Enter')
  await bench.expectMark('A joint has no standard screw', 'look')
  await expect(page.getByText(/The hole is too shallow: M5 wants 5.0 mm/).first()).toBeVisible()
  await bench.type('plan.fits.shaft', '8.00', { origin: 'measured', instrument: 'calipers' })
  await bench.expectFigure('Hole to draw, shaft running', '8.3') // 8 + 0.1 of play + 0.2 that printing takes
  await bench.type('plan.fits.holes', '31.1', { origin: 'measured', instrument: 'calipers' })
  await expect(page.getByRole('list', { name: 'Flanges that look alike' })).toContainText(/frame 17: 31\smm apart/)
  await bench.expectNoAxeFindings()
})

test('an empty bench is set up from what is to be built, with its change-over and the way back', async ({ bench, page }) => {
  await bench.startEmpty('Ouzel')
  await page.getByRole('link', { name: /Plan/ }).click()
  await page.getByRole('link', { name: 'say what is to be built' }).click()
  await page.getByLabel('How it is built').selectOption('onto a machine that is there')
  await page.getByLabel('How it is moved').selectOption('a module on a router or mill')
  await page.getByRole('textbox', { name: 'Width of the largest work' }).fill('none')
  await page.getByRole('textbox', { name: 'What it may cost' }).fill('-3')
  await page.getByRole('button', { name: 'Set the bench up' }).click()
  await expect(page.getByText('Width of the largest work: “none” does not begin with a number')).toBeVisible()
  await expect(page.getByText('What it may cost is accepted from')).toBeVisible()
  await page.getByRole('textbox', { name: 'Width of the largest work' }).fill('25 cm')
  await page.getByRole('textbox', { name: 'Depth of the largest work' }).fill('150')
  await page.getByRole('textbox', { name: 'What it may cost' }).fill('240')
  await page.getByLabel('Round things are turned under the beam').check()
  await bench.expectNoAxeFindings()
  await page.getByRole('button', { name: 'Set the bench up' }).click()
  // It opens on what to do next; the answers stay, and can be given again.
  await expect(page.getByRole('heading', { name: 'What to do next', level: 1 })).toBeVisible()
  await expect(page.getByText('no stop')).toBeVisible()
  await expect(page.getByRole('group', { name: 'Nameplate' })).toContainText(/290.*190/)
  await page.getByRole('navigation', { name: 'Route' }).getByRole('link', { name: /Plan/ }).click()
  await page.getByText('Set the bench up again, from other answers').click()
  await expect(page.getByRole('textbox', { name: 'Width of the largest work' })).toHaveValue('25 cm')
  await bench.part('Schedule')
  await expect(page.locator('[data-task="Take the spindle out"]')).toContainText('waits for a task')
  await page.getByLabel('“Switch off, pull the spindle’s plug” is done').check()
  await expect(page.locator('[data-task="Take the spindle out"]')).toContainText('can be done now')
  await page.getByRole('button', { name: 'Add the way back' }).click()
  await expect(page.locator('[data-task="Put the spindle back in"]')).toContainText('waits for a task')
  await bench.expectMark('Y reaches the largest work', 'good') // 4 cm to spare, of a travel that is guessed

  // A setting that is typed into the machine during the change-over stands on the list of what goes back.
  await page.getByRole('link', { name: /Controller/ }).click()
  await bench.type('controller.axes.x.steps', '400.000')
  await page.getByRole('button', { name: 'X steps: it is typed in' }).click()
  await page.getByRole('link', { name: /Plan/ }).click()
  await bench.part('At the bench')
  const back = page.getByRole('region', { name: 'To put back on the way back' })
  await expect(back).toContainText('X steps')
  await expect(back).toContainText('x/steps = 400.000')

  // Two steps can be taken: what was noted of one is kept while the other is looked at, and what is done can be opened.
  const step = page.getByRole('region', { name: 'The step in hand' })
  await step.getByRole('button', { name: 'It is done' }).click()
  await expect(step).toContainText('Clamp the diode’s head in')
  await step.getByLabel('What you measured or saw').fill('42.0 over the bed')
  await step
    .getByLabel('Add a picture')
    .setInputFiles({ name: 'head.png', mimeType: 'image/png', buffer: readFileSync('docs/screenshots/motion.png') })
  await page.getByRole('button', { name: 'Take “Lay the plate under the work” instead' }).click()
  await expect(step).toContainText('Lay the plate under the work')
  await expect(step.getByLabel('What you measured or saw')).toHaveValue('')
  await page.getByRole('button', { name: 'Take “Clamp the diode’s head in” instead' }).click()
  await expect(step.getByText('head.png')).toBeVisible()
  await step.getByRole('button', { name: 'It is done' }).click()
  await expect(page.getByRole('region', { name: 'Written down' })).toContainText('42.0 over the bed')
  await bench.expectNoAxeFindings()
  await page.getByText(/^3 done$/).click()
  await page.getByRole('button', { name: 'Open “Clamp the diode’s head in” again' }).click()
  await expect(page.getByText(/^2 done$/)).toBeVisible()
})
