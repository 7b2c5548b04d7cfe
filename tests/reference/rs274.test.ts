import { describe, expect, it } from 'vitest'
import { MOVE, readProgram } from '../../src/core/gcode'

/** Blocks with answers worked by hand after NISTIR 6556 (RS274/NGC, version 3; clauses from memory). */

const KINDS = new Map<number, string>(Object.entries(MOVE).map(([name, kind]) => [kind, name]))
const round = (it: number): number => Math.round(it * 1e6) / 1e6 + 0
/** Each move as its kind and its end; of a dwell its seconds. */
const moves = (text: string) => {
  const { moves: it } = readProgram(text)
  return Array.from({ length: it.count }, (_, i) =>
    it.kind[i] === MOVE.dwell
      ? ['dwell', it.feed[i]!]
      : [KINDS.get(it.kind[i]!), round(it.x[i]!), round(it.y[i]!), round(it.z[i]!)],
  )
}
const xOf = (text: string): number => moves(`${text}\nM2`).at(-1)![1] as number
const wrong = (text: string) => readProgram(`${text}\nM2`).findings.filter((it) => it.severity === 'error')

describe('numbers and blanks (3.3.2.1)', () => {
  it.each([
    ['G0 X+7', 7],
    ['G0 X007', 7],
    ['G0 X-.5', -0.5],
    ['G0 X12.', 12],
    ['g0x +0. 12 34y 7', 0.1234],
    ['G 0 0 X5', 5],
    ['N0010 G00 X4', 4],
    ['G0 X1(a comment)2', 1],
  ])('%s', (text, x) => {
    // A comment ends a number; what stands behind it begins anew.
    if (text.includes('(')) expect(wrong(text)).toHaveLength(1)
    else expect(xOf(text)).toBe(x)
  })
})

describe('expressions (3.3.2.3, 3.3.2.4, table 3)', () => {
  it.each([
    ['[1+2*3]', 7],
    ['[[1+2]*3]', 9],
    ['[2 ** 3 * 2]', 16],
    ['[2*2**3]', 16],
    ['[2**3**2]', 64],
    ['[10-4-3]', 3],
    ['[24/4/2]', 3],
    ['[7 MOD 3]', 1],
    ['[0-7 MOD 3]', -1],
    ['[[0-7] MOD 3]', 2],
    ['[1 + 2 AND 0]', 0],
    ['[0 OR 3]', 1],
    ['[2 XOR 3]', 0],
    ['[2 XOR 0]', 1],
    ['[-5 + +2]', -3],
    ['sin[30]', 0.5],
    ['[1 + cos[60]]', 1.5],
    ['tan[45]', 1],
    ['atan[1]/[1]', 45],
    ['atan[1]/[-1]', 135],
    ['acos[0]', 90],
    ['asin[-1]', -90],
    ['sqrt[9]', 3],
    ['abs[2-5]', 3],
    ['fix[2.8]', 2],
    ['fix[-2.8]', -3],
    ['fup[2.1]', 3],
    ['fup[-2.8]', -2],
    ['round[2.5]', 3],
    ['ln[exp[2]]', 2],
    ['[ 1 . 5 + s q r t [ 4 ] ]', 3.5],
  ])('X%s comes to %d', (expression, x) => expect(xOf(`G0 X${expression}`)).toBe(x))

  it.each([
    ['G0 X[1/0]', 'Division by zero', 8],
    ['G0 X[1+]', 'A value is missing', 8],
    ['G0 X[1+2', '“]” or an operator', 9],
    ['G0 X sqrt[-1]', 'comes to no number', 6],
    ['G0 X-[5]', 'A sign belongs to a number', 4],
    ['G0 X#6000', 'from 1 to 5399', 5],
    ['G0 X#1.5', 'from 1 to 5399', 5],
    ['G0 X atan[1]', 'two values', 13],
    ['G0 X[1 + foo[2]]', 'no function', 10],
    [`G0 X${'['.repeat(80)}1${']'.repeat(80)}`, 'too deep', 65],
    ['#5', '“=” and a value', 3],
    ['#0=5', 'from 1 to 5399', 1],
  ])('%s is said: %s', (text, words, column) => {
    const [first] = wrong(text)
    expect(first?.message).toContain(words)
    expect(first).toMatchObject({ line: 1, column })
    expect(moves(text)).toEqual([])
  })
})

