import { heron } from '../../src/data/heron'
import { expect, test } from './driver'

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
