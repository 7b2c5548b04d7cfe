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
  // Half of the ramp (20), 20 up, 40 back, 40 down, 40 along the foot, a quarter of a circle of radius 20.
  const burnt = page.getByText('mm with the beam on.')
  await expect(burnt).toContainText('191 mm')
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
