import { heron } from '../../src/data/heron'
import { expect, test } from './driver'

test('what a burn looks like, and one reading, name the cause; it leads to its mending, and a burn begins anew', async ({
  bench,
  page,
}) => {
  await bench.put(heron())
  await bench.openStage('heron', 'burns', 'wrong')
  const causes = page.getByRole('list', { name: 'Causes' })
  await expect(page.getByText('Say what the burn looks like')).toBeVisible()
  await page.getByRole('button', { name: 'Outlines do not close: like this' }).press('Enter')
  await page.getByRole('button', { name: 'Lines swing behind corners: not so' }).click()
  await page.getByRole('button', { name: 'Lines begin late, and run over their ends: not so' }).click()
  await bench.type('faults.read.doubleSlow', '0.4 mm', { origin: 'measured', plusMinus: '0.05' })
  await bench.type('faults.read.doubleFast', '0.42 mm', { origin: 'measured', plusMinus: '0.05' })
  await expect(causes.getByRole('listitem').first()).toContainText('Play in an axis')
  // The same at any speed is play; in proportion to speed it is late light.
  await bench.type('faults.read.doubleSlow', '0.09 mm')
  await page.getByRole('button', { name: 'Outlines do not close: like this' }).click()
  await expect(causes.getByRole('listitem').first()).toContainText('Light that comes late')
  await expect(page.getByRole('status').filter({ hasText: 'mend that first' })).toBeVisible()
  await page.getByLabel('Lay a picture of your burn beside them').setInputFiles({
    name: 'burn.png',
    mimeType: 'image/png',
    buffer: Buffer.from('no picture'),
  })
  await expect(page.getByText('“burn.png” cannot be decoded')).toBeVisible()
  await page.getByRole('button', { name: 'Begin with another burn' }).click()
  await expect(page.getByText('Say what the burn looks like')).toBeVisible()
  await bench.undo()
  await expect(causes.getByRole('listitem').first()).toContainText('Light that comes late')
  await page.getByRole('link', { name: /Measure the delay/ }).click()
  await expect(page).toHaveURL(/controller\/delay/)
})
