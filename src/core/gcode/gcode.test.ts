import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { MOVE, PLAIN_CARD, readCard, readProgram, writeProgram, type Step } from '.'
import { surveyProgram } from '../planner'

const codes = (text: string) =>
  readProgram(text)
    .findings.filter((it) => it.severity === 'error')
    .map((it) => it.code)
const ends = (text: string) => {
  const { moves } = readProgram(text)
  return Array.from({ length: moves.count }, (_, i) => [moves.x[i], moves.y[i], moves.z[i]])
}

describe('lines', () => {
  it('reads blanks inside numbers, lower case and words run together (NISTIR 6556, 3.3, from memory)', () => {
    expect(ends('g0x +0. 12 34y 7')).toEqual([[0.1234, 7, 0]])
    expect(ends('N10G1X-.5Y+2.F600')).toEqual([[-0.5, 2, 0]])
  })

  it('passes over both kinds of comment, and a deletable line only where the switch says so', () => {
    expect(ends('G0 X1 (a move) Y2 ; and on')).toEqual([[1, 2, 0]])
    expect(ends('/G0 X1\nG0 X2')).toEqual([[2, 0, 0]])
    expect(readProgram('/G0 X1\nG0 X2', { deletable: true }).moves.count).toBe(2)
  })

  it('takes a byte-order mark for nothing and a lone carriage return for the end of a line', () => {
    expect(ends('\uFEFFG0 X1\rG0 X2\r\nG0 X3\nM2')).toEqual([
      [1, 0, 0],
      [2, 0, 0],
      [3, 0, 0],
    ])
    expect(codes('\uFEFFG0 X1\rM2')).toEqual([])
  })

  it('ends at M2, M30 or the second %, and says so where there is no end', () => {
    for (const end of ['M2', 'M30', '%']) {
      const { ended, moves, findingCount } = readProgram(`%\nG0 X1\n${end}\nG0 X9`)
      expect([ended, moves.count, findingCount]).toEqual([true, 1, 0])
    }
    expect(readProgram('G0 X1').findings.map((it) => it.code)).toEqual(['no-end'])
  })

  it.each([
    ['G1 X1..5 F9', 'stranger'],
    ['G0 X1e3', 'unknown-letter'],
    ['G0 X#6000', 'expression'],
    ['#4:2', 'expression'],
    ['G0 X[1+2', 'expression'],
    ['G0 U5', 'unknown-letter'],
    ['G0 X', 'no-number'],
    ['G0 X1 (open', 'open-comment'],
    ['G0 X1 (a (b) c)', 'nested-comment'],
    [`G0 X1 (${'x'.repeat(300)})`, 'long-line'],
    ['G0 X1 X2', 'letter-twice'],
    ['G0 G1 X1 F5', 'group-twice'],
    ['M7 M9', 'group-twice'],
    ['N1.5 G0 X1', 'line-number'],
    ['G84 X1', 'known-not-supported'],
    ['G41 X1', 'known-not-supported'],
    ['G123', 'unknown'],
    ['M106', 'unknown'],
    ['A1', 'known-not-supported'],
    ['M3 M7 M8 M0 M6', 'too-many-m'],
    ['G1 F-5 X1', 'negative'],
    ['G1 X5', 'no-feed'],
    ['G4', 'dwell-without-p'],
    ['G92', 'offset-without-axis'],
    ['G80\nX5', 'no-motion-mode'],
    ['G1 F5', 'no-axis'],
    ['G17 F60 G2 X10 Y0 I4 J0', 'arc'],
    ['F60 G2 X0 Y0 R5', 'arc'],
    ['F60 G3 X10 R4', 'arc'],
    ['F60 G2 X10 Y5', 'arc'],
  ])('%j is refused as %s', (text, code) => expect(codes(text)).toContain(code))

  it('gives all findings with line and column, and carries out the lines that are right', () => {
    const { findings, moves } = readProgram('G0 X1\nG0 Q5 W3\nG0 X2\nM2')
    expect(findings.map(({ code, line, column }) => [code, line, column])).toEqual([['unknown-letter', 2, 7]])
    expect([...moves.line]).toEqual([1, 3])
    expect(readProgram('M7 M8\nM2').findingCount).toBe(0) // both coolants together are allowed
  })
})

