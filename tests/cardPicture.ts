import qrcode from 'qrcode-generator'
import { templateOf } from '../src/core/bench'
import { cardShape, type CardShape } from '../src/core/burn'
import { cardSteps, layoutCard, type Modules } from '../src/core/testcard'
import { seeded, photograph, surfaceOf, type Fall, type HiddenTone, type Shot } from '../src/core/workshop'

/** A card of powers and speeds as people would make it. */
export function sampleCard(more: Partial<CardShape> = {}): CardShape {
  const place = { order: 1, at: '2026-11-27T09:00:00.000Z', code: 'K7PQ2M', originX: 0, originY: 0 }
  return { ...templateOf(cardShape, place), ...more }
}

/** Dark modules of a code, by the library that the product uses. */
export function modulesOf(code: string): Modules {
  const made = qrcode(1, 'M')
  made.addData(code, 'Alphanumeric')
  made.make()
  const count = made.getModuleCount()
  return Array.from({ length: count }, (_, i) => Array.from({ length: count }, (__, j) => made.isDark(i, j)))
}

/** Light of a card's program as a perfect machine would let it fall. @param watts At full power. */
export function fallsOf(card: CardShape, watts: number, radius = 0.08): readonly Fall[] {
  const falls: Fall[] = []
  let at = { x: 0, y: 0 }
  for (const step of cardSteps(card, modulesOf(card.code), { acceleration: 1000, onDelay: 0, offDelay: 0 })) {
    if (!('x' in step)) continue
    const to = { x: step.x, y: step.y }
    if (step.kind === 'line' && step.power > 0) {
      falls.push({ from: at, to, energy: (watts * step.power) / step.feed, speed: step.feed, radius, order: 2 })
    }
    at = to
  }
  return falls
}

/** A picture of a burnt card, and where its lower left corner lies on the sheet. */
export function pictureOf(card: CardShape, tone: HiddenTone, shot: Shot, seed: number, watts = 5) {
  const sheet = surfaceOf(fallsOf(card, watts), tone, 0.08)
  if (sheet === null) throw new Error('nothing was burnt')
  return { picture: photograph(sheet, shot, seeded(seed)), sheet, layout: layoutCard(card) }
}
