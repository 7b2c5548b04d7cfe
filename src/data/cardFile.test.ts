import { expect, it } from 'vitest'
import { PLAIN_LINK } from '../core/controller'
import { heron } from './heron'
import { readCardFile, writeCardFile } from './cardFile'

const { output } = heron().bench
const code = (text: string): string => {
  const read = readCardFile(text)
  return read.ok ? 'taken' : (read.findings[0]?.code ?? '')
}

it('a card comes back from its file as it went, with its link', () => {
  const mine = {
    card: { ...output.card, timing: 'atOnce' as const, header: 'G28' },
    link: { ...PLAIN_LINK, baud: 9600, stop: '\\x18' },
  }
  const read = readCardFile(writeCardFile(mine))
  expect(read).toMatchObject({ ok: true, value: mine })
})

it('what is no card, lacks something, or would leave the beam on is refused, and says where', () => {
  expect(code('G21')).toBe('card-file')
  expect(code('{"kind":"fine-kerf.keys"}')).toBe('card-file')
  const { decimals: _, ...card } = output.card
  const lacking = readCardFile(JSON.stringify({ kind: 'fine-kerf.card', version: 1, card, link: PLAIN_LINK }))
  expect(lacking.findings[0]?.message).toContain('card.decimals')
  expect(code(writeCardFile({ card: { ...output.card, beamOff: '' }, link: PLAIN_LINK }))).toBe('no-beam-off')
  expect(code(writeCardFile({ card: output.card, link: { ...PLAIN_LINK, refused: 'ok' } }))).toBe('alike')
  expect(code(writeCardFile({ card: { ...output.card, timing: 'atOnce', dwell: '' }, link: PLAIN_LINK }))).toBe('no-wait')
})
