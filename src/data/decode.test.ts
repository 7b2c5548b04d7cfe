import { describe, expect, it } from 'vitest'
import { decodeText } from './decode'

const bytes = (...list: number[]) => Uint8Array.from(list)
const utf16 = (text: string, big: boolean, mark: boolean) => {
  const codes = Array.from(mark ? `\uFEFF${text}` : text, (it) => it.charCodeAt(0))
  return Uint8Array.from(codes.flatMap((code) => (big ? [code >> 8, code & 255] : [code & 255, code >> 8])))
}
const read = (of: Uint8Array) => {
  const out = decodeText(of, 'x.nc')
  return out.ok ? [out.value, out.findings.map((it) => it.code)] : out.findings.map((it) => it.code)
}

describe('the text of a file', () => {
  it.each([
    ['UTF-8', new TextEncoder().encode('G1 X1 (°µ)'), 'G1 X1 (°µ)'],
    ['UTF-8 with its mark', new TextEncoder().encode('\uFEFFG1 X1'), 'G1 X1'],
    ['UTF-16, little end first', utf16('G1 X1\nM2', false, true), 'G1 X1\nM2'],
    ['UTF-16, big end first', utf16('G1 X1\nM2', true, true), 'G1 X1\nM2'],
    ['UTF-16 without a mark', utf16('G1 X1\nM2', false, false), 'G1 X1\nM2'],
    ['nothing', bytes(), ''],
  ])('%s is read as it stands', (_, of, text) => expect(read(of)).toEqual([text, []]))

  it('in Western letters is read and said, never altered in silence', () => {
    // “G1 (° é)” in Windows-1252.
    expect(read(bytes(0x47, 0x31, 0x20, 0x28, 0xb0, 0x20, 0xe9, 0x29))).toEqual(['G1 (° é)', ['encoding']])
  })

  it.each([
    ['a picture', bytes(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13)],
    ['a program of a computer', bytes(0x7f, 0x45, 0x4c, 0x46, 2, 1, 1, 0, 0, 0, 0, 0, 0, 0, 0)],
    ['half of a UTF-16 pair', bytes(0xff, 0xfe, 0x00, 0xd8, 0x41, 0x00)],
  ])('%s is refused as no text', (_, of) => expect(read(of)).toEqual(['not-text']))
})
