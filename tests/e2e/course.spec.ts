import { machineWrong, nameOf, type LessonId } from '../../src/core/course'
import { drawFans, drawGlasses, drawMug } from '../../src/core/workshop'
import { lessonBench } from '../../src/data/lessonBench'
import { expect, test, type Driver } from './driver'

const AT = '2026-11-25T10:00:00.000Z'

/** Lays a lesson out whose number is known, and goes to its sheet. */
async function begin(bench: Driver, lesson: LessonId, number: number): Promise<void> {
  const bundle = lessonBench(lesson, number, AT)
  await bench.put(bundle)
  await bench.visit(`/bench/${bundle.bench.id}/controller/practice`)
}

async function toLesson({ page }: Driver): Promise<void> {
  await page.locator('[data-practice] a').click()
  await expect(page.locator('[data-plate="Lesson"]')).toBeVisible()
}

/** Hands the lesson in. @returns Its points. */
async function handIn(bench: Driver): Promise<number> {
  await toLesson(bench)
  await bench.page.getByRole('button', { name: 'Hand it in' }).click()
  return Number.parseInt((await bench.page.locator('[data-score]').textContent()) ?? '', 10)
}

test('a lesson of the first grade: labels are copied, the clear pair is worn, what was learnt is kept with the course', async ({
  bench,
  page,
}) => {
  await bench.visit()
  await page.getByRole('link', { name: 'The practice course' }).click()
  await expect(page.getByText('0 of 10 passed')).toBeVisible()
  await page.getByRole('button', { name: 'Begin: Choose eyewear' }).click()
  await expect(page.locator('[data-practice]')).toContainText('choose eyewear: nothing here is real')
  const [, number = ''] = /practice-lesson-eyewear-(\d+)/.exec(page.url()) ?? []
  const { pairs } = drawGlasses(Number(number))
  await page.getByRole('link', { name: 'Copy what is printed on each of the five.' }).click()
  const label = page.getByLabel('Its label, letter by letter')
  for (const { name, label: text } of pairs) {
    // Those that pass rise to the top as they are copied.
    const row = page
      .getByRole('list', { name: 'Eyewear' })
      .getByRole('listitem')
      .filter({ has: page.locator(`input[value="${name}"]`) })
    await row.first().getByLabel('Its label, letter by letter').fill(text)
    await page.keyboard.press('Enter')
  }
  await expect(label).toHaveCount(5)
  await page.getByRole('button', { name: 'These are worn' }).first().click()
  expect(await handIn(bench)).toBe(100)
  await page.getByLabel('What you want to remember of it').fill('No D, no good.')
  await bench.expectNoAxeFindings()
  await page.getByRole('link', { name: 'the course' }).click()
  await expect(page.getByText('1 of 10 passed')).toBeVisible()
  await expect(page.locator('[data-lesson="eyewear"]')).toContainText('No D, no good.')
  await bench.expectNoAxeFindings()
  // A lesson stands apart from the benches of real machines.
  await page.getByRole('link', { name: 'All benches' }).click()
  await expect(page.getByText('Practice machines and lessons: 1')).toBeVisible()
  await expect(page.getByText('Nothing yet.')).toBeVisible()
})

/** Second grade: a mug is measured, sits on the disc that fits, and its turn is read. */
async function holdMug(bench: Driver): Promise<void> {
  const { page } = bench
  const number = 31
  await begin(bench, 'mug', number)
  const { read, discs, work } = drawMug(number)
  await page.getByRole('link', { name: /^Enter the mug/ }).click()
  await page.getByLabel('What is to be turned').fill('Mug')
  await page.getByRole('button', { name: 'Add this object' }).click()
  const path = (await page.locator('[data-fact$=".length"][data-place="given"]').first().getAttribute('data-fact')) ?? ''
  const object = path.replace(/\.length$/, '')
  await bench.choose(`${object}.hollow`, 'hollow, open at the driven end')
  for (const [key, value] of [
    ['length', read.length],
    ['bore', read.bore],
    ['boreDepth', read.boreDepth],
    ['workFrom', work.from],
    ['workTo', work.to],
    ['workAround', 60],
  ] as const)
    await bench.type(`${object}.${key}`, String(value), { origin: 'measured', plusMinus: '0.1' })
  const [first, last] = [read.sections[0], read.sections.at(-1)]
  const field = (what: string, n: number) =>
    page.locator(`[data-fact^="${object}.sections."][data-fact$=".${what}"][data-place="given"]`).nth(n)
  for (const [n, it] of [first, last].entries())
    for (const what of ['at', 'diameter'] as const) {
      const at = (await field(what, n).getAttribute('data-fact')) ?? ''
      await bench.type(at, String(it?.[what]), { origin: 'measured', plusMinus: '0.05' })
    }
  await bench.part('Parts')
  await page
    .locator(`[data-holder="${discs.find((it) => it.fits)?.id}"]`)
    .getByRole('button', { name: 'Use this one' })
    .click()
  await bench.part('One turn')
  await page.getByRole('button', { name: 'Begin a run of turns' }).click()
  await page.getByRole('button', { name: 'Turn it on the stand-in, and read' }).click()
  await page.getByRole('button', { name: 'Use the steps of this run' }).click()
  expect(await handIn(bench)).toBeGreaterThanOrEqual(90)
  await expect(page.getByRole('list', { name: 'What was hidden' })).toContainText('A turn takes')
}

test('lessons of the second and third grade: a mug is held, a quiet fan that is enough is taken, something is found to be wrong', async ({
  bench,
  page,
}) => {
  test.setTimeout(180_000)
  await holdMug(bench)
  const number = 7
  await begin(bench, 'fan', number)
  await page.getByRole('link', { name: /^Read the air/ }).click()
  await page.getByRole('button', { name: 'Read the stand-in’s air' }).click()
  await page.getByRole('button', { name: 'Let the gaps follow' }).click()
  await bench.part('Fan and duct')
  const fan = drawFans(number).offers.find((it) => it.name.endsWith(', radial blower'))
  await bench.type('air.ways.out.parts.fan.freeFlow', `${Math.round((fan?.freeFlow ?? 0) * 3600)} m3/h`, { origin: 'stated' })
  await bench.type('air.ways.out.parts.fan.shutOff', `${fan?.shutOff} Pa`, { origin: 'stated' })
  expect(await handIn(bench)).toBeGreaterThanOrEqual(90)

  await begin(bench, 'wrong', 12)
  await page.getByLabel('What it is').selectOption(nameOf('warp'))
  await page.getByRole('button', { name: 'Name it' }).click()
  await page.getByRole('link', { name: 'What is wrong', exact: true }).click()
  await page
    .getByRole('button', { name: /^Read it of the lesson’s burn/ })
    .first()
    .click()
  await expect(page.getByText('Given, what was read')).toBeVisible()
  await toLesson(bench)
  const { fault } = machineWrong(12)
  await page.getByLabel('What it is').selectOption(nameOf(fault === 'nothing' ? 'none' : fault))
  await page.getByRole('button', { name: 'Name it' }).click()
  // One wrong name costs all of its points; the time for one reading nothing.
  expect(await handIn(bench)).toBe(50)
})