describe('carrying out', () => {
  it('keeps modes from line to line, and turns inches and minutes into mm and s', () => {
    expect(ends('G20 G91\nG1 X1 F60\nY1\nG90 G21\nX0')).toEqual([
      [25.4, 0, 0],
      [25.4, 25.4, 0],
      [0, 25.4, 0],
    ])
    expect(readProgram('G20\nG1 X1 F60').moves.feed[0]).toBeCloseTo(25.4, 12)
  })

  it('sets, suspends, restores and clears an offset of the coordinates', () => {
    const program = 'G0 X10\nG92 X0\nG0 X5\nG92.2\nG0 X5\nG92.3\nG0 X5\nG92.1\nG0 X5'
    expect(ends(program).map((it) => it[0])).toEqual([10, 15, 5, 15, 5])
  })

  it('does what the spindle word says before it moves (table 8, from memory): G1 X10 M5 is dark', () => {
    const { moves } = readProgram('M3 S500 F600\nG1 X5\nG1 X10 M5\nS7\nG1 X11')
    expect([...moves.spindle]).toEqual([1, 0, 0])
    expect([...moves.s]).toEqual([500, 500, 7])
  })

  it.each([
    ['quarter by I, J', 'F60 G3 X0 Y10 I-10 J0', 0, 0],
    ['the same by R', 'F60 G3 X0 Y10 R10', 0, 0],
    ['the long way by R', 'F60 G3 X0 Y10 R-10', 10, 10],
    ['clockwise by R', 'F60 G2 X0 Y10 R10', 10, 10],
    ['a whole turn', 'F60 G2 X10 Y0 I-4', 6, 0],
  ])('finds the centre of an arc: %s', (_, arc, a, b) => {
    const { moves } = readProgram(`G0 X10\n${arc}`)
    expect([moves.centreA[1], moves.centreB[1]]).toEqual([expect.closeTo(a, 9), expect.closeTo(b, 9)])
  })

  it('reads the arcs of NISTIR 6556, 3.5.3 (from memory)', () => {
    // By centre: from X7 Y7, I3 J4 put the centre at X10 Y11, 5 from both ends; Z rises to 9 on the way.
    const byCentre = readProgram('G0 X7 Y7 Z7\nF60 G17 G2 x 10 y 16 i 3 j 4 z 9\nM2')
    expect([byCentre.errorCount, byCentre.moves.centreA[1], byCentre.moves.centreB[1], byCentre.moves.z[1]]).toEqual([
      0, 10, 11, 9,
    ])
    // By radius: a helix of radius 20 to X10 Y15 Z5, clockwise; its centre is 20 from both ends.
    const { moves } = readProgram('F60 G17 G2 x 10 y 15 r 20 z 5\nM2')
    const [a, b] = [moves.centreA[0]!, moves.centreB[0]!]
    expect([Math.hypot(a, b), Math.hypot(a - 10, b - 15)]).toEqual([expect.closeTo(20, 9), expect.closeTo(20, 9)])
    expect(10 * b - 15 * a).toBeLessThan(0) // clockwise, at most half a turn: the centre lies right of the way
  })

  it.each([
    ['G18', 'G18 F60 G2 X10 Z0 I5 K0', [0, 5]],
    ['G19', 'G19 F60 G3 Y10 Z0 J5 K0', [5, 0]],
  ])('takes the centre in the plane in force: %s', (_, program, centre) => {
    const { moves, errorCount } = readProgram(`${program}\nM2`)
    expect([errorCount, moves.centreA[0], moves.centreB[0]]).toEqual([0, ...centre])
  })

  it('keeps waits in their place', () => {
    const { moves } = readProgram('G0 X1\nG4 P0.5\nG0 X2')
    expect([...moves.kind]).toEqual([MOVE.rapid, MOVE.dwell, MOVE.rapid])
    expect(moves.feed[1]).toBe(0.5)
  })
})

