import { readFileSync } from 'node:fs'
import axe from 'axe-core'
import { expect, test as base, type Download, type Locator, type Page } from '@playwright/test'
import { placeOf } from '../../src/core/document'
import { putBench } from '../../scripts/putBench'
import type { BenchBundle } from '../../src/data'
import { STAGES } from '../../src/screens/stages'

function partCalled(name: string) {
  const found = STAGES.flatMap((stage) => stage.parts.map((part) => ({ stage, part }))).find((it) => it.part.name === name)
  if (found === undefined) throw new Error(`no stage has a part called ${name}`)
  return found
}

/** A fact typed by a person; without an origin it is taken as the editor proposes. */
export interface Typed {
  readonly origin?: 'measured' | 'stated' | 'assumed'
  readonly plusMinus?: string
  readonly instrument?: string
}

/** The product in the user's verbs. Tests say what a person does; how the page is built is known here only. */
export class Driver {
  constructor(readonly page: Page) {}

  async visit(path = '/'): Promise<void> {
    await this.page.goto(path)
  }

  async openDemo(): Promise<void> {
    await this.visit()
    await this.page.getByRole('button', { name: 'Open the demo bench' }).click()
    await this.standsOnMotion()
  }

  async startEmpty(name: string, units: 'millimetres' | 'inches' = 'millimetres'): Promise<void> {
    await this.visit()
    await this.page.getByLabel('Name of the machine').fill(name)
    await this.page.getByRole('radio', { name: units }).check()
    await this.page.getByRole('button', { name: 'Start an empty bench' }).click()
    await expect(this.page.getByRole('heading', { name: 'What to do next', level: 1 })).toBeVisible()
    await this.page
      .getByRole('navigation', { name: 'Route' })
      .getByRole('link', { name: /Motion/ })
      .click()
    await this.standsOnMotion()
  }

  async standsOnMotion(): Promise<void> {
    await expect(this.page.getByRole('heading', { name: 'Will it move truly?' })).toBeVisible()
  }

  async openFromList(name: string): Promise<void> {
    await this.visit()
    await this.page.getByRole('link', { name, exact: true }).click()
    await this.standsOnMotion()
  }

  /** Puts a bench into the browser's store, as if it had been saved there. */
  async put(bundle: BenchBundle): Promise<void> {
    if (this.page.url() === 'about:blank') await this.visit()
    await putBench(this.page, bundle)
  }

  /** Goes to a stage of a stored bench, or to a part of it, and waits for its sheet. */
  async openStage(benchId: string, stage: string, part?: string): Promise<void> {
    const route = this.page.getByRole('navigation', { name: 'Route' })
    const address = `/bench/${benchId}/${stage}${part === undefined ? '' : `/${part}`}`
    if (this.page.url().includes(`/bench/${benchId}/`)) {
      await route.locator(`a[href*="/${stage}"]`).click()
      const link = this.page.locator(`main nav a[href="${address}"]`)
      const several = (STAGES.find((it) => it.id === stage)?.parts.length ?? 0) > 1
      if (several) await this.page.locator(`main nav a[href^="/bench/${benchId}/${stage}/"]`).first().waitFor()
      // A part that makes no sense for this machine is not offered; its address leads there all the same.
      if (several && (await link.count()) > 0) await link.click()
      else if (several) await this.page.goto(address)
    } else await this.page.goto(address)
    await expect(this.page.locator('main h1')).toBeVisible()
    await expect(this.page).toHaveURL(new RegExp(`${address}(/\\w+)?$`))
  }

  /** Which of some facts have no field on the sheet that is open, for any axis or block where they are chosen. */
  async fieldsMissing(paths: readonly string[]): Promise<readonly string[]> {
    const shown = async (): Promise<string[]> =>
      this.page.locator('main [data-fact]').evaluateAll((all) => all.map((it) => it.getAttribute('data-fact') ?? ''))
    const found = await shown()
    const missing = (): readonly string[] => paths.filter((it) => !found.includes(it))
    if (missing().length === 0) return []
    for (const axis of await this.page.getByRole('button', { name: /^([XYZ] axis|(left|right) motor)$/ }).all()) {
      await axis.click()
      found.push(...(await shown()))
    }
    for (const material of await this.page.getByRole('group', { name: 'Materials' }).getByRole('button').all()) {
      await material.click()
      found.push(...(await shown()))
    }
    const blocks = this.page.getByLabel('Block that is shown')
    for (const option of (await blocks.count()) === 0 ? [] : await blocks.locator('option').all()) {
      await blocks.selectOption((await option.getAttribute('value')) ?? '')
      found.push(...(await shown()))
    }
    return missing()
  }

  /** The field of a fact in the given sentences, or in a cell of the nameplate. */
  field(path: string, place = 'given'): Locator {
    return this.page.locator(`[data-fact="${path}"][data-place="${place}"]`)
  }

