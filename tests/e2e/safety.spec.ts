import { heron } from '../../src/data/heron'
import { expect, test } from './driver'
import { MachineDriver } from './machineDriver'

test('a place within the reach is a stop until the box is shut; it is moved by key and hand', async ({ bench, page }) => {
  await bench.put(heron())
  await bench.openStage('heron', 'safety', 'reach')
  await bench.expectMark(/nothing above the limit comes to Stool/, 'good')
  await bench.choose('reach.kept', 'the lid is open, or there is no box')
  await bench.choose('reach.beam.surface', 'like a mirror: metal, glass, foil, lacquer')
  await bench.expectMark(/Door lies within the reach/, 'stop')
  // Whoever sits on the stool wears eyewear that passes.
  await bench.expectMark(/nothing above the limit comes to Stool/, 'good')
  await expect(page.getByText('past the walls').first()).toBeVisible()
  await page.locator('[data-drag="reach.places.seat.x"]').press('ArrowRight')
  await expect(bench.field('reach.places.seat.x')).toContainText('1.95')
  await bench.undo()
  await expect(bench.field('reach.places.seat.x')).toContainText('1.9')
  await bench.choose('reach.kept', 'the box is shut')
  await bench.expectMark(/nothing above the limit comes to Door/, 'good')
})

test('a label is taken apart and worn; a round asks for what is open, and a switch that stayed lit is written down', async ({
  bench,
  page,
}) => {
  await bench.put(heron())
  await bench.openStage('heron', 'safety', 'eyewear')
  const given = page.getByRole('list', { name: 'What the label of Came with the head says' })
  await expect(given).toContainText('a seller’s word: it proves nothing')
  const pair = page.getByRole('list', { name: 'Eyewear' }).getByRole('listitem').filter({ has: given })
  await expect(pair).toContainText('density 0 certified, 4 by a seller: not shown')
  await pair.getByRole('button', { name: 'These are worn' }).click()
  await bench.expectMark(/Eyewear not shown to be dense enough/, 'stop')
  // The same label is held against the window: its density is what the box is judged by.
  await pair.getByRole('button', { name: 'This is the window’s' }).click()
  await bench.openStage('heron', 'housing', 'ports')
  await bench.expectMark('The window is not shown to be dense enough', 'stop')
  await bench.undo()
  await bench.expectMark('Density of the window passes', 'good')
  await bench.openStage('heron', 'safety', 'round')
  const round = page.getByRole('region', { name: 'Before the beam is on' })
  await expect(page.getByText('One thing stands against a burn.')).toBeVisible()
  await expect(round.getByRole('listitem').first()).toContainText('Look at the label, or choose another pair')
  await bench.undo()
  await expect(page.getByText('No stop stands against a burn.')).toBeVisible()
  await page.getByLabel('What the beam did').selectOption('it stayed lit')
  await page.getByRole('button', { name: 'Write the try down' }).click()
  await bench.expectMark(/Try the lid’s switch again/, 'look')
  await page.getByRole('button', { name: 'The beam is off: watch from now' }).click()
  await expect(page.getByRole('timer')).toContainText(/^(30:00|29:5\d) to watch/)
})

test('a stop of harm bars the next program, also after the round was taken, until a reason is kept; its links leave the page', async ({
  bench,
  page,
}) => {
  const machine = new MachineDriver(page, bench)
  const dialog = page.getByRole('dialog', { name: 'Before the beam is on' })
  const confirm = dialog.getByRole('button', { name: 'I have checked all of these' })
  const ask = async (): Promise<void> => {
    await machine.go()
    await machine.part('Mark')
    await page.getByRole('button', { name: 'Burn the ramp' }).click()
  }
  await bench.openDemo()
  await ask()
  await machine.takeCautions()
  await expect(page.getByText(/stand-in at rest/)).toBeVisible({ timeout: 60_000 })

  await bench.openStage('heron', 'safety', 'round')
  await bench.choose('round.extinguisher', 'nothing')
  await bench.expectMark('Nothing is at hand against fire', 'stop')
  // A page that was loaded anew would have lost this.
  await page.evaluate(() => Object.assign(window, { stillHere: true }))
  await ask()
  await expect(dialog).toContainText('A stop stands against this step')
  await dialog.getByRole('link', { name: /Put a CO₂ or water mist extinguisher/ }).click()
  await expect(dialog).toHaveCount(0)
  await expect(page.getByText('A program waits for its cautions')).toBeVisible()
  expect(await page.evaluate(() => 'stillHere' in window)).toBe(true)
  await page.getByRole('button', { name: 'Back to it' }).click()
  await page.getByRole('button', { name: 'Burn the ramp' }).click()
  await expect(confirm).toBeDisabled()
  await page.getByLabel('Why it is burnt against a stop').fill('The stand-in burns nothing.')
  await confirm.click()
  await expect(page.getByText(/stand-in at rest/)).toBeVisible({ timeout: 60_000 })
  await bench.openStage('heron', 'log')
  await expect(page.getByText(/Fire can be fought\. The stand-in burns nothing\./).first()).toBeVisible()
})
