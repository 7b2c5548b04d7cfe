import { describe, expect, it } from 'vitest'
import { assumedIn, fact, factSpecAt, fits, group, isTold, late, placeAt, schemaOf, templateOf, type Fact } from '.'

const turning = group(
  { speed: fact({ label: 'Speed', quantity: 'length', min: 0, max: 10, assume: { value: 2, halfWidth: 1, unit: 'mm' } }) },
  { stage: 'rotary', part: 'turning' },
)
const frame = group(
  { width: fact({ label: 'Width', quantity: 'length', min: 0, max: 10, assume: { value: 4, halfWidth: 1, unit: 'mm' } }) },
  { stage: 'motion', part: 'machine' },
)

describe('a part of the bench that is told later', () => {
  it('has no places, counts no guess and refuses nothing; once told, all of it stands there, of the same document too', () => {
    const room = late<{ readonly speed: Fact }>()
    const shape = group({ frame, turning: room })
    const document = { frame: templateOf(frame), turning: templateOf(turning) }
    const guesses = (): readonly string[] => [...assumedIn(shape, document).values()].flat()
    expect(isTold(shape)).toBe(false)
    expect(guesses()).toEqual(['frame.width'])
    expect(placeAt(shape, 'turning.speed')).toBeNull()
    expect(factSpecAt(shape, 'turning.speed')).toBeUndefined()
    expect(fits(shape, { ...document, turning: { speed: 'nonsense' } })).toBe(true)
    expect(fits(shape, { ...document, turning: 'nonsense' })).toBe(false)

    room.tell(turning)
    expect(isTold(shape)).toBe(true)
    expect(guesses()).toEqual(['frame.width', 'turning.speed'])
    expect(placeAt(shape, 'turning.speed')).toMatchObject({ stage: 'rotary', part: 'turning' })
    expect(factSpecAt(shape, 'turning.speed')?.label).toBe('Speed')
    expect(fits(shape, { ...document, turning: { speed: 'nonsense' } })).toBe(false)
    expect(fits(shape, document)).toBe(true)
    expect(schemaOf(shape).safeParse(document).success).toBe(true)
  })

  it('is neither made nor passed by who was not told of it', () => {
    const shape = group({ frame, turning: late<{ readonly speed: Fact }>() })
    expect(templateOf(shape)).not.toHaveProperty('turning')
    const whole = { frame: templateOf(frame), turning: templateOf(turning) }
    const read = schemaOf(shape).safeParse(whole)
    expect(read.error?.issues[0]).toMatchObject({ path: ['turning'], message: 'This part of the bench is not told yet.' })
  })
})
