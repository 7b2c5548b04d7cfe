import { expect, test } from './driver'

test.describe('storage that fails', () => {
  test('a bench changed in another window is not saved over: reload, or keep as a copy', async ({ bench, page, context }) => {
    await bench.openDemo()
    await bench.type('motion.wantedSpeed', '190')
    await bench.saved()
    const other = await context.newPage()
    await other.goto(page.url())
    await other.getByRole('heading', { name: 'Will it move truly?' }).waitFor()
    await bench.type('motion.wantedSpeed', '180')
    await bench.saved()
    const second = new (bench.constructor as new (it: typeof other) => typeof bench)(other)
    await second.type('motion.wantedSpeed', '170')
    await expect(other.getByText('was changed elsewhere')).toBeVisible()
    await other.getByRole('button', { name: 'Keep mine as a copy' }).click()
    await expect(other.getByText('Heron (copy)')).toBeVisible()
    await expect(second.field('motion.wantedSpeed')).toContainText('170')
    await page.reload()
    await expect(bench.field('motion.wantedSpeed')).toContainText('180')
  })

  test('a full disk is said, offers the file, and saves again when there is room', async ({ bench, page }) => {
    await bench.openDemo()
    await page.evaluate(() => {
      const store = IDBObjectStore.prototype
      const put = Object.getOwnPropertyDescriptor(store, 'put') as PropertyDescriptor
      Object.assign(window, { makeRoom: () => Object.defineProperty(store, 'put', put) })
      store.put = () => {
        throw new DOMException('full', 'QuotaExceededError')
      }
    })
    await bench.type('motion.wantedSpeed', '150')
    await expect(page.getByText('The disk is full')).toBeVisible()
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Export the bench file' }).click()
    expect((await download).suggestedFilename()).toMatch(/^Heron-.*\.bench\.zip$/)
    await page.getByRole('link', { name: 'Fine Kerf, all benches' }).click()
    await expect(page.getByRole('dialog', { name: 'The last changes are not saved' })).toBeVisible()
    await page.getByRole('button', { name: 'Stay here' }).click()
    await page.evaluate(() => (window as unknown as { makeRoom: () => void }).makeRoom())
    await page.getByRole('button', { name: 'Try again' }).click()
    await bench.saved()
    await page.reload()
    await expect(bench.field('motion.wantedSpeed')).toContainText('150')
  })
})

test('the keyboard: past the route in one step, on at the heading of each stage, and facts by the words people use', async ({
  bench,
  page,
}) => {
  await bench.openDemo()
  await page.keyboard.press('Tab')
  await expect(page.getByRole('link', { name: 'To the sheet' })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toBeFocused()
  await page.keyboard.press('Tab')
  await expect(page.getByRole('link', { name: /Machine$/ })).toBeFocused()
  await page.keyboard.press(']')
  await expect(page).toHaveURL(/\/power\//)
  await expect(page.getByRole('heading', { level: 1 })).toBeFocused()
  for (const [words, found] of [
    ['steps per mm', /Microsteps, X/],
    ['goggles', /Beam where it may meet the eyewear/],
    ['screw', /Fasteners/],
    ['quiet', /Schedule/],
    ['square', /Square and level/],
  ] as const) {
    await page.keyboard.press('Control+k')
    await page.getByPlaceholder('Find a stage, a fact or a command').fill(words)
    await expect(page.getByRole('option', { name: found }).first()).toBeVisible()
    await page.keyboard.press('Escape')
  }
})

test('the route, the palette and the keys lead everywhere', async ({ bench, page }) => {
  await bench.openDemo()
  await bench.openStage('heron', 'log')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('What happened')
  await page.keyboard.press('[')
  await expect(page).toHaveURL(/\/safety(\/|$)/)
  await bench.openStage('heron', 'safety', 'eyewear')
  await bench.expectMark(/Density of the eyewear passes/, 'good')
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible()
  await page.keyboard.press('Escape')
  await bench.palette('Wanted speed')
  await expect(page.getByLabel('Wanted speed', { exact: true })).toBeFocused()
  await page.keyboard.press('Escape')
  await page.goto(page.url().replace('/motion', '/paint'))
  await expect(page.getByText('There is no stage called “paint”')).toBeVisible()
  await page.goto('/bench/nobody/motion')
  await expect(page.getByText('There is no such bench in this browser')).toBeVisible()
  await page.goto('/kennel')
  await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible()
})

test('eyewear that is not dense enough is a stop on the nameplate', async ({ bench, page }) => {
  await bench.openDemo()
  await bench.inCell('eyewear', async () => {
    await bench.wear('D 440-470 LB5')
    await bench.expectMark(/not shown to be dense enough/, 'stop')
  })
  await expect(page.getByText('2 stops')).toBeVisible()
})

test.describe('a page that breaks', () => {
  test.use({ allowed: [/broken clock|PopoverAt|Failed to load resource/] })
  test('says what could not be loaded and what to do; offers the bench file and a way back', async ({ bench, page }) => {
    await page.route('**/assets/PopoverAt-*.js', (route) => route.abort('failed'))
    // What is put off is fetched at idle, and fails there.
    const failed = page.waitForEvent('requestfailed', (it) => it.url().includes('PopoverAt'))
    await bench.openDemo()
    await failed
    await bench.field('motion.wantedSpeed').click()
    await expect(page.getByRole('alert')).toContainText('This part could not be loaded')
    await page.unroute('**/assets/PopoverAt-*.js')
    await page.getByRole('button', { name: 'load the page again' }).click()
    await bench.standsOnMotion()
    await bench.field('motion.wantedSpeed').click()
    await bench.abandon()
    await page.evaluate(() => {
      Date.prototype.toLocaleTimeString = () => {
        throw new Error('broken clock')
      }
    })
    await bench.attempt('motion.wantedSpeed', '140')
    await expect(page.getByRole('heading', { name: 'This page broke' })).toBeVisible()
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Export “Heron” as a file' }).click()
    expect((await download).suggestedFilename()).toContain('Heron')
    await page.getByRole('button', { name: 'Load the page again' }).click()
    await expect(bench.field('motion.wantedSpeed')).toContainText('140')
  })
})
