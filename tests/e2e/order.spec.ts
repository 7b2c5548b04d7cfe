import { readFileSync } from 'node:fs'
import { expect, test } from './driver'
import { MachineDriver } from './machineDriver'

const file = (name: string) => `tests/fixtures/artwork/${name}`

test('artwork becomes a program, is burnt on the stand-in, and comes out as it was foretold', async ({ bench, page }) => {
  test.setTimeout(240_000)
  const machine = new MachineDriver(page, bench)
  await bench.openDemo()
  await page.goto('/bench/heron/controller/settings')
  await expect(page.getByText('stand-in at rest')).toBeVisible()
  await page.getByLabel('Its clock runs').selectOption('at once')
  await page.getByRole('navigation', { name: 'Route' }).getByRole('link', { name: /Work/ }).click()
  await expect(page.locator('[data-time]')).toBeVisible({ timeout: 30_000 })
  await bench.expectMark('It fits the sheet', 'good')
  await bench.expectMark('Within the travel of X', 'good')
  await bench.expectNoAxeFindings()
  // A label and its picture are enough: one of each.
  for (const name of ['Plant label', 'Seed head']) {
    for (const side of ['columns', 'rows']) {
      await page.getByLabel(`${name}, ${side}`).fill('1')
      await page.keyboard.press('Enter')
    }
  }
  await expect(page.locator('[data-burnt="now"]')).toBeVisible({ timeout: 60_000 })
  const seconds = async (): Promise<number> => Number(await page.locator('[data-time]').getAttribute('data-time'))
  await expect.poll(seconds).toBeLessThan(200)
  const whole = await seconds()
  // What is left out of this burn takes no time.
  await page.getByLabel('Seed head is burnt this time').uncheck()
  await expect.poll(seconds).toBeLessThan(whole - 10)
  await page.getByLabel('Seed head is burnt this time').check()
  await expect.poll(seconds).toBe(whole)
  await expect(page.locator('[data-burnt="now"]')).toBeVisible({ timeout: 60_000 })
  // What would save time is worked out; it may be taken over, and comes back with undo.
  await page.getByRole('button', { name: 'What would save time?' }).click()
  const savings = page.getByRole('list', { name: 'What would save time' })
  await expect(savings).toContainText('saves', { timeout: 60_000 })
  await savings.getByRole('button', { name: 'Take it over' }).first().click()
  await expect.poll(seconds).toBeLessThan(whole - 5)
  await bench.undo()
  await expect.poll(seconds).toBe(whole)
  await expect(page.locator('[data-burnt="now"]')).toBeVisible({ timeout: 60_000 })
  // A bare sheet is not alike, however much of it stays bare anyway.
  const look = page.getByRole('button', { name: 'Look at the stand-in’s sheet from above' })
  const alikeNow = async (): Promise<number> => {
    await look.click()
    await expect(page.locator('[data-burnt="came"]')).toBeVisible({ timeout: 30_000 })
    return Number(await page.locator('[data-likeness]').getAttribute('data-likeness'))
  }
  expect(await alikeNow()).toBeLessThan(0.5)
  await page.getByRole('button', { name: 'Show what was foretold' }).click()
  await machine.burn('Burn the order')
  await machine.takeCautions()
  await expect(page.getByText('Burnt: work order')).toBeVisible({ timeout: 60_000 })
  const alike = await alikeNow()
  expect(alike).toBeGreaterThan(0.7)
  // What left is kept, and another program is held against it.
  await expect(page.locator('[data-apart="same"]')).toBeVisible()
  await page.getByLabel('Speed for lines blue of Plant label, mm/s').fill('30')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-apart="other"]')).toContainText('are as they were')
})

test('on an empty bench a drawing is taken in, its unit said, its parts given to cut and mark; a moment of it is looked at', async ({
  bench,
  page,
}) => {
  const machine = new MachineDriver(page, bench)
  await machine.startLikeHeron('Order')
  await page.getByRole('navigation', { name: 'Route' }).getByRole('link', { name: /Work/ }).click()
  await expect(page.getByText('Take in an outline or a picture')).toBeVisible()
  await page.getByLabel('Artwork file').setInputFiles(file('handle-mark.dxf'))
  await expect(page.getByText('Its file names no unit')).toBeVisible()
  await page.getByLabel('Unit of handle-mark').selectOption('a centimetre')
  await expect(page.getByLabel('handle-mark, across, mm')).toHaveValue('57')
  await page.getByLabel('What is done with layer marks of handle-mark').selectOption('is marked along its lines')
  await bench.type('work.sheetWidth', '120', { plusMinus: '0.5' })
  await bench.type('work.sheetHeight', '40', { plusMinus: '0.5' })
  await bench.expectMark('It fits the sheet', 'good')
  // A larger one does not fit, and says where to go.
  await page.getByLabel('handle-mark, across, mm').fill('150')
  await page.keyboard.press('Enter')
  await bench.expectMark('It does not fit the sheet', 'stop')
  await bench.undo()
  await bench.expectMark('It fits the sheet', 'good')
  await page.getByRole('button', { name: 'Move handle-mark' }).focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByLabel('handle-mark, from the left, mm')).toHaveValue('6')
})

