import { readFileSync } from 'node:fs'
import { expect, test } from './driver'

const LABEL = readFileSync('tests/fixtures/label.nc', 'utf8')

test('a program dropped on the window is read, timed, held against the travel and drawn', async ({ bench, page }) => {
  await bench.openDemo()
  await bench.dropFile('label.nc', Buffer.from(LABEL), 'second.nc')
  await expect(page.getByRole('heading', { name: 'What will this program do?' })).toBeVisible()
  await expect(page.getByText('One program is looked at at a time: “second.nc” was left where it is.')).toBeVisible()
  await bench.expectMark('Every line was read.', 'good')
  await bench.expectMark('Within the travel of X.', 'good')
  await expect(page.getByRole('region', { name: 'Worked' })).toContainText('With the beam on40 mm/s')
  await expect.poll(() => bench.emberShare()).toBeGreaterThan(0.001)
  await bench.expectNoAxeFindings()

  const time = page.getByText(/^\d[\d.]*\ss$/).first()
  const before = await time.textContent()
  await page.getByRole('link', { name: /Motion/ }).click()
  await bench.type('motion.axes.x.acceleration', '100')
  await page.getByRole('link', { name: /Work/ }).click()
  await expect(time).not.toHaveText(before ?? '')

  await page.getByRole('link', { name: /Motion/ }).click()
  await bench.type('motion.axes.x.travel', '150')
  await page.getByRole('link', { name: /Work/ }).click()
  await bench.expectMark('Leaves the travel of X.', 'stop')
})

test('a program with faults names each by line and column; what is no program is refused; both are put away', async ({
  bench,
  page,
}) => {
  await bench.openDemo()
  await page.getByRole('link', { name: /Work/ }).click()
  await bench.part('Program')
  await page
    .getByLabel('Program file')
    .setInputFiles({ name: 'old.nc', mimeType: 'text/plain', buffer: Buffer.from(LABEL.replace('M2', 'G81 X1\nG1 U5\nM2')) })
  await bench.expectMark('2 errors.', 'stop')
  await bench.expectMark('Within the travel of X?', 'not known yet')
  await expect(page.getByRole('region', { name: 'Worked' })).toContainText('Timenot known: lines were refused')
  const found = page.getByRole('region', { name: 'Found, 2' })
  await expect(found).toContainText('A cycle needs R')
  await expect(found).toContainText(/line \d+, 4.*U is no letter of this language/)
  // A finding leads to its line, in the listing and in the drawing; the arrow keys go on from there.
  await found.getByRole('button', { name: 'line 24' }).click()
  await expect(page.getByRole('listbox').getByRole('option', { selected: true })).toContainText('24G81 X1')
  await page.getByRole('listbox').press('ArrowUp')
  await expect(page.getByRole('listbox').getByRole('option', { selected: true })).toContainText('23G0 X0 Y0')
  await expect(page.locator('[data-way] circle')).toBeVisible()
  await page
    .getByLabel('Program file')
    .setInputFiles({ name: 'picture.png', mimeType: 'image/png', buffer: Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 1, 2, 255]) })
  await expect(page.getByRole('alert').filter({ hasText: 'is no text' })).toBeVisible()
  await expect(page.getByText('A G-code program from elsewhere is looked at')).toBeVisible()
})
