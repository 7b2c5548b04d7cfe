import { expect, test } from './driver'
import { MachineDriver } from './machineDriver'

test('a card is designed, burnt, photographed, read and learnt from; its setting is kept, and proved by a second burn', async ({
  bench,
  page,
}) => {
  test.setTimeout(180_000)
  const machine = new MachineDriver(page, bench)
  await bench.openDemo()
  await page.goto('/bench/heron/controller/settings')
  await expect(page.getByText('stand-in at rest')).toBeVisible()
  await page.getByLabel('Its clock runs').selectOption('at once')
  await page.getByRole('navigation', { name: 'Route' }).getByRole('link', { name: /Burns/ }).click()
  await page.getByRole('button', { name: 'Seed card', exact: true }).click()
  await bench.type('burns.toneWanted', '50')
  for (const [label, value] of [
    ['in columns', '4'],
    ['in rows', '3'],
  ] as const) {
    await page.getByLabel(label, { exact: true }).fill(value)
    await page.keyboard.press('Enter')
  }
  await machine.burn('Burn the card')
  await machine.takeCautions()
  await expect(page.getByText('0 of 12 read')).toBeVisible({ timeout: 60_000 })
  const photograph = page.getByRole('button', { name: 'Photograph it with the stand-in’s camera' })
  await photograph.click()
  await expect(page.getByText('12 of 12 read')).toBeVisible({ timeout: 30_000 })
  await bench.expectFigure('Tone that a patch of it comes to', /50/)
  // A file that is no picture takes nothing away.
  await page.getByLabel('Picture of the card').setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: Buffer.from('no') })
  await expect(page.getByText('The file is no picture')).toBeVisible()
  await expect(page.getByText('12 of 12 read')).toBeVisible()
  await page.getByRole('button', { name: 'Keep the setting for the wanted tone' }).click()
  await expect(page.getByText(/comes to 50 L\* at [\d.]+\s*mm\/s/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Design a patch of the setting, to prove it' }).click()
  await machine.burn('Burn the card')
  await expect(page.getByText('0 of 1 read')).toBeVisible({ timeout: 60_000 })
  await photograph.click()
  await expect(page.getByText('1 of 1 read')).toBeVisible({ timeout: 30_000 })
  // What the setting was asked for, within what it said: 50 ± 4 L*.
  const says = (await page.locator('[data-cell="1-1"]').getAttribute('aria-label')) ?? ''
  expect(Math.abs(Number(/tone (\d+)/.exec(says)?.[1]) - 50)).toBeLessThanOrEqual(4)
  await page
    .getByRole('button', { name: /used, came out well/ })
    .first()
    .click()
  await expect(page.getByText('used 1 ×, 1 well')).toBeVisible()
})

test('the same by eye only: cells are looked at, one is corrected, the small card that tells most is designed and seen burnt', async ({
  bench,
  page,
}) => {
  test.setTimeout(180_000)
  const machine = new MachineDriver(page, bench)
  await bench.openDemo()
  await page.goto('/bench/heron/controller/settings')
  await expect(page.getByText('stand-in at rest')).toBeVisible()
  await page.getByLabel('Its clock runs').selectOption('at once')
  await page.getByRole('navigation', { name: 'Route' }).getByRole('link', { name: /Burns/ }).click()
  await page.getByRole('button', { name: 'Cork mat', exact: true }).click()
  for (const label of ['in columns', 'in rows']) {
    await page.getByLabel(label, { exact: true }).fill('3')
    await page.keyboard.press('Enter')
  }
  await machine.burn('Burn the card')
  await machine.takeCautions()
  await expect(page.getByText('0 of 9 read')).toBeVisible({ timeout: 60_000 })
  await page.getByRole('button', { name: 'Look at the stand-in’s card by eye' }).click()
  await expect(page.getByText('9 of 9 read')).toBeVisible({ timeout: 30_000 })
  const cell = page.locator('[data-cell="1-3"]')
  await cell.focus()
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'As bare' }).click()
  await expect(cell).toHaveAttribute('aria-label', /tone 78 L\*/)
  await page.getByLabel('Tone, L*').fill('dark')
  await page.keyboard.press('Enter')
  await expect(
    page.getByRole('group', { name: 'Cell 1/3' }).locator('.findings, [data-finding], [role="alert"]').first(),
  ).toBeVisible()
  await page.getByLabel('Tone, L*').fill('')
  await page.keyboard.press('Enter')
  await expect(page.getByText('8 of 9 read')).toBeVisible()
  await bench.undo()
  await expect(page.getByText('9 of 9 read')).toBeVisible()
  await page.getByRole('button', { name: 'Design the small card that tells most' }).click()
  await expect(page.getByLabel('in columns', { exact: true })).toHaveValue('3')
  await page.getByRole('button', { name: 'See it burnt on the screen' }).click()
  await expect(page.getByText('burnt on the screen: corners')).toBeVisible({ timeout: 60_000 })
})