describe('writing through an output card', () => {
  const coordinate = fc.double({ min: -400, max: 400, noNaN: true }).map((it) => Math.round(it * 1000) / 1000 + 0)
  const feed = fc.integer({ min: 1, max: 300 })
  const power = fc.integer({ min: 0, max: 1000 }).map((it) => it / 1000)
  const step: fc.Arbitrary<Step> = fc.oneof(
    fc.record({ kind: fc.constant('rapid' as const), x: coordinate, y: coordinate }),
    fc.record({ kind: fc.constant('line' as const), x: coordinate, y: coordinate, feed, power }),
    fc.record({ kind: fc.constant('remark' as const), text: fc.string({ maxLength: 60 }) }),
  )

  it('what was written reads back exactly, the beam on where it should be and nowhere else (seed 21)', () => {
    fc.assert(
      fc.property(fc.array(step, { maxLength: 40 }), (steps) => {
        const written = writeProgram(steps, PLAIN_CARD)
        const { moves, findings, ended } = readProgram(written.ok ? written.value : '')
        expect([findings, ended]).toEqual([[], true])
        const wanted = steps.filter((it) => it.kind === 'rapid' || it.kind === 'line')
        expect(moves.count).toBe(wanted.length)
        wanted.forEach((it, i) => {
          const on = it.kind === 'line' && it.power > 0
          expect([moves.x[i], moves.y[i], moves.spindle[i] === 1]).toEqual([it.x, it.y, on])
          if (it.kind === 'line') expect(moves.feed[i]).toBeCloseTo(it.feed, 9)
          if (on) expect(moves.s[i]).toBeCloseTo(it.power * 1000, 9)
        })
      }),
      { seed: 21, numRuns: 300 },
    )
  })

  it('writes arcs and inches that read back to the decimals written', () => {
    const written = writeProgram(
      [
        { kind: 'rapid', x: 10, y: 0 },
        { kind: 'arc', x: 0, y: 10, centreX: 0, centreY: 0, clockwise: false, feed: 20, power: 0.5 },
        { kind: 'wait', seconds: 0.25 },
      ],
      { ...PLAIN_CARD, units: 'inch', decimals: 5 },
    )
    const { moves, errorCount } = readProgram(written.ok ? written.value : '')
    expect([errorCount, moves.count]).toEqual([0, 3])
    expect([moves.y[1], moves.centreA[1], moves.feed[2]]).toEqual([expect.closeTo(10, 3), expect.closeTo(0, 3), 0.25])
  })

  it('refuses a card that cannot turn the beam off, and says what to fill in', () => {
    const bad = { ...PLAIN_CARD, beamOff: ' ' }
    expect(writeProgram([], bad)).toMatchObject({ ok: false, findings: [{ code: 'no-beam-off', path: 'beamOff' }] })
    expect(readCard({ ...PLAIN_CARD, beamOn: 'M3' })).toMatchObject({
      ok: true,
      findings: [{ severity: 'warning', code: 'no-power' }],
    })
    expect(readCard({ ...PLAIN_CARD, decimals: 9 })).toMatchObject({ ok: false, findings: [{ path: 'decimals' }] })
  })

  it('turns the beam off first and last', () => {
    const written = writeProgram([{ kind: 'line', x: 1, y: 0, feed: 5, power: 1 }], PLAIN_CARD)
    const lines = written.ok ? written.value.trim().split('\n') : []
    expect(lines.filter((it) => /M[35]/.test(it))).toEqual(['M5', 'M3 S1000', 'M5'])
    expect(lines.at(-1)).toBe('M2')
  })
})