describe('parameters (3.2.1, 3.3.2.2, 3.3.3)', () => {
  it.each([
    ['#1=15\nG0 X#1', 15],
    ['G0 X#77', 0],
    ['#1=2 #2=#1\nG0 X#2', 0], // all values are found before any is set
    ['#1=2\n#2=[#1+1] G0 X#2', 0],
    ['#1=2\n#3=5 G0 X#3\nG0 X#3', 5],
    ['#1=2\n#2=7\nG0 X##1', 7],
    ['#[1+2]=4\nG0 X[#3*2]', 8],
    ['#1=2 #1=3\nG0 X#1', 3],
    ['/#1=9\nG0 X#1', 0],
  ])('%j', (text, x) => expect(xOf(text)).toBe(x))
})

describe('order of execution and modal groups (3.4, 3.8, tables 4 and 8)', () => {
  it.each([
    ['G1 X10 F60 M3 S5', [['feed', 10, 0, 0]]],
    ['G91 X5 G0', [['rapid', 5, 0, 0]]], // distance mode before motion, wherever it stands
    ['G0 X5 G20', [['rapid', 127, 0, 0]]],
    ['G4 P2 G0 X1', [['dwell', 2], ['rapid', 1, 0, 0]]],
    ['G0 X1 M2 Y2', [['rapid', 1, 2, 0]]], // stops at the end of the line
    ['G92 X5\nG0 X5', [['rapid', 0, 0, 0]]],
    ['G0 X3\nG92 X0\nG91\nG0 X1', [['rapid', 3, 0, 0], ['rapid', 4, 0, 0]]],
    ['G18 F60 G2 X10 Z0 I5 K0 Y3', [['clockwise', 10, 3, 0]]],
    ['G1 F60 X1\nY2\nG0 X0', [['feed', 1, 0, 0], ['feed', 1, 2, 0], ['rapid', 0, 2, 0]]],
    ['T3 M6\nG43 H3 G0 Z5\nG64\nM1\nG0 X1', [['rapid', 0, 0, 5], ['rapid', 1, 0, 5]]],
  ])('%j', (text, expected) => expect(moves(`${text}\nM2`)).toEqual(expected)) // prettier-ignore

  it.each(['G0 G1 X1', 'G90 G91', 'G17 G18', 'M3 M5', 'G98 G99', 'M2 M0', 'G20 G21 G0 X1', 'G4 P1 G92 X0'])(
    '%s: two words of one group',
    (text) => expect(wrong(text).map((it) => it.code)).toContain('group-twice'),
  )
  it('says once what is read and changes nothing', () => {
    const { findings } = readProgram('G64\nT1 M6\nG64\nM6\nG0 X1\nM2')
    expect(findings.map(({ code, line }) => [code, line])).toEqual([
      ['no-effect', 1],
      ['no-effect', 2],
    ])
  })
})

