/**
 * A plain stroke lettering of our own, drawn on a grid 4 wide and 6 high: each letter is polylines of two-digit places, x then y,
 * from the lower left corner.
 */
const GLYPHS: Readonly<Record<string, string>> = {
  '0': '10 30 41 45 36 16 05 01 10',
  '1': '04 26 20;00 40',
  '2': '05 16 36 45 44 00 40',
  '3': '06 46 23 33 42 41 30 10 01',
  '4': '30 36 02 42',
  '5': '46 06 03 33 42 41 30 00',
  '6': '36 03 01 10 30 41 42 33 13 02',
  '7': '06 46 10',
  '8': '13 33 44 45 36 16 05 04 13 02 01 10 30 41 42 33',
  '9': '10 43 45 36 16 05 04 13 33 44',
  A: '00 26 40;12 32',
  B: '00 06 36 45 44 33 03;33 42 41 30 00',
  C: '45 36 16 05 01 10 30 41',
  D: '00 06 26 44 42 20 00',
  E: '40 00 06 46;03 33',
  F: '00 06 46;03 33',
  G: '45 36 16 05 01 10 30 41 43 23',
  H: '00 06;40 46;03 43',
  I: '20 26;10 30;16 36',
  J: '01 10 20 31 36 16',
  K: '00 06;46 03 40',
  L: '06 00 40',
  M: '00 06 23 46 40',
  N: '00 06 40 46',
  O: '10 30 41 45 36 16 05 01 10',
  P: '00 06 36 45 44 33 03',
  Q: '10 30 41 45 36 16 05 01 10;22 40',
  R: '00 06 36 45 44 33 03;23 40',
  S: '45 36 16 05 04 13 33 42 41 30 10 01',
  T: '20 26;06 46',
  U: '06 01 10 30 41 46',
  V: '06 20 46',
  W: '06 10 23 30 46',
  X: '00 46;06 40',
  Y: '06 23 46;23 20',
  Z: '06 46 00 40',
  '%': '00 46;06 15;31 40',
  '.': '20 21',
  '/': '00 46',
  '-': '13 33',
  '+': '13 33;22 24',
  ' ': '',
}

/** From one letter to the next, of a letter's height. */
const ADVANCE = 5.4 / 6

/** A line of the pen, mm. */
export type Polyline = readonly (readonly [x: number, y: number])[]

/**
 * Lines that write words, from their lower left corner. @param height Of a letter, mm. Capitals; what it has no letter for is left out.
 * Valid: any words. Source: a lettering of our own. @example letters('1', 0, 0, 6)[1] // [[0, 0], [4, 0]]
 */
export function letters(words: string, x: number, y: number, height: number): readonly Polyline[] {
  const unit = height / 6
  return Array.from(words.toUpperCase()).flatMap((letter, i) =>
    (GLYPHS[letter] ?? '')
      .split(';')
      .filter((it) => it !== '')
      .map((line) =>
        line
          .split(' ')
          .map((it): [number, number] => [x + i * ADVANCE * height + Number(it[0]) * unit, y + Number(it[1]) * unit]),
      ),
  )
}

/**
 * Width of written words, mm. @param height Of a letter, mm. Valid: any words. Source: the lettering's own advance.
 * @example widthOfLetters('10', 6) // 9.4
 */
export function widthOfLetters(words: string, height: number): number {
  const count = Array.from(words).length
  return count === 0 ? 0 : (count - 1) * ADVANCE * height + (4 / 6) * height
}
