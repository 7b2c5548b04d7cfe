import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { STAGES } from '../../src/screens/stages'

const pictures = readdirSync('docs/screenshots').map((it) => it.replace('.png', ''))

it('every stage has its picture, two at most; all are linked from the README, under 20', () => {
  const of = (id: string): readonly string[] => pictures.filter((it) => it === id || it.startsWith(`${id}-`))
  for (const { id } of STAGES) {
    expect(of(id).length, id).toBeGreaterThanOrEqual(1)
    expect(of(id).length, id).toBeLessThanOrEqual(2)
  }
  const readme = readFileSync('README.md', 'utf8')
  expect(pictures.filter((it) => !readme.includes(`docs/screenshots/${it}.png`))).toEqual([])
  expect(pictures.length).toBeLessThan(20)
})

it.each(['README.md', 'docs/architecture.md'])('every file that %s links to is there', (file) => {
  const links = [...readFileSync(file, 'utf8').matchAll(/\]\((?!https?:)([^)#]+)/g)].map(([, link = '']) => link)
  expect(links.filter((link) => !existsSync(link))).toEqual([])
})
