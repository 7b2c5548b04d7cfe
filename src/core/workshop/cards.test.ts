import { describe, expect, it } from 'vitest'
import { CARDS, MOVE, PLAIN_CARD, readCard, readProgram, SPINDLE, writeProgram, type OutputCard, type Step } from '../gcode'
import { createStandIn } from '.'

const spec = { nominalSteps: { x: 80, y: 80 }, travel: { x: 430, y: 310 }, power: 5 }

/** Three lines of 20 mm, dark ways between them. */
function figure(powers: readonly number[]): readonly Step[] {
  return powers.flatMap((power, i): Step[] => [
    { kind: 'rapid', x: 10, y: 10 + 5 * i },
    { kind: 'line', x: 30, y: 10 + 5 * i, feed: 2, power },
  ])
}

function written(card: OutputCard, powers: readonly number[]): string {
  const made = writeProgram(figure(powers), card)
  if (!made.ok) throw new Error(made.findings.map((it) => it.message).join(' '))
  return made.value
}

/** What a program burns on the stand-in: whether each line is there. */
function burnt(program: string): readonly boolean[] {
  const machine = createStandIn({ spec, number: 7, fault: null, say: () => undefined })
  program
    .trimEnd()
    .split('\n')
    .forEach((line, i) => machine.receive(`${i + 1} load ${line}`))
  machine.receive('99999 run')
  machine.advance(Infinity)
  return machine.marks.map((it) => it !== null)
}

describe.each(CARDS.map((card) => [card.name, card] as const))('the card “%s”', (_, card) => {
  const powers = card.manner === 'switched' ? [1, 1, 1] : [1, 0.6, 0.8]
  const program = written(card, powers)

  it('is burnt by the stand-in: every line, and no way between', () => {
    expect(burnt(program)).toEqual([true, true, true])
  })

  it('is read back with its powers, dark on every way and dark at the end', () => {
    const { moves } = readProgram(program)
    const lit = Array.from({ length: moves.count }, (_it, i) => i).filter(
      (i) => moves.kind[i] !== MOVE.rapid && moves.spindle[i] !== SPINDLE.off && (moves.s[i] ?? 0) > 0,
    )
    expect(lit.map((i) => (moves.s[i] ?? 0) / 1000)).toEqual(powers)
    const lines = program.trimEnd().split('\n')
    expect(lines.lastIndexOf('M5')).toBeGreaterThan(lines.findLastIndex((it) => it.startsWith('G1')))
  })

  it('can be worked with, numbered, with a wait behind “beam on”, with air and in lines for arcs', () => {
    const more = { ...card, numbered: 10, afterOn: 0.2, airOn: 'M8', airOff: 'M9', arcs: 'lines' as const }
    expect(readCard(more).ok).toBe(true)
    const made = writeProgram(
      [
        { kind: 'rapid', x: 10, y: 10 },
        { kind: 'arc', x: 20, y: 10, centreX: 15, centreY: 10, clockwise: true, feed: 2, power: 1 },
      ],
      more,
    )
    const text = made.ok ? made.value : ''
    expect(text).not.toMatch(/G[23] /)
    expect(text).toMatch(/^N\d+0 G4 P0\.2$/m)
    const numbers = [...text.matchAll(/^N(\d+) /gm)].map((it) => Number(it[1]))
    expect(numbers).toEqual(numbers.map((_it, i) => 10 * (i + 1)))
    expect(text.indexOf('M8')).toBeLessThan(text.indexOf('G1 '))
    expect(text.lastIndexOf('M9')).toBeGreaterThan(text.lastIndexOf('M5'))
  })
})

it('where a word for the beam acts as soon as it is read, the moves before it are let come to their end', () => {
  const steps = [
    { kind: 'line', x: 10, y: 0, feed: 10, power: 0 },
    { kind: 'line', x: 20, y: 0, feed: 10, power: 0.5 },
    { kind: 'line', x: 30, y: 0, feed: 10, power: 0 },
  ] as const
  const made = writeProgram(steps, { ...PLAIN_CARD, timing: 'atOnce' })
  expect(made.ok && made.value.split('\n').slice(5, 13)).toEqual([
    'G1 X10 Y0 F600',
    'G4 P0.01',
    'M3 S500',
    'G1 X20 Y0',
    'G4 P0.01',
    'M5',
    'G1 X30 Y0',
    'M5',
  ])
})

describe('a card that cannot be worked with', () => {
  const codes = (card: Partial<OutputCard>): readonly string[] =>
    readCard({ ...PLAIN_CARD, ...card }).findings.map((it) => it.code)

  it.each<[string, Partial<OutputCard>, string]>([
    ['has no beam off', { beamOff: ' ' }, 'no-beam-off'],
    ['turns the beam on behind the last beam off', { footer: 'M3 S400\nM2' }, 'beam-left-on'],
    ['turns it on again with the air', { airOff: 'M3 S{power}' }, 'beam-left-on'],
    ['means on by off', { beamOff: 'M3 S500' }, 'off-is-on'],
    ['has a field that nothing fills in', { beamOn: 'M3 S{watts}' }, 'unknown-field'],
    ['has a field where none belongs', { header: 'G0 Z{height}' }, 'unknown-field'],
    ['switches and wants a power', { manner: 'switched' }, 'switched-power'],
    ['is to wait and cannot say for how long', { afterOn: 1, dwell: 'G4' }, 'no-seconds'],
    ['has no power in its moves', { manner: 'inMove', beamOn: 'M3 S0' }, 'no-power'],
  ])('%s', (_, card, code) => expect(codes(card)).toContain(code))

  it('refuses powers that its word cannot say, and says how coarse it is', () => {
    const made = (fullPower: number, powerDecimals: number, power: number) => {
      const { ok, findings } = writeProgram(figure([power]), { ...PLAIN_CARD, fullPower, powerDecimals })
      return [ok, findings.map((it) => it.code)]
    }
    // A full word of 1 without decimals: 30 % would be 0, 60 % full.
    expect(made(1, 0, 0.3)).toEqual([false, ['power-coarse']])
    expect(made(1, 0, 0.6)).toEqual([false, ['power-coarse']])
    expect(made(1, 0, 1)).toEqual([true, []])
    expect(made(1, 1, 0.3)).toEqual([true, []])
    expect(made(50, 0, 0.33)).toEqual([true, ['power-coarse']])
    expect(made(255, 0, 0.01)).toEqual([true, []])
  })

  it('refuses a power beyond full, and grey where it only switches', () => {
    const refused = (card: OutputCard, power: number) => {
      const made = writeProgram(figure([power]), card)
      return made.ok ? [] : made.findings.map((it) => it.code)
    }
    expect(refused(PLAIN_CARD, 1.2)).toEqual(['power-range'])
    expect(refused(PLAIN_CARD, -0.1)).toEqual(['power-range'])
    expect(refused(CARDS.find((it) => it.manner === 'switched') ?? PLAIN_CARD, 0.4)).toEqual(['no-grey'])
  })

  it('is read the same whatever stands in its texts', () => {
    expect(codes({ beamOff: 'M5\nM3 S0' })).toEqual([])
    expect(codes({})).toEqual([])
  })
})