describe('canned cycles (3.5.16)', () => {
  const [up, down] = ['rapid', 'feed']
  it.each([
    // From Z3 to (4, 5), R1.5, Z1: the standard's own example of G81, absolute: back to where it began, or to R.
    ['G0 Z3\nG90 G98 G81 X4 Y5 Z1.5 R2.8 F60', [[up, 0, 0, 3], [up, 4, 5, 3], [up, 4, 5, 2.8], [down, 4, 5, 1.5], [up, 4, 5, 3]]],
    ['G0 Z3\nG90 G99 G81 X4 Y5 Z1.5 R2.8 F60', [[up, 0, 0, 3], [up, 4, 5, 3], [up, 4, 5, 2.8], [down, 4, 5, 1.5], [up, 4, 5, 2.8]]],
    // Incremental, three times: R from the present Z, Z from R; from (1, 2, 3) by (4, 5), R1.8, Z−0.6.
    [
      'G0 X1 Y2 Z3\nG91 G98 G81 X4 Y5 Z-.6 R1.8 L3 F60',
      [
        [up, 1, 2, 3], [up, 1, 2, 4.8], [up, 5, 7, 4.8], [down, 5, 7, 4.2], [up, 5, 7, 4.8],
        [up, 9, 12, 4.8], [down, 9, 12, 4.2], [up, 9, 12, 4.8], [up, 13, 17, 4.8], [down, 13, 17, 4.2], [up, 13, 17, 4.8],
      ],
    ],
    ['G0 Z5\nG82 X1 Y0 Z-1 R1 P.5 F60', [[up, 0, 0, 5], [up, 1, 0, 5], [up, 1, 0, 1], [down, 1, 0, -1], ['dwell', 0.5], [up, 1, 0, 5]]],
    [
      'G0 Z5\nG99 G83 X1 Z-2 R1 Q2 F60',
      [[up, 0, 0, 5], [up, 1, 0, 5], [up, 1, 0, 1], [down, 1, 0, -1], [up, 1, 0, 1], [up, 1, 0, -0.746], [down, 1, 0, -2], [up, 1, 0, 1]],
    ],
    ['G0 Z5\nG85 X1 Z-2 R1 F60', [[up, 0, 0, 5], [up, 1, 0, 5], [up, 1, 0, 1], [down, 1, 0, -2], [down, 1, 0, 1], [up, 1, 0, 5]]],
    ['G0 Z5\nG89 X1 Z-2 R1 P3 F60', [[up, 0, 0, 5], [up, 1, 0, 5], [up, 1, 0, 1], [down, 1, 0, -2], ['dwell', 3], [down, 1, 0, 1], [up, 1, 0, 5]]],
    // Numbers stay in force for the next place; G80 ends it.
    ['G0 Z1\nG99 G81 X1 Z-1 R1 F60\nX2\nG80\nG0 X3', [[up, 0, 0, 1], [up, 1, 0, 1], [down, 1, 0, -1], [up, 1, 0, 1], [up, 2, 0, 1], [down, 2, 0, -1], [up, 2, 0, 1], [up, 3, 0, 1]]],
    ['G0 Z2\nG20 G81 X1 Z-.1 R.1 F6', [[up, 0, 0, 2], [up, 0, 0, 2.54], [up, 25.4, 0, 2.54], [down, 25.4, 0, -2.54], [up, 25.4, 0, 2.54]]],
  ])('%j', (text, expected) => expect(moves(`${text}\nM2`)).toEqual(expected)) // prettier-ignore

  it.each([
    ['G81 X1 Z-1 F60', 'needs R'],
    ['G81 X1 R1 F60', 'needs Z'],
    ['G81 X1 Z2 R1 F60', 'R lies below Z'],
    ['G81 X1 Z-1 R1', 'no feed rate'],
    ['G82 X1 Z-1 R1 F60', 'needs P'],
    ['G83 X1 Z-1 R1 F60', 'needs Q'],
    ['G81 X1 Z-1 R1 L0 F60', 'whole number'],
    ['G18 G81 X1 Z-1 R1 F60', 'plane XY'],
    ['G0 X1 L2', 'belongs to a canned cycle'],
    ['G84 X1 Z-1 R1 F60', 'not carried out here'],
  ])('%s is said: %s', (text, words) => expect(wrong(text)[0]?.message).toContain(words))
  it('G86 stops the spindle at the bottom and lets it turn again above', () => {
    const { moves: it } = readProgram('M3 S100\nG0 Z5\nG86 X1 Z-2 R1 P.5 F60\nM2')
    expect([...it.spindle]).toEqual([1, 1, 1, 1, 1, 0, 1])
  })
})
