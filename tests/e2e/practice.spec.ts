import { expect, test } from './driver'
import { MachineDriver } from './machineDriver'

/** What to do about what the outlines name. */
const MENDS: readonly (readonly [RegExp, string])[] = [
  [/^Play in ([XY])/, 'Take the play out of'],
  [/^A sagging belt in ([XY])/, 'Tension the belt of'],
  [/^A slipping pulley in ([XY])/, 'Tighten the pulley of'],
]

for (const [grade, number] of [
  ['1', '412'],
  ['2', '417'],
  ['3', '421'],
] as const) {
  test(`a practice machine of grade ${grade} is commissioned, and scored`, async ({ bench, page }) => {
    test.setTimeout(240_000)
    const machine = new MachineDriver(page, bench)
    await page.goto('/')
    await page.getByLabel('Grade').selectOption(grade)
    await page.getByLabel('Its number').fill(number)
    await page.getByRole('button', { name: 'Practise on it' }).click()
    await expect(page.locator('[data-practice]')).toContainText(`Practice ${number}, grade ${grade}`)
    await expect(page.getByText(/Beam off, stand-in at rest/)).toBeVisible()
    await page.getByLabel('Its clock runs').selectOption('at once')
    await page.getByRole('button', { name: 'Read the settings' }).click()
    await expect(machine.row('axes.x.steps')).toContainText('80.000')

    await machine.part('Mark')
    await machine.burn('Burn the ramp')
    await machine.takeCautions()
    await machine.takeLine()

    /** Burns the pattern of a part and reads it. */
    const burnAndRead = async (part: string): Promise<void> => {
      await bench.part(part)
      const again = page.getByRole('button', { name: 'The next one' })
      if (await again.isVisible()) await again.click()
      await machine.burn('Burn the pattern')
      await page.getByRole('button', { name: 'Read it with the stand-in’s instruments' }).click()
      await expect(page.getByText(/^(\d+) of \1 read$/)).toBeVisible()
    }
    const named = page.locator('[data-causes] .font-\\[650\\]')
    let said = ''
    for (let turn = 0; turn < 5; turn++) {
      await burnAndRead('Closure')
      said = (await named.textContent()) ?? ''
      if (said === 'None of these') break
      const [mend] = MENDS.flatMap(([names, words]) => {
        const letter = names.exec(said)?.[1]
        return letter === undefined ? [] : [`${words} ${letter}`]
      })
      if (mend !== undefined) {
        await bench.part('Practice')
        await page.getByRole('button', { name: mend }).click()
        await expect(page.getByText(/Beam off, stand-in at rest/)).toBeVisible()
      } else {
        expect(said).toBe('Light comes late')
        await burnAndRead('Delay')
        await page.getByRole('button', { name: 'Let the output card wait so long' }).click()
        await expect(page.getByText(/The output card waits/).first()).toBeVisible()
      }
    }
    expect(said).toBe('None of these')
    if ((await page.getByRole('button', { name: /^Delay pattern 1/ }).count()) === 0) await burnAndRead('Delay')

    const burnRun = async (): Promise<void> => {
      await machine.part('Scale run')
      const again = page.getByRole('button', { name: 'The next run' })
      if (await again.isVisible()) await again.click()
      await machine.burn('Burn the run')
      await machine.readWithCalipers()
    }
    await burnRun()
    await machine.apply('X')
    await machine.apply('Y')
    await bench.part('Practice')
    await page.getByRole('button', { name: /^Square the gantry by/ }).click()
    await expect(page.getByText(/Beam off, stand-in at rest/)).toBeVisible()
    await machine.part('Settings')
    await page.getByRole('button', { name: /^Write (all|the one)/ }).click()
    await page.getByRole('button', { name: /^Write (it|them)$/ }).click()
    await expect(page.getByText(/Beam off, stand-in at rest/)).toBeVisible()
    await burnRun()
    await burnAndRead('Closure')
    await bench.part('Power')
    await page.getByRole('button', { name: 'Begin with the usual powers' }).click()
    for (const percent of [0, 5, 10, 20, 40, 60, 80, 100]) {
      await page.getByRole('button', { name: `Read ${percent}% with the stand-in’s meter` }).click()
      await expect(
        page.locator('li', { hasText: new RegExp(`^${percent}%`) }).locator('[data-fact$=".light"]'),
      ).not.toContainText('enter')
    }

    await bench.part('Practice')
    await page.getByRole('button', { name: 'Show the truth and the score' }).click()
    await expect(page.getByText('All six are proved.')).toBeVisible()
    await expect(page.getByText('Everything that was burnt was read.')).toBeVisible()
    expect(Number.parseInt((await page.locator('[data-score]').textContent()) ?? '', 10)).toBeGreaterThanOrEqual(85)
    await bench.expectNoAxeFindings()
  })
}
