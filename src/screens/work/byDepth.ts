import { curvePoints, shareForLight } from '../../core/calibrate'
import type { Bench } from '../../core/document'
import { beamForDepth, beamForTone, lineWidth, type BeamWish } from '../../core/refit'
import { depthLaw, toneLaw } from '../../core/testcard'
import { accepted, refused, type Outcome } from '../../core/units'
import { engineOf } from '../../state'

/**
 * Power, speed and passes by the depths, or by the tones, that are learnt of a material, for a program that goes so deep, mm.
 * @param feed As wished, mm/s; null: the fastest that reaches the depth. @returns What is wanted, or what is not known yet.
 */
export function wishByDepth(
  bench: Bench,
  materialId: string,
  by: 'depth' | 'tone',
  deepest: number,
  feed: number | null,
): Outcome<Pick<BeamWish, 'power' | 'feed' | 'times'>> {
  const material = bench.burns.materials[materialId]
  const engine = engineOf(bench)
  if (material === undefined) return refused('no-material', 'Say which material of the book it is burnt in.')
  const tones = engine.value(toneLaw, materialId).result
  if (by === 'tone' && !tones.known) {
    const message = `How dark ${material.name} becomes is not learnt yet: burn a card of it on Burns and read it, or give the powers by hand.`
    return refused('no-tones', message)
  }
  if (by === 'tone' && feed === null) return refused('no-speed', 'Say how fast it is burnt first: tones are learnt for a speed.')
  const law = engine.value(depthLaw, materialId).result
  if (by === 'depth' && !law.known) {
    const message = `How deep a pass goes in ${material.name} is not learnt yet: enter the depth of three cells of a card on Burns, or give the powers by hand.`
    return refused('no-depths', message)
  }
  const { power: watts, spotX, spotY } = bench.optics
  if (watts.value === null || spotX.value === null || spotY.value === null)
    return refused('no-light', 'Enter the optical power and the spot first: they say what dose a line gets.')
  const curve = engine.value(curvePoints).result
  // Where no curve was read, or not so far down, light is as commanded.
  const shareFor = (light: number): number =>
    light >= 1 || !curve.known ? Math.min(1, light) : (shareForLight(curve.value, light) ?? light)
  const width = lineWidth(spotX.value, spotY.value)
  const light = { watts: watts.value, width, shareFor }
  if (by === 'tone' && tones.known && feed !== null) return accepted(beamForTone(tones.value.law, { ...light, feed }, deepest))
  return law.known ? accepted(beamForDepth(law.value, { ...light, feed }, deepest)) : refused('no-depths', 'Nothing is learnt.')
}