  async type(path: string, text: string, more: Typed = {}, place = 'given'): Promise<void> {
    await this.attempt(path, text, more, place)
    await expect(this.page.getByRole('button', { name: 'Enter', exact: true })).toHaveCount(0)
  }

  /** Types and presses Enter, whether or not it will be accepted. */
  async attempt(path: string, text: string, more: Typed = {}, place = 'given'): Promise<void> {
    await this.goToFact(path, place)
    await this.enterIn(this.field(path, place), text, more)
  }

  /** Opens the field of a fact, types and presses Enter. */
  async enterIn(field: Locator, text: string, more: Typed = {}): Promise<void> {
    await field.click()
    const editor = this.page.locator('form', { has: this.page.getByRole('button', { name: 'Leave as it was' }) })
    await editor.locator('input').first().fill(text)
    if (more.origin !== undefined) await editor.getByRole('radio', { name: more.origin }).check()
    if (more.instrument !== undefined) await editor.getByLabel('Read with').selectOption(more.instrument)
    if (more.plusMinus !== undefined) await editor.getByRole('textbox').nth(1).fill(more.plusMinus)
    await editor.getByRole('button', { name: 'Enter', exact: true }).click()
  }

  /** Copies the label of the eyewear that is worn, in its cell of the nameplate. */
  async wear(label: string): Promise<void> {
    const field = this.page.getByLabel('Label of the eyewear that is worn, letter by letter')
    await field.fill(label)
    await field.press('Enter')
  }

  async abandon(): Promise<void> {
    await expect(this.page.getByRole('button', { name: 'Leave as it was' })).toBeVisible()
    await this.page.keyboard.press('Escape')
  }

  /** Opens a cell of the nameplate, does something in it, and closes it. */
  async inCell(cell: string, act: () => Promise<void>): Promise<void> {
    await this.page.locator(`[data-cell="${cell}"]`).click()
    await act()
    await this.page.keyboard.press('Escape')
  }

  async chooseDrive(axis: string, drive: string): Promise<void> {
    await this.choose(`motion.axes.${axis}.drive`, drive)
  }

  /** Takes one of the words a choice offers. */
  async choose(path: string, words: string): Promise<void> {
    await this.field(path).click()
    await this.page.getByRole('dialog').getByRole('button', { name: words, exact: true }).click()
  }

  /** Opens a part of the stage that is open. */
  async part(name: string): Promise<void> {
    const { stage, part } = partCalled(name)
    await this.page
      .getByRole('navigation', { name: `Parts of ${stage.name}` })
      .getByRole('link', { name })
      .click()
    await expect(this.page).toHaveURL(new RegExp(`/${stage.id}/${part.id}$`))
  }

  /** Opens the part on which a fact is entered, where another one of its stage is open. */
  private async goToFact(path: string, place: string): Promise<void> {
    const { stage, part } = placeOf(path) ?? {}
    const here = new URL(this.page.url()).pathname.split('/')
    if (place !== 'given' || stage !== here[3] || part === null || part === here[4]) return
    const there = await this.field(path).count()
    const name = STAGES.find((it) => it.id === stage)?.parts.find((it) => it.id === part)?.name
    if (there === 0 && name !== undefined) await this.part(name)
  }

  async showAxis(letter: string): Promise<void> {
    await this.page.getByRole('button', { name: `${letter} axis` }).click()
  }

  /** A figure's row in what is worked. */
  figure(label: string): Locator {
    return this.page.getByRole('button', { name: new RegExp(`^${label}`) }).first()
  }

  async openWorking(label: string): Promise<void> {
    await this.figure(label).click()
  }

  async expectFigure(label: string, text: string | RegExp): Promise<void> {
    await expect(this.figure(label)).toContainText(text)
  }

  /** The verdict whose bold words match. */
  verdict(head: string | RegExp): Locator {
    return this.page.locator('li', { has: this.page.locator('strong', { hasText: head }) })
  }

  async expectMark(head: string | RegExp, mark: string): Promise<void> {
    await expect(this.verdict(head).getByRole('img').first()).toHaveAccessibleName(mark)
  }

  async undo(): Promise<void> {
    await this.page.getByRole('button', { name: 'Undo', exact: true }).click()
  }

  async redo(): Promise<void> {
    await this.page.getByRole('button', { name: 'Redo', exact: true }).click()
  }

  async saved(): Promise<void> {
    await expect(this.page.getByText(/^Saved \d/)).toBeVisible()
  }

  async exportBench(): Promise<Buffer> {
    const download = this.page.waitForEvent('download')
    await this.page.keyboard.press('Control+s')
    return bytesOf(await download)
  }

  async openFile(name: string, buffer: Buffer): Promise<void> {
    await this.page.getByLabel('Bench file').setInputFiles({ name, mimeType: 'application/zip', buffer })
  }

