import qrcode from 'qrcode-generator'
import { MODULES, type Modules } from '../core/testcard'

/** Letters and digits that are not taken for one another. */
const LETTERS = 'ACDEFGHJKLMNPQRTUVWXY34679'
const LENGTH = 6

/** A new card's number. */
export function newCardCode(): string {
  return [...crypto.getRandomValues(new Uint8Array(LENGTH))].map((it) => LETTERS[it % LETTERS.length] ?? 'A').join('')
}

/** Dark modules of a card's code (ISO/IEC 18004, version 1, correction level M). @throws {RangeError} for a number that does not fit. */
export function modulesOfCode(code: string): Modules {
  const made = qrcode(1, 'M')
  made.addData(code, 'Alphanumeric')
  made.make()
  if (made.getModuleCount() !== MODULES) throw new RangeError(`a code of ${made.getModuleCount()} modules`)
  return Array.from({ length: MODULES }, (_, i) => Array.from({ length: MODULES }, (__, j) => made.isDark(i, j)))
}
