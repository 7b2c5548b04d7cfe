import { expect, test } from './driver'

const KEEP = { name: /Keep/ }

test('by hand: depths of cells say the passes for a depth, and what is wanted moves them; too much is refused', async ({
  bench,
  page,
}) => {
  await bench.openDemo()
  await page.goto('/bench/heron/burns/depth')
  await page.getByRole('button', { name: 'Birch plywood', exact: true }).click()
  const depths = [
    ['1-1', '0.05'],
    ['3-1', '0.11'],
    ['6-1', '0.2'],
    ['6-3', '0.12'],
  ] as const
  for (const [cell, depth] of depths) {
    await page.locator(`[data-cell="${cell}"]`).click()
    await page.getByRole('textbox', { name: /^Depth/ }).fill(depth)
    await page.keyboard.press('Enter')
  }
  await bench.type('burns.depthWanted', '0.6')
  await bench.expectFigure('Passes for the wanted depth', /\d/)
  const passes = page.getByRole('region', { name: 'Worked, the depth' }).getByRole('button').first()
  const few = await passes.textContent()
  await bench.type('burns.depthWanted', '1.8')
  await expect(passes).not.toHaveText(few ?? '')
  await page.getByRole('textbox', { name: /^Depth/ }).fill('deep')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('group', { name: /^Cell/ }).getByRole('alert')).toBeVisible()
  await page.getByRole('button', { name: 'Keep the setting for the wanted depth' }).click()
  await expect(page.getByRole('region', { name: 'Kept in the book' })).toContainText('passes')
})

test('by hand: lines through tape, some marked beneath, leave a window; the speed in it is kept', async ({ bench, page }) => {
  await bench.openDemo()
  await page.goto('/bench/heron/burns/mask')
  await page.getByRole('button', { name: 'Seed card', exact: true }).click()
  await expect(page.getByRole('button', KEEP)).toBeVisible()
  await page.getByRole('button', KEEP).click()
  await expect(page.getByRole('alert').filter({ hasText: 'The speed is not known yet' })).toBeVisible()
  const tried = [
    ['90', 'Not cut through'],
    ['60', 'Cut, nothing beneath'],
    ['75', 'Not cut through'],
    ['45', 'Cut, nothing beneath'],
    ['20', 'Cut, and marked beneath'],
    ['28', 'Cut, and marked beneath'],
  ] as const
  for (const [speed, outcome] of tried) {
    await page.getByLabel('Speed of the line, if another').fill(speed)
    await page.getByRole('button', { name: outcome }).click()
    await expect(page.getByLabel('Speed of the line, if another')).toHaveValue('')
  }
  const worked = page.getByRole('region', { name: 'Worked, the mask' })
  await expect(worked).toContainText('mm/s')
  await page.getByRole('button', KEEP).click()
  await expect(page.getByRole('region', { name: 'Kept in the book' })).toContainText('mm/s')
  // A speed that is none is refused, and stays as it was typed.
  await page.getByLabel('Speed of the line, if another').fill('fast')
  await page.getByRole('button', { name: 'Not cut through' }).click()
  await expect(page.getByRole('region', { name: 'The next try of the mask' }).getByRole('alert')).toBeVisible()
  await expect(page.getByLabel('Speed of the line, if another')).toHaveValue('fast')
})

test('by hand: a wedge says how far the dose is from what the board wants, and the speed that gives it', async ({
  bench,
  page,
}) => {
  await bench.openDemo()
  await page.goto('/bench/heron/burns/expose')
  await bench.type('burns.exposure.held', '4')
  await bench.type('burns.exposure.heldWanted', '6')
  const worked = page.getByRole('region', { name: /^Worked/ }).first()
  await expect(worked).toContainText('mm/s')
  const slow = await worked.textContent()
  await bench.type('burns.exposure.held', '8')
  await expect(worked).not.toHaveText(slow ?? '')
  await expect(page.getByRole('img', { name: /8/ }).first()).toBeVisible()
  await bench.undo()
  await expect(worked).toHaveText(slow ?? '')
})

test('heights of the bed, read by hand, draw how much the spot grows where', async ({ bench, page }) => {
  await bench.openDemo()
  await page.goto('/bench/heron/beam/bed')
  await expect(page.getByText('The bed is drawn once its height was read')).toBeVisible()
  await page.getByRole('link', { name: 'Read the heights of the bed' }).click()
  await page.getByRole('button', { name: 'Nine places over the bed' }).click()
  const fields = page.locator('[data-fact^="motion.heights."][data-place="list"]')
  await expect(fields).toHaveCount(9)
  for (let i = 0; i < 9; i++) {
    const path = (await fields.nth(i).getAttribute('data-fact')) ?? ''
    await bench.type(path, String(i % 3), { origin: 'measured', plusMinus: '0.02' }, 'list')
  }
  await bench.saved()
  await page.goto('/bench/heron/beam/bed')
  await expect(page.getByRole('img', { name: /The bed from above: \d+ % of it out of focus/ })).toBeVisible()
})
