import type { Listed } from './listed'

/** How deep a list may go: beyond that it is no list of settings. */
const MOST_DEEP = 40
/** Of so many names beside one another none says more. */
const MOST_NAMES = 4

/**
 * Reads a list that is JSON, with where each value stands in it; null where it is none. Keys below one another are joined by
 * `/`; where a thing has a letter or a name beside its values, that is among their words.
 */
export function readJson(text: string): readonly Listed[] | null {
  if (!/^\uFEFF?\s*[[{]/.test(text)) return null
  try {
    const plain = text.replace(/^\uFEFF/, ' ')
    JSON.parse(plain)
    return new Scan(plain).all()
  } catch {
    return null
  }
}

interface Scalar {
  readonly path: readonly string[]
  readonly value: string
  readonly start: number
  readonly end: number
}

/** Walks a text that is known to be JSON, and notes where its scalars stand. */
class Scan {
  private at = 0
  private readonly text: string
  private readonly found: Scalar[] = []

  constructor(text: string) {
    this.text = text
  }

  all(): readonly Listed[] {
    this.value([])
    const names = this.names()
    let [line, upTo] = [1, 0]
    return this.found.flatMap(({ path, value, start, end }) => {
      for (; upTo < start; upTo++) if (this.text[upTo] === '\n') line++
      if (value === 'null') return []
      // Short texts that stand beside a value, or beside what holds it: a letter, a name.
      const beside = path.flatMap((_, depth) => names.get(path.slice(0, depth).join('/')) ?? [])
      const words = beside.filter((it) => it.key !== path.join('/')).map((it) => it.value)
      return [{ key: path.join('/'), text: value, words: words.join(' ').slice(0, 160), line, at: { start, end } }]
    })
  }

  /** Short texts by what holds them. */
  private names(): ReadonlyMap<string, readonly { readonly key: string; readonly value: string }[]> {
    const byHolder = new Map<string, { readonly key: string; readonly value: string }[]>()
    for (const { path, value } of this.found) {
      if (!/^[A-Za-z][\w -]{0,15}$/.test(value) || ['true', 'false', 'null'].includes(value) || path.length < 2) continue
      const holder = path.slice(0, -1).join('/')
      const held = byHolder.get(holder) ?? []
      if (held.length < MOST_NAMES) byHolder.set(holder, [...held, { key: path.join('/'), value }])
    }
    return byHolder
  }

  private blank(): void {
    while (/\s/.test(this.text[this.at] ?? '')) this.at++
  }

  private value(path: readonly string[]): void {
    if (path.length > MOST_DEEP) throw new RangeError('too deep')
    this.blank()
    const sign = this.text[this.at]
    if (sign === '{' || sign === '[') this.within(path, sign === '{')
    else this.scalar(path)
    this.blank()
  }

  private within(path: readonly string[], isObject: boolean): void {
    const close = isObject ? '}' : ']'
    this.at++
    this.blank()
    for (let i = 0; this.text[this.at] !== close; i++) {
      if (this.text[this.at] === ',') this.at++
      this.blank()
      const key = isObject ? this.string() : String(i)
      this.blank()
      if (isObject) this.at++
      this.value([...path, key])
    }
    this.at++
  }

  private scalar(path: readonly string[]): void {
    const start = this.at
    if (this.text[start] === '"') {
      const value = this.string()
      this.found.push({ path, value, start: start + 1, end: this.at - 1 })
      return
    }
    while (this.at < this.text.length && !/[,\]}\s]/.test(this.text[this.at] ?? '')) this.at++
    this.found.push({ path, value: this.text.slice(start, this.at), start, end: this.at })
  }

  private string(): string {
    const start = this.at
    for (this.at++; this.text[this.at] !== '"'; this.at++) if (this.text[this.at] === '\\') this.at++
    this.at++
    return JSON.parse(this.text.slice(start, this.at)) as string
  }
}
