import { readFileSync } from 'node:fs'
import { heron } from '../../src/data/heron'
import { meshToStl, proveMesh } from '../../src/core/air'
import { expect, test, type Driver } from './driver'

/** Path of the n-th fact on the sheet that ends in a word. */
async function nth(bench: Driver, suffix: string, n = 0): Promise<string> {
  const field = bench.page.locator(`[data-fact^="air."][data-fact$=".${suffix}"][data-place="given"]`).nth(n)
  await field.waitFor()
  return (await field.getAttribute('data-fact')) ?? ''
}

test('from an empty bench: a way is laid, measured and judged; what would help most leads to its field', async ({
  bench,
  page,
}) => {
  await bench.startEmpty('Shed')
  await page.getByRole('navigation', { name: 'Route' }).getByRole('link', { name: /Air/ }).click()
  await page.getByRole('button', { name: 'A box with an open inlet' }).click()
  const long = { origin: 'measured', plusMinus: '0.01' } as const
  await bench.type(await nth(bench, 'length', 0), '0.8 m', long)
  await bench.type(await nth(bench, 'length', 1), '1.9 m', long)
  await bench.type(await nth(bench, 'length', 2), '0.5 m', long)
  // A label in another unit says the flow into free air; of the pressure nobody has spoken yet.
  await bench.type(await nth(bench, 'freeFlow'), '195 ft3/min', { origin: 'stated', plusMinus: '10' })
  await bench.part('Box and room')
  await bench.type('air.box.gaps', '20 cm2', { origin: 'stated', plusMinus: '10' })
  await bench.type('air.box.inlet', '240 cm2', { origin: 'measured', plusMinus: '5' })
  await bench.type('air.box.volume', '110 L', { origin: 'stated', plusMinus: '5' })
  await bench.choose('air.room.appliance', 'nothing: no stove, boiler, heater or geyser')
  await bench.expectMark(/Nothing in the room is starved of air/, 'good')
  await bench.expectFigure('Air at the inlet, inwards', /m\/s/)
  await bench.part('Fan and duct')
  await bench.type(await nth(bench, 'shutOff'), '320 Pa', { origin: 'stated', plusMinus: '20' })
  await bench.expectMark(/The duct is metal by the work/, 'good')
  await bench.part('Box and room')
  await bench.expectMark(/Air is drawn in at the inlet/, 'good')
  await bench.expectMark(/It is held below the room/, 'good')
  await bench.part('Fan and duct')
  await page.getByRole('region', { name: 'Worked, what would help most' }).getByRole('link').first().click()
  await expect(page.getByRole('dialog')).toBeVisible()
  await page.keyboard.press('Escape')
})

test('dragging the end of a duct moves the point, one step of undo puts it back; a fan that is stopped says so', async ({
  bench,
  page,
}) => {
  await bench.put(heron())
  await bench.openStage('heron', 'air', 'duct')
  await bench.expectFigure('Flow, Way out, forwards', /116\.7/)
  const path = 'air.ways.out.parts.hose.length'
  await bench.dragDimension(path, -120, 0)
  await bench.letGo()
  await expect(bench.figure('Flow, Way out, forwards')).not.toContainText('116.7')
  // ± waits while it is dragged, and is worked once it is let go.
  await bench.expectFigure('Flow, Way out, forwards', /±/)
  await bench.undo()
  await bench.expectFigure('Flow, Way out, forwards', /116\.7/)
  await page.locator(`[data-drag="${path}"]`).press('ArrowRight')
  await expect(bench.field(path)).toContainText('2.45')
  await bench.undo()
  // Words for a curve that rises, where the fan stands.
  await page.getByRole('button', { name: 'Add a point of its curve' }).click()
  const flow = await nth(bench, 'flow', 1)
  await bench.type(flow, '60 m3/h')
  await bench.type(flow.replace(/flow$/, 'pressure'), '400 Pa')
  await expect(page.getByText(/does not fall/).first()).toBeVisible()
})

test('gaps follow what anemometer and water column said, with a record; smoke that comes out is a stop', async ({
  bench,
  page,
}) => {
  await bench.put(heron())
  await bench.openStage('heron', 'air', 'measure')
  await bench.type('air.meter.outDiameter', '98.6', { origin: 'measured', plusMinus: '0.3' })
  await bench.type('air.meter.inletArea', '60 cm2', { origin: 'measured', plusMinus: '1' })
  // Leaves, comes in, box below the room, suction: a box with 20 cm² of gaps, made by the orifice law.
  const rows = [
    ['inlet shut', '3.10', '0', '224', '262'],
    ['inlet half open', '3.58', '1.90', '144', '230'],
    ['inlet open', '3.93', '3.10', '79', '204'],
  ] as const
  for (const [k, [setting, out, inlet, below, suction]] of rows.entries()) {
    await page.getByLabel('How the inlet stands').selectOption(setting)
    await page.getByRole('button', { name: 'Add a reading' }).click()
    const read = { origin: 'measured', plusMinus: '0.05' } as const
    await bench.type(await nth(bench, 'out', k), `${out} m/s`, read)
    if (inlet !== '0') await bench.type(await nth(bench, 'inlet', k), `${inlet} m/s`, read)
    await bench.type(await nth(bench, 'below', k), `${below} Pa`, { origin: 'measured', plusMinus: '2' })
    await bench.type(await nth(bench, 'suction', k), `${suction} Pa`, { origin: 'measured', plusMinus: '2' })
  }
  await bench.expectFigure('Gaps, as they follow from the readings', /cm/)
  await page.getByRole('button', { name: 'Let the gaps follow the readings' }).click()
  await expect(page.getByText('The gaps follow the readings.')).toBeVisible()
  await expect(page.getByText(/^Gaps follow the readings/)).toBeVisible()
  await bench.choose('air.smoke', 'it comes out somewhere')
  await bench.expectMark('Smoke came out', 'stop')
  await page.getByRole('button', { name: 'Write the trial down' }).click()
  await expect(page.getByText('Smoke trial: smoke came out')).toBeVisible()
})

test('an adapter goes out as a closed surface that prints without support; a plate says what contradicts', async ({
  bench,
  page,
}) => {
  await bench.put(heron())
  await bench.openStage('heron', 'air', 'print')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as STL' }).first().click(),
  ])
  const bytes = readFileSync(await file.path())
  const count = bytes.readUInt32LE(80)
  expect(bytes.length).toBe(84 + 50 * count)
  // Read back corner by corner: what lies at the same place is one place.
  const places: [number, number, number][] = []
  const known = new Map<string, number>()
  const triangles = Array.from({ length: count }, (_, k) =>
    [0, 1, 2].map((i) => {
      const at = [0, 4, 8].map((o) => bytes.readFloatLE(84 + 50 * k + 12 + 12 * i + o)) as [number, number, number]
      const key = at.map((it) => it.toFixed(4)).join()
      const found = known.get(key) ?? places.push(at) - 1
      known.set(key, found)
      return found
    }),
  ) as unknown as readonly (readonly [number, number, number])[]
  const proof = proveMesh({ places, triangles })
  expect(proof.openEdges).toBe(0)
  expect(proof.overhang).toBeLessThan(Math.PI / 4 + 0.01)
  expect(meshToStl({ places, triangles }).length).toBe(bytes.length)
  await bench.type('air.prints.flange.pitch', '76')
  await expect(page.getByText(/come within 3 mm of the hole/).first()).toBeVisible()
  await bench.undo()
  const [svg] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Save as SVG' }).click()])
  expect(readFileSync(await svg.path(), 'utf8')).toContain('width="140mm"')
})
