import { eachFact, setAt } from '../../src/core/bench'
import { hasField, placeOf, type Bench } from '../../src/core/document'
import { KINEMATICS } from '../../src/core/motion'
import { HOLDINGS } from '../../src/core/rotary'
import { heron } from '../../src/data/heron'
import { STAGES } from '../../src/screens/stages'
import { expect, test } from './driver'

/** The stages that are looked at: those of `npm run e2e -- power`, else all. */
const ASKED = process.env['FINE_KERF_STAGES']?.split(',')
const LOOKED_AT = STAGES.filter((it) => ASKED === undefined || ASKED.includes(it.id))

// Two that run beside each other.
for (const half of [0, 1]) {
  test(`axe finds nothing on any screen, in light and dark (${half + 1} of 2)`, async ({ bench, page }) => {
    test.setTimeout(400_000)
    // Of a theme only the colours are another.
    const look = async (): Promise<void> => {
      await page.emulateMedia({ colorScheme: 'light' })
      await bench.expectNoAxeFindings()
      await page.emulateMedia({ colorScheme: 'dark' })
      await bench.expectNoAxeFindings(['color-contrast'])
    }
    await bench.put(heron())
    for (const stage of LOOKED_AT.filter((_, k) => k % 2 === half)) {
      for (const part of stage.parts) {
        await bench.openStage('heron', stage.id, part.id)
        await page
          .locator('main details:not([open]) > summary')
          .evaluateAll((all: HTMLElement[]) => all.forEach((it) => it.click()))
        await look()
      }
    }
    if (ASKED !== undefined || half === 0) return
    await page.goto('/')
    await look()
    await bench.openStage('heron', 'motion', 'square')
    await bench.openWorking('Out of square')
    await expect(page.locator('.katex').first()).toBeVisible()
    await look()
    await bench.field('motion.corners.across').click()
    await look()
    await bench.abandon()
    await page.locator('[data-cell="eyewear"]').click()
    await look()
    await page.keyboard.press('Escape')
    await page.keyboard.press('Control+k')
    await expect(page.getByPlaceholder('Find a stage, a fact or a command')).toBeVisible()
    await look()
    await page.keyboard.press('Escape')
    await bench.startEmpty('Bare')
    await look()
    await page.goto('/kennel')
    await look()
  })
}

/** What each part of a bench must show: the facts that say they stand there and have a field. */
function fieldsOf(bench: Bench): ReadonlyMap<string, readonly string[]> {
  const fields = new Map<string, string[]>()
  eachFact(bench, (path) => {
    const place = placeOf(path)
    if (place === null || !LOOKED_AT.some(({ id }) => id === place.stage) || place.cell !== null || !hasField(bench, path)) return
    const at = `${place.stage}/${place.part ?? ''}`
    fields.set(at, [...(fields.get(at) ?? []), path])
  })
  return fields
}

/** The box and its air in another way for each machine. */
function boxed(k: number): Readonly<Record<string, string>> {
  return {
    'air.box.caught': ['box', 'hood', 'table', 'mouth'][k % 4] ?? '',
    'air.ways.out.parts.metal.wall': ['metal', 'foil'][k % 2] ?? '',
    'housing.lid.form': ['top', 'front', 'angled'][k % 3] ?? '',
    'housing.lid.seal': ['strip', 'gap'][k % 2] ?? '',
    'housing.lid.springs': ['gas', 'none', 'coil'][k % 3] ?? '',
    'housing.size.floor': ['yes', 'no'][k % 2] ?? '',
    'housing.size.foot': ['skirt', 'gap'][Math.floor(k / 2) % 2] ?? '',
    'housing.make.joint': ['butt', 'rebate', 'groove'][k % 3] ?? '',
    'housing.make.braces': ['no', 'yes'][k % 2] ?? '',
    'housing.needs.camera': ['no', 'yes'][k % 2] ?? '',
  }
}

/** Benches that differ in what has a field, without a scale run, so that the next one is being planned. */
function variants(): readonly Bench[] {
  const { bench } = heron()
  const bare = setAt(setAt(bench, 'calibrate.runs', {}), 'calibrate.applied', {})
  const set = (it: Bench, path: string, value: unknown): Bench => setAt(it, path, value)
  const named = (it: Bench, id: string): Bench => ({ ...it, id, name: id })
  // Every machine holds and drives what it turns in another way.
  const turning = (it: Bench, k: number): Bench =>
    Object.entries(boxed(k)).reduce((at, [path, word]) => set(at, `${path}.chosen`, word), turned(it, k))
  const turned = (it: Bench, k: number): Bench =>
    set(
      set(it, 'rotary.holding.chosen', HOLDINGS[k % HOLDINGS.length]),
      'rotary.turn.drive.chosen',
      ['direct', 'gears', 'belt', 'ring'][k % 4],
    )
  const shared = set(set(bare, 'motion.axes.y.drivers.chosen', 'parallel'), 'motion.frame.guides.chosen', 'rails')
  return [
    ...Object.keys(KINEMATICS).map((it, k) => turning(named(set(bare, 'motion.kinematics.chosen', it), it), k)),
    ...['reducedBelt', 'screw', 'rack'].map((it) => named(set(shared, 'motion.axes.x.drive.chosen', it), it)),
  ]
}

test('every fact has its field where its spec says, whatever the machine', async ({ bench, page }) => {
  test.setTimeout(400_000)
  // Sheets of Motion depend on the machine; those of other stages are looked at again where they have other facts.
  const seen = new Set<string>()
  for (const machine of variants()) {
    await bench.put({ bench: machine, records: [], files: [] })
    for (const [at, paths] of fieldsOf(machine)) {
      const [stage = '', part = ''] = at.split('/')
      const what = `${at} ${paths.join()}`
      if (stage !== 'motion' && seen.has(what)) continue
      seen.add(what)
      expect(
        STAGES.find((it) => it.id === stage)?.parts.map((it) => it.id),
        `${at} is no part, for ${paths[0]}`,
      ).toContain(part)
      await bench.openStage(machine.id, stage, part)
      await expect.poll(() => bench.fieldsMissing(paths), { message: `${machine.id}, ${at}` }).toEqual([])
    }
  }
  if (ASKED !== undefined) return
  // The part is in the address: it survives that the page is loaded anew, and a fact's own address opens its field.
  await page.goto('/bench/screw/motion/square')
  await page.goto('/bench/screw/motion#motion.axes.y.holdingTorque')
  await expect(page.getByRole('button', { name: 'Leave as it was' })).toBeVisible()
  await page.reload()
  await expect(page).toHaveURL(/\/motion\/drive/)
  await expect(page.getByRole('link', { name: 'Drive train' })).toHaveAttribute('aria-current', 'page')
})
