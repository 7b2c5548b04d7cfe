import { readFileSync } from 'node:fs'
import { heron } from '../../src/data/heron'
import { plover } from '../../src/data/plover'
import { expect, test } from './driver'

test('from an empty bench: what must go in makes the box, sheets are compared, all of it goes onto the plan', async ({
  bench,
  page,
}) => {
  await bench.startEmpty('Shed')
  await page
    .getByRole('navigation', { name: 'Route' })
    .getByRole('link', { name: /Housing/ })
    .click()
  await page.getByRole('button', { name: 'Fix the sizes as worked' }).click()
  await expect(page.getByText(/Measure the machine first/)).toBeVisible()
  const read = { origin: 'measured', plusMinus: '1' } as const
  await bench.type('housing.needs.machineX', '520', read)
  await bench.type('housing.needs.machineY', '470', read)
  await bench.type('housing.needs.machineZ', '250', read)
  await bench.expectFigure('Needed along X', /640/)
  await page.getByRole('button', { name: 'Fix the sizes as worked' }).click()
  await bench.expectMark('It all goes in along X', 'good')
  await bench.type('housing.size.x', '500')
  await bench.expectMark('The box is too small along X', 'stop')
  await bench.undo()
  await bench.part('Panels and sheets')
  await page.getByRole('button', { name: 'Compare 9, 12 and 18 mm' }).click()
  await expect(page.locator('[data-sheet="1"]')).toBeVisible()
  await expect(page.getByText('left side')).toBeVisible()
  const masses = await page
    .getByRole('list', { name: 'Sheets to compare' })
    .getByText(/weighs/)
    .allTextContents()
  expect(masses).toHaveLength(3)
  await page.getByRole('radio', { name: 'Make the box of sheet 3' }).check()
  await page.getByRole('button', { name: 'Put parts and work onto the plan' }).click()
  await page.getByRole('link', { name: 'See the plan' }).click()
  await expect(page.getByText('Birch plywood 18 mm').first()).toBeVisible()
  await bench.undo()
  await expect(page.getByText('Birch plywood 18 mm')).toHaveCount(0)
})

test('a grille that the beam looks out of is a stop with its line drawn, until a baffle stands before it', async ({
  bench,
  page,
}) => {
  await bench.put(plover())
  await bench.openStage('plover', 'housing', 'ports')
  await bench.expectMark(/The beam can look out through/, 'stop')
  await expect(page.locator('[data-line-out]').first()).toBeVisible()
  await page.getByRole('button', { name: 'Put a baffle before Grille of the shed' }).click()
  const over = page.locator('[data-fact$=".over"]').first()
  await bench.type((await over.getAttribute('data-fact')) ?? '', '120')
  await bench.expectMark(/No straight line leads out through/, 'good')
  await expect(page.locator('[data-line-out]')).toHaveCount(0)
  await bench.undo()
  await bench.undo()
  await bench.expectMark(/The beam can look out through/, 'stop')
  // A window without a certificate counts for nothing.
  await bench.part('Box')
  await bench.choose('housing.window.kept', 'is used as it is, uncut, in a frame')
  await bench.part('Openings and sight')
  await bench.expectMark('The window is not shown to be dense enough', 'stop')
})

test('the lid is moved by hand and key; springs are fixed where they hold it, and one that is too weak is a stop', async ({
  bench,
  page,
}) => {
  await bench.put(heron())
  await bench.openStage('heron', 'housing', 'lid')
  await bench.expectMark('The lid stays up, cold too', 'good')
  const lid = page.getByRole('slider', { name: 'Move the lid' })
  const before = Number(await lid.getAttribute('aria-valuenow'))
  await lid.press('ArrowUp')
  await expect(lid).toHaveAttribute('aria-valuenow', String(before + 5))
  await bench.type('housing.lid.force', '30 N')
  await bench.expectMark('The lid may come down on a hand', 'stop')
  await bench.type('housing.lid.force', '70 N')
  await page.getByRole('button', { name: 'Fix them there' }).first().click()
  await bench.expectMark('The lid stays up, cold too', 'good')
  await bench.expectMark('The springs reach through the travel', 'good')
})

test('panels go out as SVG, DXF and a list for the saw; the box is turned by key', async ({ bench, page }) => {
  await bench.put(heron())
  await bench.openStage('heron', 'housing', 'drawing')
  const save = async (name: string): Promise<string> => {
    const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name }).click()])
    return readFileSync(await file.path(), 'utf8')
  }
  const svg = await save('Save the panels as SVG')
  for (const name of ['left side', 'right side', 'front', 'back', 'floor']) expect(svg).toContain(`id="${name}"`)
  expect(await save('Save the panels as DXF')).toContain('ENTITIES')
  expect(await save('Save the inserts as SVG')).toContain('id="Cables"')
  const picture = page.getByRole('img', { name: /pulled apart/ })
  const turned = await picture.getAttribute('data-turned')
  await picture.press('ArrowRight')
  await expect(picture).not.toHaveAttribute('data-turned', turned ?? '')
  await bench.part('Panels and sheets')
  const rows = (await save('Save the list as CSV')).trim().split('\n')
  expect(rows).toHaveLength(6)
  expect(rows[0]).toBe('sheet;panel;along mm;across mm;turned')
})
