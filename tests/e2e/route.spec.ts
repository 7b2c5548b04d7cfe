import { fixDate } from '../../scripts/fixDate'
import { STAGES } from '../../src/screens/stages'
import { expect, test } from './driver'
import { Keyboarder } from './keyboarder'
import { Walker } from './walker'

test('the whole route, from set-up to a first clean burn and a mug: every verdict ends good, or in a look that says why', async ({
  bench,
  page,
}) => {
  test.setTimeout(420_000)
  await fixDate(page, '2026-11-24T10:30:00')
  const walker = new Walker(page, bench)
  await walker.plan()
  await walker.motion()
  await walker.power()
  await walker.controller()
  await walker.beam()
  await walker.burns()
  await walker.work()
  await walker.rotary()
  await walker.housing()
  await walker.air()
  await walker.safety()
  await expect(await walker.log()).toHaveCount(2)
  const judged = await walker.judged()
  expect(judged.length).toBeGreaterThan(90)
  const open = judged.filter((it) => it.mark !== 'good')
  expect(open.filter((it) => it.mark !== 'look').map((it) => it.id)).toEqual([])
  expect(open.map((it) => it.id).sort()).toEqual([
    'air.carries', // a fan that just does
    'air.clearsSoon',
    'calibrate.runSquare', // this machine leans; nobody has a spanner for the stand-in here
    'log.upkeepDone', // one of the usual things was never done yet
    'optics.dotsAlike', // at its top speed only
    'work.evenLines',
  ])
  for (const it of open) expect([it.id, it.why.length > 20, it.leads]).toEqual([it.id, true, true])
  // The tape says the same at every stage.
  for (const stage of STAGES) {
    const link = page.getByRole('navigation', { name: 'Route' }).locator(`a[href*="/${stage.id}"]`)
    await expect(link.getByRole('img').first(), stage.name).toHaveAccessibleName(/^(good|look)/)
  }
})

test('the whole route by keyboard alone: every stage is begun, a program leaves, no field holds the focus', async ({
  bench,
  page,
}) => {
  test.setTimeout(240_000)
  await bench.visit()
  const hand = new Keyboarder(page)
  await hand.write(page.getByLabel('Name of the machine'), 'Siskin')
  await hand.press(page.getByRole('button', { name: 'Start an empty bench' }))
  await hand.press(page.locator('[data-todo] a').first())
  await hand.press(page.getByRole('button', { name: 'Set the bench up' }))
  await expect(page.getByRole('heading', { name: 'What to do next', level: 1 })).toBeVisible()

  await hand.stage('Motion')
  await hand.fact(page.locator('[data-fact="motion.axes.x.pulleyTeeth"][data-place="given"]'), '16')
  await expect(page.locator('[data-fact="motion.axes.x.pulleyTeeth"][data-place="given"]')).toContainText('16')
  await page.keyboard.press('Control+z')
  await expect(page.locator('[data-fact="motion.axes.x.pulleyTeeth"][data-place="given"]')).toContainText('20')

  await hand.stage('Power')
  await hand.press(page.getByRole('button', { name: 'Begin with a usual wiring' }))
  await expect(page.locator('[data-plate="The wiring"] [data-block]')).toHaveCount(9)

  // No program leaves while nobody has said what the beam is.
  await hand.stage('Beam')
  await hand.fact(page.locator('[data-fact="optics.power"][data-place="given"]'), '5.5')
  await hand.fact(page.locator('[data-fact="optics.wavelength"][data-place="given"]'), '455')
  await hand.fact(page.locator('[data-fact="optics.gap"][data-place="given"]'), '31')

  await hand.stage('Controller')
  await hand.press(page.getByRole('button', { name: 'Connect the stand-in' }))
  await expect(page.getByText('at rest').first()).toBeVisible()
  await hand.part('Mark')
  await hand.press(page.getByRole('button', { name: 'Burn the ramp' }))
  const cautions = page.getByRole('dialog', { name: 'Before the beam is on' })
  await expect(cautions).toBeVisible()
  for (const box of await cautions.getByRole('checkbox').all()) await hand.press(box, 'Space')
  const why = page.getByLabel('Why it is burnt against a stop')
  if ((await why.count()) > 0) await hand.write(why, 'On the stand-in, where nothing burns.')
  await hand.press(page.getByRole('button', { name: 'I have checked all of these' }))
  await expect(cautions).toHaveCount(0)
  await expect(page.getByText(/stand-in at rest/)).toBeVisible({ timeout: 60_000 })

  await hand.stage('Burns')
  await hand.write(page.getByLabel('Name of a material'), 'Lime strip')
  await hand.press(page.getByRole('button', { name: 'Put it into the book' }))
  await expect(page.getByRole('button', { name: 'Lime strip', exact: true })).toBeVisible()

  await hand.stage('Work')
  const chooser = page.waitForEvent('filechooser')
  await hand.press(page.getByRole('button', { name: 'Take in artwork' }))
  await (await chooser).setFiles('tests/fixtures/artwork/plant-label.svg')
  await expect(page.getByRole('listitem', { name: 'plant-label', exact: true })).toBeVisible()

  await hand.stage('Rotary')
  await hand.write(page.getByLabel('What is to be turned'), 'Dibber')
  await hand.press(page.getByRole('button', { name: 'Add this object' }))
  await hand.stage('Housing')
  await hand.fact(page.locator('[data-fact="housing.needs.machineX"][data-place="given"]'), '520')
  await hand.stage('Air')
  await hand.press(page.getByRole('button', { name: 'A box with an open inlet' }))
  await hand.stage('Safety')
  await hand.part('Eyewear and labels')
  await hand.press(page.getByRole('button', { name: 'Add a label' }))
  await hand.write(page.getByLabel('Its label, letter by letter'), 'D 315-534 LB7')
  await hand.stage('Log')
  await hand.write(page.getByLabel('What happened, in a line'), 'Begun by keyboard')
  await hand.press(page.getByRole('button', { name: 'Write it down' }))
  await expect(page.getByText('Begun by keyboard').first()).toBeVisible()
  expect(hand.unseen).toEqual([])
})
