import { expect, type Locator, type Page } from '@playwright/test'

/** Somebody without a mouse: everything is come to by Tab, in the order of the page. */
export class Keyboarder {
  /** What had the focus and did not show it. */
  readonly unseen: string[] = []

  constructor(readonly page: Page) {}

  /** Tabs on until a thing has the focus; fails where it never comes. */
  async reach(target: Locator): Promise<void> {
    await target.first().waitFor()
    await target.first().evaluate((node: HTMLElement) => (node.dataset['reached'] = 'target'))
    for (let step = 0; step < 400; step++) {
      const found = await this.page.evaluate(() => {
        const at = document.activeElement
        if (!(at instanceof HTMLElement) || at.dataset['reached'] !== 'target') return null
        const { outlineStyle, outlineWidth, boxShadow, borderColor } = getComputedStyle(at)
        const isSeen = (outlineStyle !== 'none' && outlineWidth !== '0px') || boxShadow !== 'none'
        return { isSeen, words: `${at.tagName} ${at.textContent.trim().slice(0, 40)} ${borderColor}` }
      })
      if (found !== null) {
        if (!found.isSeen) this.unseen.push(found.words)
        await target.first().evaluate((node: HTMLElement) => delete node.dataset['reached'])
        return
      }
      await this.page.keyboard.press('Tab')
    }
    throw new Error(`Tab never comes to ${String(target)}`)
  }

  async press(target: Locator, key = 'Enter'): Promise<void> {
    await this.reach(target)
    await this.page.keyboard.press(key)
  }

  async write(target: Locator, text: string): Promise<void> {
    await this.reach(target)
    await this.page.keyboard.press('Control+a')
    await this.page.keyboard.insertText(text)
  }

  /** Opens a fact, types over what stands there, and enters it. */
  async fact(target: Locator, text: string): Promise<void> {
    await this.press(target)
    const editor = this.page.locator('form', { has: this.page.getByRole('button', { name: 'Leave as it was' }) })
    await expect(editor).toBeVisible()
    await this.page.keyboard.press('Control+a')
    await this.page.keyboard.insertText(text)
    await this.page.keyboard.press('Enter')
    await expect(editor).toHaveCount(0)
  }

  async stage(name: string): Promise<void> {
    const route = this.page.getByRole('navigation', { name: 'Route' })
    await this.press(route.getByRole('link', { name: new RegExp(`\\d ${name}`) }))
    await expect(this.page).toHaveURL(new RegExp(`/${name.toLowerCase()}(/|$)`))
    await expect(this.page.locator('main h1')).toBeVisible()
  }

  async part(name: string): Promise<void> {
    await this.press(this.page.locator('main nav').getByRole('link', { name }))
    await expect(this.page.locator('main h1')).toBeVisible()
  }
}