describe('arcs through an output card (seed 23)', () => {
  const coordinate = fc.double({ min: -200, max: 200, noNaN: true })
  const arcStep = fc
    .record({
      plane: fc.constantFrom(17 as const, 18 as const, 19 as const),
      centre: fc.tuple(coordinate, coordinate, coordinate),
      radius: fc.double({ min: 0.01, max: 150, noNaN: true }),
      start: fc.double({ min: -4, max: 4, noNaN: true }),
      swept: fc.oneof(fc.double({ min: 1e-4, max: 6.28, noNaN: true }), fc.constantFrom(2 * Math.PI, Math.PI, 1e-6, 6.2831)),
      clockwise: fc.boolean(),
    })
    .map(({ plane, centre, radius, start, swept, clockwise }) => {
      const [a, b] = plane === 17 ? [0, 1] : plane === 18 ? [2, 0] : [1, 2]
      const at = (angle: number) => {
        const point: [number, number, number] = [...centre]
        point[a] = centre[a]! + radius * Math.cos(angle)
        point[b] = centre[b]! + radius * Math.sin(angle)
        return { x: point[0], y: point[1], z: point[2] }
      }
      const whole = swept === 2 * Math.PI
      const end = whole ? at(start) : at(start + (clockwise ? -swept : swept))
      const [centreX, centreY, centreZ] = centre
      const begin: Step = { kind: 'rapid', ...at(start) }
      const arc: Step = { kind: 'arc', ...end, plane, centreX, centreY, centreZ, clockwise, feed: 20, power: 1 }
      return { begin, arc, length: radius * swept }
    })

  it('never writes one that the reader refuses, and none that goes another way round', () => {
    fc.assert(
      fc.property(
        arcStep,
        fc.integer({ min: 1, max: 6 }),
        fc.constantFrom('mm' as const, 'inch' as const),
        ({ begin, arc, length }, decimals, units) => {
          const written = writeProgram([begin, arc], { ...PLAIN_CARD, decimals, units })
          const { moves, findings } = readProgram(written.ok ? written.value : 'not written')
          expect(findings.filter((it) => it.severity === 'error')).toEqual([])
          const { burntLength } = surveyProgram(written.ok ? written.value : '', null)
          const grid = 10 ** -decimals * (units === 'mm' ? 1 : 25.4)
          // Short lines on a coarse grid zigzag; an arc that were read the other way round is longer or shorter by far.
          expect(Math.abs(burntLength - length)).toBeLessThan(0.35 * length + 8 * grid)
          expect(moves.count).toBeGreaterThan(0)
        },
      ),
      { seed: 23, numRuns: 1500 },
    )
  })

  it('keeps an arc wherever its decimals allow, and says where they do not', () => {
    const quarter: Step[] = [
      { kind: 'rapid', x: 10, y: 0 },
      { kind: 'arc', x: 7.0710678, y: 7.0710678, centreX: 0, centreY: 0, clockwise: false, feed: 20, power: 1 },
    ]
    const kinds = (decimals: number) => {
      const written = writeProgram(quarter, { ...PLAIN_CARD, decimals })
      return [written.ok && written.value.includes('G3'), written.findings.map((it) => it.code)]
    }
    expect(kinds(3)).toEqual([true, []])
    expect(kinds(1)).toEqual([false, ['arc-as-lines']])
  })

  it('in inches accepts radii that differ by 0.0002 in and not by more (NISTIR 6556, 3.5.3, from memory)', () => {
    const arc = (j: string) => `G20 G0 X0 Y0\nG2 X1 Y0 I.5 J${j} F10\nM2`
    expect(codes(arc('0'))).toEqual([])
    const off = (end: string) => codes(`G20 G0 X0 Y0\nG2 X${end} Y0 I.5 J0 F10\nM2`)
    expect([off('1.00019'), off('1.00021')]).toEqual([[], ['arc']])
    expect(codes('G21 G0 X0 Y0\nG2 X10.0021 Y0 I5 J0 F10\nM2')).toEqual(['arc'])
  })
})

