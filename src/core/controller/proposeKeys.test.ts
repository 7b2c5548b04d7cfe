import { describe, expect, it } from 'vitest'
import { proposeKeys, readListing, settingsFor, unitIn, type Listing } from '.'

const SETTINGS = settingsFor([
  { id: 'p', letter: 'X' },
  { id: 'q', letter: 'Y' },
])
const LETTERS = { p: 'X', q: 'Y' }
const proposed = (listing: Listing, named: readonly string[] = []): Record<string, string> =>
  Object.fromEntries(
    proposeKeys(listing.entries, SETTINGS, LETTERS, new Set(named)).map(({ key, settingId }) => [key, settingId]),
  )

describe('keys of a pasted list', () => {
  it('are proposed by the comments that stand behind numbered lines', () => {
    const listing = readListing(`
P7 = 80.000   (X, steps per mm)
P8 = 80.000   (Y, steps per mm)
P17 = 12000   ; X highest speed, mm/min
P18 = 9000    ; Y highest speed, mm/min
P27 = 900     ; X acceleration, mm/s^2
P40 = 1000    ; full power word
P41 = 5000    ; signal, Hz
P42 = 1       ; power follows speed
P90 = 25      ; delay of the fan`)
    expect(proposed(listing)).toEqual({
      P7: 'axes.p.steps',
      P8: 'axes.q.steps',
      P17: 'axes.p.topSpeed',
      P18: 'axes.q.topSpeed',
      P27: 'axes.p.acceleration',
      P40: 'beam.fullPower',
      P41: 'beam.pwmFrequency',
      P42: 'beam.followsSpeed',
    })
  })

  it('are proposed by words that a key joins, by a unit behind the value, by a comment above', () => {
    const listing = readListing(
      'stepsPerMmX: 80\n[Y]\nmax_speed: 200 mm/s\ntravel: 310 mm\n# frequency of the beam signal\nk9: 1000',
    )
    expect(proposed(listing)).toEqual({
      stepsPerMmX: 'axes.p.steps',
      'Y/max_speed': 'axes.q.topSpeed',
      'Y/travel': 'axes.q.travel',
      'Y/k9': 'beam.pwmFrequency',
    })
  })

  it('are not proposed where two lines speak alike, where no axis is named, or for what has its key', () => {
    expect(proposed(readListing('a = 80 ; X steps\nb = 90 ; X steps\nc = 80 ; steps\nd = 1 ; X Y steps'))).toEqual({})
    expect(proposed(readListing('a = 80 ; X steps'), ['axes.p.steps'])).toEqual({})
    expect(proposed(readListing('a = fast ; X speed'))).toEqual({})
  })
})

it('steps are guessed by size where nothing else speaks: the pair that doubles when the microsteps do, and never for sure', () => {
  const nominal = { 'axes.p.steps': 80, 'axes.q.steps': 80 }
  const by = (text: string) => proposeKeys(readListing(text).entries, SETTINGS, LETTERS, new Set(), nominal)
  const found = by('A1=160.4\nA2=159.2\nA3=5000\nA4=37')
  expect(found.map(({ key, settingId, sure }) => [key, settingId, sure])).toEqual([
    ['A1', 'axes.p.steps', false],
    ['A2', 'axes.q.steps', false],
  ])
  expect(found[0]?.because).toContain('2 times')
  // One number for two axes, three for two, or two pairs: nobody knows.
  for (const text of ['A1=160\nA3=5000', 'A1=160\nA2=160\nA3=161', 'A1=160\nA2=160\nA3=80\nA4=80']) expect(by(text)).toEqual([])
})

it('a unit is found among words, the longest that is written', () => {
  expect(['X, mm/s^2', 'mm/sec', '(in mm/min)', 'steps/mm', 'kHz', 'no unit', 'slow', 'mm/s²'].map(unitIn)).toEqual([
    'mm/s2',
    'mm/s',
    'mm/min',
    'steps/mm',
    'kHz',
    null,
    null,
    'mm/s2',
  ])
})
