import { plover } from '../../src/data/plover'
import { expect, test } from './driver'
import { MachineDriver } from './machineDriver'

// Made here: a square ring with a ramp into it, an arc, two holes; its surface lies 10 mm above zero.
const CUTTER = `(a ring, an arc, two holes; zero is the table)
G21 G90 G17
T1 M6
M3 S12000
G0 Z15
G0 X40 Y40
G1 X80 Y40 Z5 F600
Y60
G0 Y80
G1 X40
Y40
X80
G0 Z15
G0 X100 Y60
G1 Z8 F300
G3 X80 Y80 I-20 J0 F900
G0 Z15
G99 G81 X30 Y30 Z6 R12 F200
X110
G80
M5
M30
`

test('a cutter’s program is asked what cannot be told, becomes one for the beam, and is burnt', async ({ bench, page }) => {
  test.setTimeout(120_000)
  const machine = new MachineDriver(page, bench)
  await bench.openDemo()
  await page.goto('/bench/heron/controller/settings')
  await expect(page.getByText('stand-in at rest')).toBeVisible()
  await page.getByLabel('Its clock runs').selectOption('at once')
  await page.goto('/bench/heron/work/refit')
  const take = (name: string, text: string): Promise<void> =>
    page.getByLabel('Program file').setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) })
  // One that never goes down is told so, with what to do.
  await take('flat.nc', 'G21\nM3 S1\nG1 X20 F600\nM2\n')
  await expect(page.getByText('Nothing of this program lies below the surface')).toBeVisible()
  await take('ring.nc', CUTTER)
  await expect(page.getByText('“ring.nc” goes from')).toBeVisible()
  await page.getByLabel('Height of the surface, mm').fill('10')
  await page.keyboard.press('Enter')
  // A rapid move below the surface: neither dark nor burnt until somebody says.
  await expect(page.getByText('Say what rapid moves below the surface are')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Burn it' })).toBeDisabled()
  await page.getByLabel('Rapid moves below the surface').selectOption('is burnt')
  await page.getByLabel('Rapid moves below the surface').selectOption('stays dark')
  // The ramp goes with the way along the foot: 20 up, 40 back, 40 down, 40 along the foot, a quarter of a circle of radius 20.
  const burnt = page.getByText('mm with the beam on.')
  await expect(burnt).toContainText('171 mm')
  await expect(page.locator('[data-dot]')).toHaveCount(2)
  await expect(page.getByText('Moves that come to the surface on their way')).toBeVisible()
  await bench.expectNoAxeFindings()
  await page.getByLabel('Speed of the beam, mm/s').fill('25')
  await page.keyboard.press('Enter')
  await machine.burn('Burn it')
  await machine.takeCautions()
  await expect(page.getByText('stand-in at rest')).toBeVisible({ timeout: 30_000 })
  await page.getByRole('link', { name: '1 Work order' }).click()
  await expect(page.getByText('Burnt: program made for the beam')).toBeVisible({ timeout: 30_000 })
})

test('a program that crosses white row by row is parted into islands, takes less time, and burns the same', async ({
  bench,
  page,
}) => {
  await bench.openDemo()
  await page.goto('/bench/heron/work/program')
  const rows = Array.from({ length: 20 }, (_, k) => {
    const y = (20 + k * 0.2).toFixed(1)
    return `G0 X20 Y${y}\nG1 X25 S0 F6000\nM3 S500\nG1 X35\nM5\nG1 X185\nM3 S500\nG1 X195\nM5\nG1 X200`
  })
  const text = `G21 G90\n${rows.join('\n')}\nM2\n`
  await page.getByLabel('Program file').setInputFiles({ name: 'rows.nc', mimeType: 'text/plain', buffer: Buffer.from(text) })
  await page.getByLabel('What is done with the program').selectOption('part it and join it again')
  await page.getByRole('button', { name: 'Part it' }).click()
  const seconds = page.locator('[data-parted]')
  await expect(page.getByText('It has 2 islands of 40 stretches')).toBeVisible()
  const parted = Number(await seconds.getAttribute('data-parted'))
  await expect(page.getByText('400 mm with the beam on.')).toBeVisible()
  // One island, for all of it lies within the distance: nothing is gained.
  await page.getByLabel('Islands are further apart than, mm').fill('200')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Part it' }).click()
  await expect(page.getByText('It is one island of 40 stretches')).toBeVisible()
  expect(parted).toBeLessThan(0.8 * Number(await seconds.getAttribute('data-parted')))
  await page.getByLabel('Power word at full power').fill('200')
  await page.keyboard.press('Enter')
  await expect(page.getByText('full power is no less')).toBeVisible()
  await bench.expectNoAxeFindings()
})