describe('words that nothing uses (NISTIR 6556, from memory)', () => {
  it.each([
    ['R beside I or J', 'G2 X10 R5 I5 F60'],
    ['K in the XY plane', 'G17 G2 X10 I5 K1 F60'],
    ['J in the ZX plane', 'G18 G2 X10 I5 J1 F60'],
    ['I with a straight move', 'G1 X10 I5 F60'],
    ['J with a rapid move', 'G0 X10 J5'],
    ['P without a wait', 'G1 X10 P2 F60'],
    ['R with a straight move', 'G1 X10 R2 F60'],
    ['I on a line of its own', 'G2 X10 I5 F60\nI5'],
    ['R in a line that sets the feed', 'F60 R3'],
  ])('%s', (_, program) => {
    expect(codes(`${program}\nM2`)).toEqual(['no-use'])
  })

  it('a move and G92 on one line would both take the coordinates; clearing the offset takes none', () => {
    expect(codes('F60 G1 G92 X5\nM2')).toEqual(['no-use'])
    expect(ends('F60 G92 X5\nG1 G92.1 X7\nM2')).toEqual([[7, 0, 0]])
    expect(codes('G92 X5\nM2')).toEqual([])
  })
})

describe('subroutines, as a card states them', () => {
  const subroutines = { call: 'M98 P{number} L{times}', begins: 'O{number}', ends: 'M99' }
  const run = (text: string) => readProgram(text, { subroutines })
  const xs = (text: string) => [...run(text).moves.x]
  const wrong = (text: string) =>
    run(text)
      .findings.filter((it) => it.severity === 'error')
      .map((it) => [it.line, it.code])

  it('are carried out as often as the call says, inside one another too, and the program goes on behind the call', () => {
    const text = 'G91 F60\nG1 X1\nM98 P7 L2\nX100\nM2\nO7 (two steps)\nX10\nN5 m98 p8\nM99\nO8\nX1000\nM99\n'
    expect(xs(text)).toEqual([1, 11, 1011, 1021, 2021, 2121])
    expect([...run(text).moves.line]).toEqual([2, 7, 11, 7, 11, 4])
    expect(wrong(text)).toEqual([])
  })

  it('say what is wrong: none of that number, no end, an end without a call, too deep, round for ever', () => {
    expect(wrong('M98 P7\nM2\n')).toEqual([[1, 'no-subroutine']])
    expect(wrong('F60 G1 X1\nM98 P7\nM2\nO7\nX5\n')).toEqual([[2, 'no-end-of-subroutine']])
    expect(wrong('F60 G1 X1\nM99\nM2\n')).toEqual([[2, 'no-call']])
    expect(wrong('M98 P7\nM2\nO7\nM98 P7\nM99\n')).toContainEqual([4, 'too-deep'])
    const nested = Array.from({ length: 9 }, (_, k) => `O${k}\nM98 P${k + 1} L9999\nM99\n`).join('')
    expect(wrong(`M98 P0\nM2\n${nested}O9\nM99\n`)).toContainEqual([expect.any(Number), 'endless'])
  })

  it('are known and not supported where no card states them', () => {
    expect(codes('M98 P7\nM2')).toEqual(['unknown'])
  })
})

describe('words that are left out, and what is in force', () => {
  it('an M word or a letter goes; a line with such a G word goes whole, for its numbers would mean something else', () => {
    const text = 'G21 F600\nM106 S200\nG1 X5 E12\nG28 X0 Y0\nX7 M107\nM2\n'
    expect(readProgram(text).strangers).toEqual([
      { name: 'M106', count: 1, line: 2 },
      { name: 'G28', count: 1, line: 4 },
      { name: 'M107', count: 1, line: 5 },
      { name: 'E', count: 1, line: 3 },
    ])
    const read = readProgram(text, { leaveOut: ['M106', 'G28', 'M107', 'E'] })
    expect([read.errorCount, [...read.moves.x], [...read.moves.s]]).toEqual([0, [5, 7], [200, 200]])
  })

  it('says what stands in force at a line', () => {
    const text = 'G20 F60\nG91 G18\nM4 S30\nG92 X1\nG0 X2\nG2 X1 Z0 I.5\nM2\n'
    expect(readProgram(text, { until: 5 }).modes).toEqual({
      motion: 'G0',
      plane: 18,
      isAbsolute: false,
      isInches: true,
      feed: 25.4,
      s: 30,
      spindle: 'counter-clockwise',
      place: [50.8, 0, 0],
      offset: [-25.4, 0, 0],
    })
    expect(readProgram(text, { until: 1 }).modes.isAbsolute).toBe(true)
  })
})

