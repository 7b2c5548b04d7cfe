import { readFileSync } from 'node:fs'
import { expect, test } from './driver'

test('a head is wired from nothing: the wrong rail is a stop at its block, a converter and a thicker wire mend it', async ({
  bench,
  page,
}) => {
  await bench.startEmpty('Crake')
  await page.getByRole('link', { name: /Power/ }).click()
  await expect(page.getByText('Nothing is drawn yet.')).toBeVisible()
  const add = async (kind: string): Promise<void> => {
    await page.getByLabel('Kind of block').selectOption(kind)
    await page.getByRole('button', { name: 'Add it' }).click()
  }
  const join = async (from: string, to: string): Promise<void> => {
    await page.getByLabel('Wire from', { exact: true }).selectOption(from)
    await page.getByLabel('Wire to', { exact: true }).selectOption(to)
    await page.getByRole('button', { name: 'Join them' }).click()
  }
  const label = async (block: string, facts: Readonly<Record<string, string>>): Promise<void> => {
    await page.getByLabel('Block that is shown').selectOption(block)
    for (const [key, text] of Object.entries(facts)) {
      const field = page.locator(`[data-fact^="electrical.blocks."][data-fact$=".${key}"]`)
      await field.click()
      const editor = page.locator('form', { has: page.getByRole('button', { name: 'Leave as it was' }) })
      await editor.locator('input').first().fill(text)
      await editor.getByRole('radio', { name: 'stated' }).check()
      await editor.getByRole('textbox').nth(1).fill('0.05')
      await editor.getByRole('button', { name: 'Enter', exact: true }).click()
      await expect(editor).toHaveCount(0)
    }
  }
  await add('Another supply')
  await add('Diode head')
  await expect(page.getByText('Nothing feeds Diode head')).toBeVisible()
  await join('Another supply', 'Diode head')
  await expect(page.getByText('Nothing feeds Diode head')).toHaveCount(0)
  await label('Another supply', { volts: '24', amps: '5' })
  await label('Diode head', { volts: '12', amps: '2.4', least: '11', most: '12.6' })
  await bench.expectMark('Diode head does not have its voltage', 'stop')
  await bench.expectNoAxeFindings()

  // A converter between them; the old wire goes.
  await page.getByRole('button', { name: 'Take the wire Another supply to Diode head away' }).click()
  await add('Converter')
  await join('Another supply', 'Converter')
  await join('Converter', 'Diode head')
  await label('Converter', { volts: '12', amps: '5' })
  await bench.expectMark('Diode head has its voltage', 'good')
  await bench.expectMark('Converter gives enough', 'good')

  // Two sources on one rail are said at the block; undone, they are gone. A block is moved by the keyboard.
  await join('Another supply', 'Diode head')
  await expect(page.getByRole('alert').getByText(/two sources on one rail/)).toBeVisible()
  await bench.undo()
  await expect(page.getByText(/two sources on one rail/)).toHaveCount(0)
  const head = page.locator('[data-block="Diode head"]')
  const before = await head.getAttribute('transform')
  await head.press('ArrowDown')
  await expect(head).not.toHaveAttribute('transform', before ?? '')
  await bench.undo()
  await expect(head).toHaveAttribute('transform', before ?? '')
  await page.getByRole('button', { name: 'Take Converter away, with its wires' }).click()
  await expect(page.getByText('Nothing feeds Diode head')).toBeVisible()
  await bench.undo()
  await bench.saved()
})

test('the demo’s thin lead to its head is found on the drawing, and mended there', async ({ bench, page }) => {
  await bench.openDemo()
  await page.getByRole('link', { name: /Power/ }).click()
  await expect(page.locator('[data-plate="The wiring"] [data-block]')).toHaveCount(7)
  await bench.expectMark(/Much is lost on the way to Diode head/, 'look')
  await page.locator('[data-wire-row="Converter to 12 V to Diode head"] [data-fact$=".gauge"]').click()
  await page.getByRole('dialog').getByRole('button', { name: 'AWG 18', exact: true }).click()
  await bench.expectMark(/Little is lost on the way to Diode head/, 'good')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Wiring list' }).click()
  expect(readFileSync(await (await download).path(), 'utf8')).toContain(
    'Converter to 12 V,Diode head,rail,yellow and black,AWG 18,2900,three-pole plug,',
  )
  const drawn = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Drawing as SVG' }).click()
  const svg = readFileSync(await (await drawn).path(), 'utf8')
  expect(svg).toMatch(/^<\?xml[\s\S]*<svg[\s\S]*Diode head/)
  expect(svg).not.toContain('var(--')
  const painted = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Drawing as PNG' }).click()
  expect(
    readFileSync(await (await painted).path())
      .subarray(1, 4)
      .toString(),
  ).toBe('PNG')
  // The supply of the motors is the fact that Motion reckons with.
  await bench.type('motion.motorVoltage', '36', { origin: 'stated', plusMinus: '0.2' }, 'power')
  await bench.expectMark('Motors and drivers does not have its voltage', 'stop')
  await bench.undo()
  await bench.expectMark('Motors and drivers has its voltage', 'good')
})
