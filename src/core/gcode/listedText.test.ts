import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ListedText } from './listedText'

const END = fc.constantFrom('\n', '\r\n', '\r')

describe('the listing of a program', () => {
  it('has the lines that were written, whatever ends them', () => {
    const rows = fc.array(fc.tuple(fc.stringMatching(/^[GXYS0-9. ]{0,12}$/), END), { maxLength: 40 })
    fc.assert(
      fc.property(rows, (all) => {
        // A carriage return before a line feed of its own would be one end, as it is for the reader.
        fc.pre(all.every(([, end], i) => end !== '\r' || !(all[i + 1]?.[0] === '' && all[i + 1]?.[1].startsWith('\n'))))
        const text = all.map(([line, end]) => line + end).join('')
        const listed = new ListedText(text)
        expect(listed.lines(1, listed.count)).toEqual(all.map(([line]) => line))
      }),
    )
  })

  it('hands out what is there of what is asked for, and cuts what is too long to be shown', () => {
    const listed = new ListedText(`G21\nG1 X1\n(${'a'.repeat(500)})\nM2`)
    expect(listed.count).toBe(4)
    expect(listed.lines(0, 3)).toEqual(['G21', 'G1 X1'])
    expect(listed.lines(4, 9)).toEqual(['M2'])
    expect(listed.lines(3, 1)[0]).toMatch(/^\(a{399} …$/)
    expect(new ListedText('').lines(1, 5)).toEqual([])
  })
})