describe('files that are far from a program', () => {
  it.each([
    ['words', 'X1'],
    ['expressions', 'X[1+1]'],
    ['settings', '#1=2'],
    ['comments', '(a(b)'],
    ['open comments', '('],
    ['letters', 'XYZ'],
    ['digits', '7'],
    ['blanks', ' '],
    ['brackets', 'X[['],
  ])('a line of ten megabytes of %s is refused in words, with its column, and the next line is read', (_, part) => {
    const text = `${part.repeat(10_000_000 / part.length)}\nG1 Y5 F60\nM2\n`
    const { findings, moves } = readProgram(text)
    const [first] = findings
    expect([first?.severity, first?.line, (first?.column ?? 0) > 0]).toEqual(['error', 1, true])
    expect([moves.count, moves.line[0]]).toEqual([1, 2])
  })

  it('reads a byte-order mark, lone carriage returns, and coordinates that overflow', () => {
    expect(ends('\ufeffG1 X1 F60\rY2\rM2\r')).toEqual([
      [1, 0, 0],
      [1, 2, 0],
    ])
    const { findings, moves } = readProgram(`F60 G1 Y1\nX${'9'.repeat(400)}\nX1\nX1.#INF\nXNAN\nM2\n`)
    expect([...new Set(findings.map((it) => it.line))]).toEqual([2, 4, 5])
    expect([...moves.x]).toEqual([0, 1])
  })
})

describe('anything at all', () => {
  const word = fc
    .tuple(fc.constantFrom(...Array.from('GMXYZIJKRFSPNABWE#%/')), fc.double({ min: -1e4, max: 1e4, noNaN: true }))
    .map(([l, v]) => `${l}${Number(v.toFixed(3))}`)
  const line = fc.oneof(
    fc.string({ maxLength: 40 }),
    fc.array(word, { maxLength: 8 }).map((it) => it.join(' ')),
  )

  it('never throws, and every move is finite and comes from a line without an error (2,000 inputs, seed 22)', () => {
    fc.assert(
      fc.property(fc.array(line, { maxLength: 12 }), (lines) => {
        const { moves, findings } = readProgram(lines.join('\n'))
        const wrong = new Set(findings.filter((it) => it.severity === 'error').map((it) => it.line))
        for (let i = 0; i < moves.count; i++) {
          expect([moves.x[i], moves.y[i], moves.z[i], moves.feed[i], moves.centreA[i]].every(Number.isFinite)).toBe(true)
          expect(wrong.has(moves.line[i])).toBe(false)
        }
      }),
      { seed: 22, numRuns: 2000 },
    )
  })

  it('a line that nothing rare stands on comes to the same as with a remark behind it (2,000 inputs, seed 23)', () => {
    const number = fc.constantFrom('0', '1', '-.5', '12.25', '1 2', '.', '007', '-0', '1234567890123456', '0.0000000000000000001')
    const plain = fc.array(
      fc
        .tuple(fc.constantFrom(...Array.from('XYZFSGNgxR')), number, fc.constantFrom('', ' ', '  ', '\t'))
        .map((it) => it.join('')),
      { maxLength: 5 },
    )
    const common = fc.constantFrom('G1 X5 F600', 'G91', 'G20', 'G92 X5', 'G80', 'G2 X1 Y1 R1', 'M3 S500', 'X7', 'M2', '/X9')
    fc.assert(
      fc.property(
        fc.array(
          fc.oneof(
            plain.map((it) => it.join('')),
            common,
          ),
          { maxLength: 12 },
        ),
        (lines) => {
          const read = readProgram(lines.map((it) => `${it}\n`).join(''))
          expect(readProgram(lines.map((it) => `${it};\n`).join(''))).toEqual(read)
          expect(readProgram(lines.map((it) => `${it}\r\n`).join(''))).toEqual(read)
        },
      ),
      { seed: 23, numRuns: 2000 },
    )
  })
})
