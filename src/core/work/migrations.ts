import { asJson, thenBlank, thenGuess, type Json, type Migration } from '../bench'

/** The area of a picture was its whole box, white and all: what it surely burns is not known until it is taken in again. */
function withoutWhite(pieces: unknown): Json {
  return Object.fromEntries(
    Object.entries(asJson(pieces)).map(([id, it]) => {
      const piece = asJson(it)
      if (piece['kind'] !== 'picture') return [id, piece]
      const ways = Object.entries(asJson(piece['ways'])).map(([wayId, way]) => [wayId, { ...asJson(way), area: 0 }])
      return [id, { ...piece, ways: Object.fromEntries(ways) as Json }]
    }),
  )
}

export const workMigrations: readonly Migration[] = [
  {
    to: 12,
    why: 'a bench got a work order',
    up: () => ({
      material: '',
      sheetWidth: thenBlank('mm'),
      sheetHeight: thenBlank('mm'),
      sheetX: thenGuess(0, '0', 'mm', 1),
      sheetY: thenGuess(0, '0', 'mm', 1),
      margin: thenGuess(2, '2', 'mm'),
      kerf: thenGuess(0.15, '0.15', 'mm', 0.1),
      tolerance: thenGuess(0.01, '0.01', 'mm'),
      scans: 'both',
      turns: 'free',
      under: 'honeycomb',
      barsAlong: 'x',
      barsFirst: 10,
      barsStep: 40,
      barsWidth: 4,
      clamps: {},
      pieces: {},
      kept: {},
    }),
  },
  {
    to: 13,
    why: 'work got an order of its own, a fence, and places for blanks',
    up: (work) => ({
      ...work,
      pieces: withoutWhite(work['pieces']),
      sequence: 'quickest',
      apart: 0,
      placedBy: 'measured',
      fenceX: thenGuess(20, '20', 'mm', 0.3),
      fenceY: thenGuess(20, '20', 'mm', 0.3),
      fenceLong: 120,
      fenceHigh: 80,
      fenceBurnt: 'no',
      fenceBurntX: 0,
      fenceBurntY: 0,
      layPower: 0.3,
      laySpeed: 20,
      placeColumns: 1,
      placeRows: 1,
      placeStepX: 100,
      placeStepY: 100,
      placesOut: {},
    }),
  },
]
