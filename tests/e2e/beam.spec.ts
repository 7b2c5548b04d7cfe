import { expect, test } from './driver'
import { MachineDriver } from './machineDriver'

test('focus is found by a ramp on the stand-in: read, followed, and the material judged by it', async ({ bench, page }) => {
  test.setTimeout(120_000)
  const machine = new MachineDriver(page, bench)
  await bench.openDemo()
  await page.goto('/bench/heron/controller/focus')
  await page.getByLabel('Its clock runs').selectOption('at once')
  await page.getByRole('button', { name: 'The next one' }).click()
  await machine.burn('Burn the pattern')
  await machine.takeCautions()
  await page.getByRole('button', { name: 'Read it with the stand-in’s instruments' }).click()
  await expect(page.getByText('57 of 57 read')).toBeVisible({ timeout: 30_000 })
  await page.getByRole('navigation', { name: 'Route' }).getByRole('link', { name: /Beam/ }).click()
  const second = page.locator('[data-ramp]').nth(1)
  await second.getByRole('button', { name: 'Follow this ramp' }).click()
  await expect(second.getByText('the beam follows it')).toBeVisible()
  await expect(page.getByText('Focus by ramp 2')).toBeVisible()
  await expect(page.getByText('The material is in focus')).toBeVisible()
  // A head that hangs elsewhere is out of focus; one undo puts it back.
  const before = await bench.field('optics.gap').textContent()
  await bench.type('optics.gap', '33')
  await expect(page.getByText('The material is out of focus')).toBeVisible({ timeout: 30_000 })
  await page.keyboard.press('Control+z')
  await expect(bench.field('optics.gap')).toHaveText(before ?? '')
})

test('focus is set by a touch plate: its thickness, where the feeler stands, the way to go from the touch', async ({
  bench,
  page,
}) => {
  await bench.openDemo()
  await page.goto('/bench/heron/beam/focus')
  // A plate of 10 mm; the feeler stands 2 mm beneath the head; focus of the demo lies 28.7 mm beneath it.
  await bench.type('optics.plate', '10', { origin: 'stated' })
  await bench.type('optics.feeler', '2', { origin: 'stated' })
  const before = await bench.figure('From the touch down to focus').textContent()
  await expect(bench.figure('From the touch down to focus')).toContainText('mm')
  await bench.type('optics.feeler', '3', { origin: 'stated' })
  await expect(bench.figure('From the touch down to focus')).not.toHaveText(before ?? '')
})

test('a material is put into the book, tried until its limit is known, its speed kept; what is never burnt is not tried', async ({
  bench,
  page,
}) => {
  test.setTimeout(120_000)
  const machine = new MachineDriver(page, bench)
  await bench.openDemo()
  await page.goto('/bench/heron/controller/settings')
  await page.getByLabel('Its clock runs').selectOption('at once')
  await page.getByRole('navigation', { name: 'Route' }).getByRole('link', { name: /Burns/ }).click()
  await bench.part('Cut through')
  await page.getByLabel('Name of a material').fill('Alder plate')
  await page.getByRole('button', { name: 'Put it into the book' }).click()
  await page.getByLabel('What it is').selectOption('vinyl')
  await expect(page.getByText('Never burn this.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Burn this line' })).toHaveCount(0)
  await page.getByLabel('What it is').selectOption('wood')
  const seen = page.getByText(/On the stand-in’s sheet it (came through|did not come through)\./)
  const outcomes = new Set<boolean>()
  for (let turn = 0; turn < 6; turn++) {
    await machine.burn('Burn this line')
    if (turn === 0) await machine.takeCautions()
    const isThrough = (await seen.textContent({ timeout: 20_000 }))?.includes('it came through') === true
    outcomes.add(isThrough)
    await page.getByRole('button', { name: isThrough ? 'It came through' : 'It did not', exact: true }).click()
    await expect(seen).toHaveCount(0)
    await expect(page.getByRole('button', { name: `Take try ${turn + 1} away` })).toBeVisible()
  }
  expect(outcomes.size).toBe(2)
  await page.getByRole('button', { name: 'Keep the speed that cuts 95 of 100' }).click()
  await expect(page.getByText('learnt from tries')).toBeVisible()
  await expect(page.getByText(/Alder plate is cut at [\d.]+\s*mm\/s/).first()).toBeVisible()
  await page.getByLabel('Speed of the line, if another').fill('fast')
  await page.getByRole('button', { name: 'It did not', exact: true }).click()
  await expect(page.getByRole('alert').or(page.locator('[data-finding], .findings')).first()).toBeVisible()
})
