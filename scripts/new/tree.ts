import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname } from 'node:path'

/** Files as they are and as they will be: nothing is written before everything is known to fit. */
export class Tree {
  private readonly changed = new Map<string, string>()

  read(path: string): string {
    const text = this.changed.get(path) ?? (existsSync(path) ? readFileSync(path, 'utf8') : undefined)
    if (text === undefined) throw new Error(`There is no ${path}.`)
    return text
  }

  has(path: string): boolean {
    return this.changed.has(path) || existsSync(path)
  }

  list(folder: string): readonly string[] {
    return readdirSync(folder).map((name) => `${folder}/${name}`)
  }

  /** A new file. @throws {Error} where there is one already. */
  add(path: string, text: string): void {
    if (this.has(path)) throw new Error(`${path} is there already.`)
    this.changed.set(path, text)
  }

  change(path: string, edit: (text: string) => string): void {
    this.changed.set(path, edit(this.read(path)))
  }

  /** Puts a line in behind the last line that matches. @throws {Error} where none does. */
  insertAfter(path: string, pattern: RegExp, line: string): void {
    this.change(path, (text) => {
      const lines = text.split('\n')
      const at = lines.findLastIndex((it) => pattern.test(it))
      if (at < 0) throw new Error(`${path} has no line like ${String(pattern)}: put in by hand: ${line}`)
      return [...lines.slice(0, at + 1), line, ...lines.slice(at + 1)].join('\n')
    })
  }

  /** Puts a line in before the first line that matches. @throws {Error} where none does. */
  insertBefore(path: string, pattern: RegExp, line: string): void {
    this.change(path, (text) => {
      const lines = text.split('\n')
      const at = lines.findIndex((it) => pattern.test(it))
      if (at < 0) throw new Error(`${path} has no line like ${String(pattern)}: put in by hand: ${line}`)
      return [...lines.slice(0, at), line, ...lines.slice(at)].join('\n')
    })
  }

  files(): ReadonlyMap<string, string> {
    return this.changed
  }

  save(): void {
    for (const [path, text] of this.changed) {
      mkdirSync(dirname(path), { recursive: true })
      writeFileSync(path, text)
    }
  }
}

export type Options = Readonly<Record<string, string>>

/** An option that must be given. @throws {Error} saying which. */
export function needed(options: Options, name: string, example: string): string {
  const value = options[name]
  if (value === undefined) throw new Error(`Say --${name}, such as --${name} ${example}.`)
  return value
}

/** `optics` for `OpticsBench`. */
export function capital(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1)
}
