import { expect, it } from 'vitest'
import { fitPlate, scaleBarLength } from './frame'

const margins = { left: 50, right: 10, top: 20, bottom: 40 }

it('fits the larger side, keeps the margins, and maps back exactly', () => {
  const frame = fitPlate({ left: -10, bottom: -10, right: 190, top: 90 }, 460, 400, margins)
  expect(frame.scale).toBe(2) // 400 px free over 200 mm
  expect([frame.x(-10), frame.x(190)]).toEqual([50, 450])
  expect(frame.y(90)).toBeLessThan(frame.y(0)) // y upwards
  const back = frame.mm(frame.x(37.5), frame.y(-4.25))
  expect([back.x, back.y]).toEqual([expect.closeTo(37.5, 9), expect.closeTo(-4.25, 9)])
})

it('gives round scale bars in either system', () => {
  expect(scaleBarLength(100, 1.2, 1)).toBe(50)
  expect(scaleBarLength(100, 0.4, 1)).toBe(200)
  expect(scaleBarLength(100, 1, 25.4)).toBeCloseTo(2 * 25.4, 9)
})
