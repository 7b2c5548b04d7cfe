import { describe, expect, it } from 'vitest'
import { radiusAt, traceSilhouette, type GreyPicture, type Section } from '../../src/core/rotary'
import { between, normal, seeded, type Random } from '../../src/core/workshop'

interface Scene {
  readonly sections: readonly Section[]
  readonly length: number
  /** px for a millimetre, where its axis begins, and how it leans, rad. */
  readonly scale: number
  readonly lean: number
  readonly ground: number
  readonly object: number
  readonly noise: number
}

const [WIDE, HIGH] = [640, 420]

/** Draws the side of a round thing: each pixel by nine samples of the outline, with the noise of a camera. */
function drawn({ sections, length, scale, lean, ground, object, noise }: Scene, random: Random): GreyPicture {
  const [x0, y0] = [(WIDE - length * scale) / 2, HIGH / 2]
  const [c, s] = [Math.cos(lean), Math.sin(lean)]
  const isIn = (px: number, py: number): boolean => {
    const [dx, dy] = [px - WIDE / 2, py - y0]
    const along = (dx * c + dy * s + WIDE / 2 - x0) / scale
    const aside = Math.abs(-dx * s + dy * c) / scale
    return along >= 0 && along <= length && aside <= radiusAt(sections, along)
  }
  const data = new Uint8ClampedArray(WIDE * HIGH)
  for (let y = 0; y < HIGH; y++)
    for (let x = 0; x < WIDE; x++) {
      let inside = 0
      for (let k = 0; k < 9; k++) if (isIn(x + ((k % 3) + 0.5) / 3, y + (Math.floor(k / 3) + 0.5) / 3)) inside++
      data[y * WIDE + x] = ground + ((object - ground) * inside) / 9 + noise * normal(random)
    }
  return { width: WIDE, height: HIGH, data }
}

describe('diameters from a side picture', () => {
  it('are those of things that were drawn with noise and a lean, to a pixel, by their length or their widest', () => {
    const random = seeded(95)
    for (let n = 0; n < 12; n++) {
      const length = between(random, 80, 160)
      const sections = [0, 0.3, 0.8, 1].map((share) => ({ at: share * length, diameter: between(random, 40, 80) }))
      const scene = {
        sections,
        length,
        scale: 3.2,
        lean: between(random, -0.02, 0.02),
        ground: n % 2 === 0 ? 225 : 40,
        object: 120,
        noise: 4,
      }
      const widest = Math.max(...sections.map((it) => it.diameter))
      const traced = traceSilhouette(
        drawn(scene, random),
        n % 3 === 0 ? { of: 'widest', mm: widest } : { of: 'length', mm: length },
      )
      if (!traced.ok) throw new Error(traced.why)
      expect(traced.sections.length).toBeLessThanOrEqual(12)
      expect(Math.abs(traced.length - length)).toBeLessThan(3 / scene.scale)
      // Away from the corners, where a pixel is a pixel.
      for (const share of [0.1, 0.2, 0.45, 0.6, 0.7, 0.9]) {
        const found = 2 * radiusAt(traced.sections, share * traced.length)
        expect(Math.abs(found - 2 * radiusAt(sections, share * length))).toBeLessThan(2.5 / scene.scale)
      }
    }
  })

  it('say in words why there are none', () => {
    const random = seeded(96)
    const one: Scene = {
      sections: [
        { at: 0, diameter: 50 },
        { at: 100, diameter: 50 },
      ],
      length: 100,
      scale: 3,
      lean: 0,
      ground: 200,
      object: 90,
      noise: 3,
    }
    const why = (scene: Scene): string => {
      const traced = traceSilhouette(drawn(scene, random), { of: 'length', mm: 100 })
      return traced.ok ? 'traced' : traced.why
    }
    expect(why(one)).toBe('traced')
    expect(why({ ...one, object: 200 })).toContain('Nothing stands out')
    expect(why({ ...one, scale: 0.5 })).toContain('long enough')
    expect(why({ ...one, scale: 7 })).toContain('beyond the picture')
  })
})