  /** Drops a file on the window. */
  async dropFile(name: string, buffer: Buffer, ...more: readonly string[]): Promise<void> {
    const given = [name, ...more].map((it) => ({ name: it, data: [...buffer] }))
    const transfer = await this.page.evaluateHandle((files) => {
      const it = new DataTransfer()
      for (const file of files) it.items.add(new File([new Uint8Array(file.data)], file.name))
      return it
    }, given)
    await this.page.dispatchEvent('body', 'drop', { dataTransfer: transfer })
  }

  /** Share of a plate's picture that is drawn in ember: red well above blue, and opaque. */
  async emberShare(): Promise<number> {
    return this.page.locator('canvas').evaluate((node: HTMLCanvasElement) => {
      const copy = new OffscreenCanvas(node.width, node.height)
      const pen = copy.getContext('2d')
      pen?.drawImage(node, 0, 0)
      const { data } = pen?.getImageData(0, 0, node.width, node.height) ?? { data: [] }
      let ember = 0
      for (let i = 0; i < data.length; i += 4) if ((data[i + 3] ?? 0) > 100 && (data[i] ?? 0) > (data[i + 2] ?? 0) + 90) ember++
      return ember / (data.length / 4)
    })
  }

  async deleteFromList(name: string): Promise<void> {
    await this.visit()
    await this.page.getByRole('button', { name: `Delete “${name}” …` }).click()
    await this.page.getByRole('button', { name: `Delete “${name}”`, exact: true }).click()
    await expect(this.page.getByRole('link', { name, exact: true })).toHaveCount(0)
  }

  async palette(words: string): Promise<void> {
    await this.page.keyboard.press('Control+k')
    await this.page.getByPlaceholder('Find a stage, a fact or a command').fill(words)
    await this.page.keyboard.press('Enter')
  }

  /** Drags one end of a dimension by px. */
  async dragDimension(path: string, dx: number, dy: number): Promise<void> {
    const box = await this.page.locator(`[data-drag="${path}"]`).boundingBox()
    if (box === null) throw new Error(`no dimension ${path}`)
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
    await this.page.mouse.move(x, y)
    await this.page.mouse.down()
    await this.page.mouse.move(x + dx, y + dy, { steps: 6 })
  }

  async letGo(): Promise<void> {
    await this.page.mouse.up()
  }

  /** The plate's scale, px for a millimetre. */
  async scale(): Promise<number> {
    return Number(await this.page.locator('[data-scale]').getAttribute('data-scale'))
  }

  /** @param rules Only these, where the rest was looked at in another theme. */
  async expectNoAxeFindings(rules: readonly string[] = []): Promise<void> {
    // What is being worked anew is drawn pale until it is here.
    await expect(this.page.locator('[aria-busy="true"]')).toHaveCount(0)
    // No page has frames, so axe runs in the page itself, and is brought there once for a document: it is large.
    if (!(await this.page.evaluate(() => 'axe' in globalThis))) await this.page.evaluate(axe.source)
    // Only what is violated is told node by node: the rest is thousands of lines that nobody reads.
    const runOnly = rules.length > 0 ? { runOnly: { type: 'rule' as const, values: [...rules] } } : {}
    const findings = await this.page.evaluate(
      async (options) => {
        const { violations } = await (globalThis as unknown as { readonly axe: typeof axe }).axe.run(document, options)
        return violations.map(({ id, nodes }) => `${id}: ${nodes.map((it) => it.html).join(' | ')}`)
      },
      { resultTypes: ['violations' as const], ...runOnly },
    )
    expect(findings).toEqual([])
  }
}

async function bytesOf(download: Download): Promise<Buffer> {
  return readFileSync(await download.path())
}

interface Fixtures {
  readonly bench: Driver
  readonly quiet: undefined
  /** Messages a test provokes on purpose. */
  readonly allowed: RegExp[]
}

/** Every test fails on a console message, a page error, a failed request or a breach of the page's policy. */
export const test = base.extend<Fixtures>({
  allowed: [[], { option: true }],
  quiet: [
    async ({ page, allowed }, use) => {
      const noise: string[] = []
      page.on('console', (it) => {
        if (!['error', 'warning'].includes(it.type()) || it.text().includes('registration blocked by Playwright')) return
        noise.push(`${it.type()}: ${it.text()}`)
      })
      page.on('pageerror', (it) => noise.push(`page error: ${it.message}`))
      // A request that a navigation cut off is no failure of the page.
      page.on(
        'requestfailed',
        (it) => it.failure()?.errorText !== 'net::ERR_ABORTED' && noise.push(`request failed: ${it.url()}`),
      )
      page.on('response', (it) => it.status() >= 400 && noise.push(`status ${it.status()}: ${it.url()}`))
      await page.addInitScript(() => {
        document.addEventListener('securitypolicyviolation', (it) =>
          console.error(`policy: ${it.violatedDirective} ${it.blockedURI}`),
        )
      })
      await use(undefined)
      expect(noise.filter((it) => !allowed.some((pattern) => pattern.test(it)))).toEqual([])
    },
    { auto: true },
  ],
  bench: async ({ page }, use) => use(new Driver(page)),
})

export { expect }