/** Made here: a box and a circle, with a fan’s word, the beam left on over rapid moves and at a wait, and no end. */
const LEFT_ON = `G21 G90
M106 S200
M3 S600
F1200
G0 X20 Y20
G1 X80 Y20
G1 X80 Y60
G1 X20 Y60
G1 X20 Y20
G0 X100 Y40
G2 X100 Y40 I20 J0
G4 P1
G0 X0 Y0
`

test('a program is searched, summed up, gone through; what is left on is put right, burnt, and told how it came out', async ({
  bench,
  page,
}) => {
  test.setTimeout(120_000)
  const machine = new MachineDriver(page, bench)
  await bench.openDemo()
  await page.goto('/bench/heron/controller/settings')
  await expect(page.getByText('stand-in at rest')).toBeVisible()
  await page.getByLabel('Its clock runs').selectOption('at once')
  await page.goto('/bench/heron/work/program')
  await page.getByLabel('Program file').setInputFiles({ name: 'box.nc', mimeType: 'text/plain', buffer: Buffer.from(LEFT_ON) })
  // What is not carried out is left out by a tick; until then nothing can be made of the program.
  await expect(page.getByText('Lines of it were refused')).toBeVisible()
  await page.getByLabel(/leave out M106/).check()
  await bench.expectMark('The beam’s word is left on', 'look')
  await bench.expectMark('The beam is on and nothing moves', 'look')
  const listing = page.getByRole('listbox')
  await page.getByLabel('Text to look for in the program').fill('g1x80')
  await page.getByLabel('Text to look for in the program').press('Enter')
  await expect(page.getByText('1 of 2')).toBeVisible()
  await expect(listing.getByRole('option', { selected: true })).toContainText('G1 X80 Y20')
  await expect(page.getByText('In force behind it')).toBeVisible()
  await listing
    .getByRole('option')
    .filter({ hasText: 'G1 X20 Y20' })
    .click({ modifiers: ['Shift'] })
  // 60, 40, 60 and 40 mm.
  await expect(page.getByText('Lines 6 to 9')).toBeVisible()
  await expect(page.getByText('200 mm in 10.10 s').or(page.getByText('200 mm in 10 s'))).toBeVisible()
  await page.getByLabel('Gone through').selectOption('by length')
  await page.getByLabel('Moment of the program').fill('500')
  await expect(page.locator('[data-head]')).toBeVisible()
  await page.getByLabel('Moment of the program').fill('1000')
  await page.getByRole('button', { name: 'Put it right.' }).first().click()
  await page.getByLabel('What of it is burnt').selectOption('only what lies in a zone')
  await page.getByLabel('What is burnt: right, mm').fill('10')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Put it right', exact: true }).click()
  await expect(page.getByText('A zone goes from left to right')).toBeVisible()
  await page.getByLabel('What is burnt: right, mm').fill('90')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Put it right', exact: true }).click()
  await expect(page.locator('[data-mended="clipped"]')).toContainText('125.7 mm')
  await expect(page.locator('[data-mended="beamOff"]')).toContainText('3')
  await expect(page.locator('[data-mended="stands"]')).toBeVisible()
  await expect(page.getByText('200 mm with the beam on.')).toBeVisible()
  await bench.expectNoAxeFindings()
  await machine.burn('Burn it put right')
  await machine.takeCautions()
  const came = page.getByRole('region', { name: 'How it came out' })
  await came.getByLabel(/Depth that you measured/).fill('0.4')
  await page.keyboard.press('Enter')
  await came.getByRole('button', { name: 'As I wanted it', exact: true }).click()
  await expect(came).toHaveCount(0)
  await page.getByRole('link', { name: '1 Work order' }).click()
  await expect(page.getByText('Came out well: program put right')).toBeVisible()
  await expect(page.getByText(/With 60 %, 20[.0]*\s*mm\/s, one pass/)).toBeVisible()
})

