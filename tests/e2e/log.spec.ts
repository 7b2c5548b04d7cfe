import { readFileSync } from 'node:fs'
import { heron } from '../../src/data/heron'
import { plover } from '../../src/data/plover'
import { expect, test } from './driver'

const PICTURE = { name: 'plug.png', mimeType: 'image/png', buffer: readFileSync('docs/screenshots/motion.png') }

test('a repair is written down with its wire and picture, found again by a word, and stands on the time line', async ({
  bench,
  page,
}) => {
  await bench.put(heron())
  await bench.openStage('heron', 'log', 'repairs')
  await page.getByLabel('1 What was wrong, or what was done').fill('Exhaust fan stopped: chafed wire')
  await page.getByLabel('2 Pictures before').setInputFiles(PICTURE)
  await page.getByLabel('2 Pictures before').setInputFiles({ ...PICTURE, name: 'no.png', buffer: Buffer.from('no picture') })
  await page.getByRole('checkbox', { name: /wire Supply, 24 V to Exhaust fan/ }).check()
  await page.getByLabel('4 What was done').fill('New wire in a sleeve, clear of the frame.')
  await page.getByLabel('5 Minutes it took').fill('soon')
  await page.getByRole('button', { name: 'Write the repair down' }).click()
  await expect(page.getByRole('alert')).toContainText('“soon” are no minutes')
  await page.getByLabel('5 Minutes it took').fill('25')
  await page.getByLabel('6 What it cost').fill('1,80')
  await page.getByRole('button', { name: 'Write the repair down' }).click()
  const before = page.getByRole('list', { name: 'Repairs before' })
  await expect(before.getByRole('listitem').first()).toContainText('25 min')
  await expect(before).toContainText('“before no.png” is no picture that can be shown')
  await expect(before.getByRole('img', { name: 'before plug.png' })).toBeVisible()
  // Two repairs stand there; a word of the older one brings it out alone.
  await expect(before.getByRole('listitem')).toHaveCount(2)
  await page.getByLabel('1 What was wrong, or what was done').fill('Motor stuttered again')
  await expect(before.getByRole('listitem')).toHaveCount(1)
  await expect(before).toContainText('plug half out')
  await bench.part('Time line')
  await page.getByRole('searchbox').fill('chafed exhaust')
  await expect(page.getByRole('img', { name: 'Time line of 1 entries' })).toBeVisible()
  await page.getByRole('searchbox').fill('chafed nowhere')
  await expect(page.getByText('Nothing holds all of these words')).toBeVisible()
  await bench.undo()
  await page.getByRole('searchbox').fill('chafed')
  // The entry is undone; what was kept with its pictures is append-only and stays.
  await expect(page.getByText('records, log')).toBeVisible()
})

test('what is due says so, is done with a key, and undone; hours run decide', async ({ bench, page }) => {
  await bench.put(heron())
  await bench.openStage('heron', 'log', 'upkeep')
  await bench.type('calibrate.hours', '25 h', { origin: 'stated' })
  await bench.expectMark(/Clean the lens is due/, 'look')
  await page.getByRole('button', { name: 'Done now: Clean the lens' }).press('Enter')
  await bench.expectMark(/Clean the lens: not due yet/, 'good')
  await bench.undo()
  await bench.expectMark(/Clean the lens is due/, 'look')
  const waiting = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Get the calendar' }).click()
  const text = readFileSync(await (await waiting).path(), 'utf8')
  expect(text).toMatch(/^BEGIN:VCALENDAR\r\n/)
  expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(4)
  expect(text).toContain('SUMMARY:Heron: Clean the lens')
})

test('the passport leaves as a table, and as a bench that opens elsewhere without its history', async ({ bench, page }) => {
  await bench.put(plover())
  await bench.openStage('plover', 'log', 'passport')
  const sheet = page.getByRole('figure').filter({ hasText: 'Plover' })
  await expect(sheet.getByRole('region', { name: 'Wires' })).toBeVisible()
  const taken = async (name: string): Promise<Buffer> => {
    const waiting = page.waitForEvent('download')
    await page.getByRole('button', { name }).click()
    return readFileSync(await (await waiting).path())
  }
  const rows = (await taken('As a table, CSV')).toString().trim().split('\n')
  expect(rows[0]).toBe('section,what,value,known,day')
  expect(rows.length).toBeGreaterThan(30)
  const file = await taken('As a bench to start from')
  await page.goto('/')
  await bench.deleteFromList('Plover')
  await bench.openFile('passport.zip', file)
  await expect(page).toHaveURL(/\/bench\//)
  await bench.openStage('plover', 'log', 'line')
  await expect(page.getByText('Nothing stands here yet.')).toBeVisible()
  await bench.part('Passport')
  await expect(sheet.getByRole('region', { name: 'Wires' })).toBeVisible()
})