test('files that cannot be burnt are refused in words; another file keeps what is done with it; a clamp in the way is named', async ({
  bench,
  page,
}) => {
  await bench.openDemo()
  await page.getByRole('navigation', { name: 'Route' }).getByRole('link', { name: /Work/ }).click()
  const take = async (name: string, text: string | Buffer): Promise<void> =>
    page.getByLabel('Artwork file').setInputFiles({ name, mimeType: 'image/svg+xml', buffer: Buffer.from(text) })
  await take('broken.svg', '<svg><path d="M0 0"')
  await expect(page.getByText('“broken.svg”: The file is no whole XML')).toBeVisible()
  await take('words.svg', '<svg xmlns="http://www.w3.org/2000/svg"><text>Beans</text></svg>')
  await expect(page.getByText('turn it into outlines in the tool that drew it')).toBeVisible()
  const huge = readFileSync(file('seed-head.png'))
  huge.writeUInt32BE(12_000, 16)
  huge.writeUInt32BE(9_000, 20)
  await take('map.png', huge)
  await expect(page.getByText('108 million pixels, and 64 are read')).toBeVisible({ timeout: 30_000 })
  await expect(page.getByRole('listitem', { name: 'Plant label', exact: true })).toBeVisible()
  const longer = readFileSync(file('plant-label.svg'), 'utf8')
    .replace('192,0 192,48', '172,0 172,48')
    .replace('cx="180"', 'cx="160"')
  await page
    .getByLabel('Another file for Plant label')
    .setInputFiles({ name: 'shorter.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(longer) })
  await expect(page.getByText('Artwork changed: shorter.svg')).toBeVisible()
  await expect(page.getByLabel('Tabs of lines black of Plant label')).toHaveValue('2')
  await page.getByRole('button', { name: 'Lay a clamp on the sheet' }).click()
  await expect(page.getByText('Clamp 1: the way of the head')).toBeVisible({ timeout: 30_000 })
  await expect(page.locator('[data-clamp="hit"]')).toHaveCount(1)
  await expect(page.getByRole('button', { name: 'Burn the order' })).toBeDisabled()
})

test('work is placed by a fence whose lines were burnt, on many blanks of which one is left out; an older program is artwork', async ({
  bench,
  page,
}) => {
  test.setTimeout(180_000)
  const machine = new MachineDriver(page, bench)
  await bench.openDemo()
  await page.goto('/bench/heron/controller/settings')
  await expect(page.getByText('stand-in at rest')).toBeVisible()
  await page.getByLabel('Its clock runs').selectOption('at once')
  await page.getByRole('navigation', { name: 'Route' }).getByRole('link', { name: /Work/ }).click()
  for (const name of ['Plant label', 'Seed head'])
    await page.getByRole('button', { name: `Take ${name} out of the order` }).click()
  const older = 'G21 G90\nG0 X10 Y10\nM3 S300\nG1 X30 F600\nY20\nX10\nY10\nM5\nG0 X0 Y0\n'
  await page.getByLabel('Artwork file').setInputFiles({ name: 'tag.nc', mimeType: 'text/plain', buffer: Buffer.from(older) })
  await expect(page.getByLabel('tag, across, mm')).toHaveValue('20')
  await page.getByLabel('What is done with layer S300 F600 of tag').selectOption('is marked along its lines')
  await bench.type('work.sheetWidth', '40', { plusMinus: '0.2' })
  await bench.type('work.sheetHeight', '30', { plusMinus: '0.2' })
  // By a fence: asked for its lines, which are burnt on the stand-in.
  await page.getByLabel('What it is placed by').selectOption('in the corner of a fence')
  await bench.expectMark('Does the fence lie along its lines?', 'not known yet')
  await machine.burn('Burn the lines')
  await machine.takeCautions()
  await expect(page.getByText('Burnt: lines of the fence')).toBeVisible({ timeout: 30_000 })
  await bench.expectMark('The fence lies along its lines', 'good')
  await bench.type('work.fenceX', '25')
  await bench.expectMark('The fence was laid elsewhere', 'look')
  await bench.undo()
  // Six places, one of them empty: what is burnt is burnt five times.
  const length = async (): Promise<number> =>
    Number((await page.getByText('mm with the beam on.').last().innerText()).replace(/\D/g, ''))
  await expect.poll(length).toBe(60)
  await page.getByLabel('Places across').fill('3')
  await page.keyboard.press('Enter')
  await page.getByLabel('Places up').fill('2')
  await page.keyboard.press('Enter')
  await page.getByLabel('Place 5 has a blank').uncheck()
  await expect.poll(length).toBe(300)
  await expect(page.locator('[data-place="out"]')).toHaveCount(1)
  await page.getByLabel('From place to place across, mm').fill('30')
  await page.keyboard.press('Enter')
  await bench.expectMark('Blanks would lie over one another along X', 'stop')
  await expect(page.getByRole('button', { name: 'Burn the order' })).toBeDisabled()
  await bench.undo()
  await bench.expectNoAxeFindings()
})
