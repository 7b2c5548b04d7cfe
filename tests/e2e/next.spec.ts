import { heron } from '../../src/data/heron'
import { emptyBench } from '../../src/core/document'
import { expect, test } from './driver'

const LINES = '[data-todo] a'

test('every line of what to do next leads to the very place, from an empty bench and from the demo', async ({ bench, page }) => {
  const empty = { bench: emptyBench('gate', 'Gate', '2026-01-01T00:00:00.000Z'), records: [], files: [] }
  for (const [bundle, least] of [
    [empty, 6],
    [heron(), 5],
  ] as const) {
    await bench.put(bundle)
    await page.goto(`/bench/${bundle.bench.id}/next`)
    await expect(page.getByRole('heading', { name: 'What to do next', level: 1 })).toBeVisible()
    await expect(page.locator(LINES).nth(least - 1)).toBeVisible()
    const all = await page.locator(LINES).allTextContents()
    for (const words of all) {
      await page.locator(LINES).getByText(words, { exact: true }).click()
      // A part of a stage, or a fact whose editor is open: on its sheet or on the nameplate.
      const editor = page.getByRole('button', { name: 'Leave as it was' }).or(page.getByRole('dialog'))
      const sheet = page.locator('main h1').filter({ hasNotText: 'What to do next' })
      await expect(editor.or(sheet).first(), words).toBeVisible()
      await page.keyboard.press('Escape')
      await page.keyboard.press('Escape')
      await page.getByRole('link', { name: /What to do next/ }).click()
      await expect(page.locator(LINES).first()).toBeVisible()
    }
  }
})

test('an empty bench begins with what to do next; what is entered moves the list on, and a stop stands first', async ({
  bench,
  page,
}) => {
  await bench.visit()
  await page.getByLabel('Name of the machine').fill('Gate')
  await page.getByRole('button', { name: 'Start an empty bench' }).click()
  const lines = page.locator(LINES)
  await expect(lines.first()).toHaveText(/^Say what you build/)
  await bench.expectNoAxeFindings()
  await page.getByText('Copy power and wavelength').click()
  await bench.abandon()
  await bench.type('optics.power', '5.5', { origin: 'stated' }, 'nameplate')
  await bench.type('optics.wavelength', '455', { origin: 'stated' }, 'nameplate')
  await page.keyboard.press('Escape')
  // A beam is known and no eyewear is proved for it.
  await expect(page.getByText('2 stops')).toBeVisible()
  await expect(lines.first()).toHaveText(/^Copy the label of your eyewear/)
  await page.getByRole('region', { name: /^Stop/ }).getByRole('link').first().click()
  await expect(page).toHaveURL(/safety\/eyewear/)
  await bench.inCell('eyewear', async () => {
    await bench.wear('D 180-534 LB7')
  })
  await page.goBack()
  await page.keyboard.press('Escape')
  await expect(page.getByText('no stop')).toBeVisible()
  await expect(lines.first()).toHaveText(/^Weigh what moves/)
})

test.describe('what judges the other stages cannot be fetched', () => {
  test.use({ allowed: [/Failed to load resource|domain-/] })
  test('and that is said, with what to do, in place of looking for ever', async ({ bench, page }) => {
    await bench.put(heron())
    await page.route('**/assets/domain-*.js', (route) => route.abort('failed'))
    await page.goto('/bench/heron/next')
    await expect(page.getByText('then load the page again')).toBeVisible()
    await page.unroute('**/assets/domain-*.js')
    await page.reload()
    await expect(page.locator(LINES).first()).toBeVisible()
  })
})
