import type { Bench } from '../core/document'
import { pluckStandIn } from './machine'
import { setFact } from './benchStore'
import { told, type Told } from './told'

/** Which belt is listened to. */
export interface BeltSide {
  readonly axisId: string
  readonly side: 'A' | 'B'
}

const UNCLEAR =
  'No clear tone was heard. Pluck once, near the microphone, with the belt still and the room quiet; a dull thud means that the span is not free.'

/**
 * Listens while a belt is plucked, at the microphone or at the stand-in's, and takes its tone as a reading.
 * @returns What stands in the way; empty when the tone was entered.
 */
export async function listenTo(bench: Bench, belt: BeltSide, at: 'microphone' | 'stand-in'): Promise<Told> {
  const { recordMicrophone, toneOf } = await import('../devices')
  const sound = at === 'microphone' ? await recordMicrophone() : await standInSound(bench, belt)
  if (!sound.ok) return told(sound.why)
  const tone = toneOf(sound.samples, sound.sampleRateHz)
  if (tone === null) return told(UNCLEAR)
  const letter = bench.motion.axes[belt.axisId]?.letter ?? ''
  return setFact(
    `motion.axes.${belt.axisId}.tone${belt.side}`,
    {
      value: Number(tone.hz.toPrecision(5)),
      typed: tone.hz.toPrecision(4),
      typedUnit: 'Hz',
      origin: 'measured',
      doubt: { kind: 'standard', u: tone.u },
      at: new Date().toISOString(),
    },
    `tone of the ${letter} belt`,
  )
}

async function standInSound(bench: Bench, { axisId, side }: BeltSide) {
  const axis = bench.motion.axes[axisId]
  const span = axis?.freeSpan.value ?? null
  const mass = bench.motion.belts.massPerMetre.value
  if (axis === undefined || span === null || mass === null) {
    return { ok: false as const, why: 'Enter the free span and the mass of a metre of belt first: the stand-in’s belt has them.' }
  }
  const belt = axis.letter === 'X' ? 'xA' : side === 'A' ? 'yA' : 'yB'
  const sound = await pluckStandIn(belt, mass, span)
  return sound === null ? { ok: false as const, why: 'No stand-in is connected.' } : { ok: true as const, ...sound }
}
