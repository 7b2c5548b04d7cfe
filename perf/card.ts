import { photograph, seeded, STEADY, surfaceOf, drawTone } from '../src/core/workshop'
import { readTestCard } from '../src/core/testcard'
import { fallsOf, sampleCard } from '../tests/cardPicture'
import { median } from './engine'

/** Cost of reading a card from a picture of twelve megapixels, to one pass over its bytes. */
export function timeCard(runs: number): number {
  const card = sampleCard()
  const tone = drawTone(5)
  const sheet = surfaceOf(fallsOf(card, 5), tone, 0.08)
  if (sheet === null) throw new Error('nothing was burnt')
  const picture = photograph(sheet, { ...STEADY, width: 4000, height: 3000 }, seeded(1))
  const ratios: number[] = []
  for (let run = 0; run < runs; run++) {
    let start = performance.now()
    const read = readTestCard(picture, card, tone.bare, () => card.code)
    if (!read.ok) throw new Error(read.findings[0]?.message)
    const reading = performance.now() - start
    start = performance.now()
    let sum = 0
    const { data } = picture
    for (let i = 0; i < data.length; i++) sum += data[i] as number
    if (sum === 0) throw new Error('a black picture')
    ratios.push(reading / (performance.now() - start))
  }
  return median(ratios)
}