test('programs are joined with a pause to turn the work, set out on a grid, and held against one another', async ({
  bench,
  page,
}) => {
  await bench.openDemo()
  await page.goto('/bench/heron/work/program')
  const line = 'G21 F1200\nG0 X5 Y5\nM3 S500\nG1 X25\nM5\nM2\n'
  const file = (name: string, text: string) => ({ name, mimeType: 'text/plain', buffer: Buffer.from(text) })
  await page.getByLabel('Program file').setInputFiles(file('line.nc', line))
  await page.getByLabel('What is done with the program').selectOption('join it with others, or set it out')
  await page.getByLabel('Columns of program 1').fill('3')
  await page.keyboard.press('Enter')
  await page.getByLabel('Another program file').setInputFiles(file('bad.nc', 'G21 F1200\nM3 S1\nG1 X1 E2\n'))
  await page.getByRole('button', { name: 'Join them' }).click()
  await expect(page.getByText(/“bad.nc”, line 3/)).toBeVisible()
  await page.getByRole('button', { name: 'Take away, place of program 2' }).click()
  await page.getByRole('button', { name: 'Add this one again' }).click()
  await page.getByLabel('What is done before it of program 2').fill('Turn the board over')
  await page.keyboard.press('Enter')
  await page.getByLabel('Turn, degrees, of program 2').fill('90')
  await page.keyboard.press('Enter')
  await page.getByLabel('X of program 2, mm').fill('100')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Join them' }).click()
  await expect(page.getByText('in 2 parts with something to do between them')).toBeVisible()
  await expect(page.getByText('60 mm with the beam on.')).toBeVisible()
  await page.getByLabel('What leaves').selectOption('only part 2: Turn the board over')
  await expect(page.getByText('20 mm with the beam on.')).toBeVisible()
  await page.getByLabel('What leaves').selectOption('all of it, with a pause (M0) between')
  await page.getByText(/^The program, \d+ lines$/).click()
  await expect(page.getByRole('region', { name: 'The program: joined program' })).toContainText('(Turn the board over)\nM0')
  await bench.expectNoAxeFindings()
  await page.getByLabel('What is done with the program').selectOption('hold it against another')
  const other = line.replace('G1 X25', 'G1 X15\nG1 X25').replace('M5', 'G1 Y15\nM5')
  await page.getByLabel('Program to hold against it').setInputFiles(file('other.nc', other))
  const apart = page.locator('[data-compared]')
  await expect(apart).toContainText('They do not burn the same.')
  await expect(apart).toContainText('there line 6')
  await expect(page.locator('[data-only] path').nth(1)).toHaveAttribute('d', /^M/)
  await page.getByLabel('Program to hold against it').setInputFiles(file('same.nc', line.replace('G1 X25', 'G1 X15\nG1 X25')))
  await expect(apart).toContainText('They burn the same.')
  await bench.expectNoAxeFindings()
})

test('the second demo’s rack: as the router was to cut it, as it was made for the beam, and by what is learnt of a material', async ({
  bench,
  page,
}) => {
  await bench.put(plover())
  await page.goto('/bench/plover/work/refit')
  await page.getByRole('button', { name: 'Open dibber-rack.nc as it was' }).click()
  await expect(page.getByText('“dibber-rack.nc” goes from')).toBeVisible()
  await expect(page.locator('[data-dot]')).toHaveCount(4)
  await expect(page.getByText('Ramps below the surface')).toBeVisible()
  await page.getByLabel('Power by depth').selectOption('by the depths that are learnt')
  await expect(page.getByText('How deep a pass goes in Ash handle is not learnt yet')).toBeVisible()
  await page.getByLabel('Times that all of it is burnt').fill('2')
  await page.keyboard.press('Enter')
  await expect(page.getByText('1194 mm with the beam on.').or(page.getByText('1195 mm with the beam on.'))).toBeVisible()
  await bench.expectNoAxeFindings()
  await page.getByRole('button', { name: 'Put it away' }).click()
  await page.getByRole('button', { name: 'Look at what was made of dibber-rack.nc' }).click()
  await expect(page.getByRole('heading', { name: 'What will this program do?' })).toBeVisible()
  await bench.expectMark('The beam is on and nothing moves', 'look')
})
