import { existsSync, readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { STAGES } from '../../src/screens/stages'

const rows = readFileSync('docs/moments.md', 'utf8')
  .split('\n')
  .flatMap((line) => {
    const found = /^\| (?!What a person|---)(.+?) +\| (\w+\/\w+) +\| `([^`]+)`: (.+?) +\|$/.exec(line)
    return found === null ? [] : [found.slice(1) as [string, string, string, string]]
  })

it.each(rows)('%s: taken over at %s, shown by %s', (_, screen, file, words) => {
  expect(STAGES.flatMap((stage) => stage.parts.map((part) => `${stage.id}/${part.id}`))).toContain(screen)
  expect(existsSync(file), file).toBe(true)
  expect(readFileSync(file, 'utf8').toLowerCase(), `${file}: ${words}`).toContain(words.toLowerCase())
})

it('every stage takes something over, and no line of the tables is misread', () => {
  const stages = new Set(rows.map(([, screen]) => screen.split('/')[0]))
  expect(STAGES.map((it) => it.id).filter((id) => !stages.has(id))).toEqual([])
  const lines = readFileSync('docs/moments.md', 'utf8').split('\n')
  expect(lines.filter((it) => it.startsWith('| ') && !it.startsWith('| What a person') && !it.startsWith('| ---'))).toHaveLength(
    rows.length,
  )
})
