import fc from 'fast-check'

const piece = fc.oneof(
  fc.constantFrom(
    ' ',
    '\t',
    '=',
    ':',
    ',',
    ';',
    '#',
    '//',
    '(',
    ')',
    '[',
    ']',
    '{',
    '}',
    '"',
    '|',
    '\n',
    '\r\n',
    '\uFEFF',
    'X',
    'Y',
    'K1',
    'mm/s',
  ),
  fc.integer().map(String),
  fc.double({ noNaN: true }).map(String),
  fc.string({ unit: 'binary', maxLength: 6 }),
)

/** A text of the signs that lists of settings are made of, in any order. */
export const randomListing = fc.array(piece, { maxLength: 60 }).map((pieces) => pieces.join(''))
