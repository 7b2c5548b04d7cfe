import { setAt, shownNumber, templateOf } from '../core/bench'
import {
  exposureDose,
  maskSpeed,
  settingChance,
  settingDose,
  settingShape,
  settingUseShape,
  cutSpeed,
  type BookSetting,
  type Want,
} from '../core/burn'
import { gapAtFocus, peakAtFocus } from '../core/calibrate'
import type { Bench } from '../core/document'
import { whyNotBurnt } from '../core/safety'
import { depthSetting, settingDepth, settingTone, toneSetting } from '../core/testcard'
import { displayUnit, sayQuantity } from '../core/units'
import { newId } from '../data/ids'
import { editBench, useBenchStore } from './benchStore'
import { wantedCut } from './book'
import { engineOf } from './evaluate'
import { keepRecord } from './library'
import { isDone, told, type Told } from './told'

/** The numbers of a setting that is to be kept. */
type Numbers = Pick<BookSetting, 'aim' | 'power' | 'speed' | 'pitch' | 'passes' | 'from' | 'spread'>

/** What stands in the way of keeping a setting, by what it is for. */
const NOT_KNOWN: Readonly<Record<Want, string>> = {
  cut: 'The speed is not known yet: one line has to come through, and one not.',
  tone: 'The setting is not known yet: burn a card, read it, and ask for a tone that it reaches.',
  depth: 'The setting is not known yet: enter the depth of three cells or more.',
  mask: 'The speed is not known yet: some lines have to cut the tape and some not, some to mark what lies beneath and some not.',
  exposure: 'The dose is not known yet: enter power, speed and pitch, and the optical power.',
}

/** What is learnt now, as the numbers of a setting; null while it is not known. */
function numbersOf(bench: Bench, id: string, want: Want): Numbers | null {
  const engine = engineOf(bench)
  const { card, exposure } = bench.burns
  switch (want) {
    case 'cut': {
      const speed = shownNumber(engine.value(cutSpeed, id).result)
      return speed === null ? null : { aim: 0, ...wantedCut(bench), speed, pitch: 0, from: 'tried', spread: 0 }
    }
    case 'mask': {
      const speed = shownNumber(engine.value(maskSpeed, id).result)
      const power = bench.burns.maskPower.value
      return speed === null || power === null ? null : { aim: 0, power, speed, pitch: 0, passes: 1, from: 'tried', spread: 0 }
    }
    case 'tone': {
      const { result } = engine.value(toneSetting, id)
      if (!result.known) return null
      const { tone, power, speed, u } = result.value
      return { aim: tone, power, speed, pitch: card.pitch, passes: card.passes, from: 'card', spread: u }
    }
    case 'depth': {
      const { result } = engine.value(depthSetting, id)
      if (!result.known) return null
      const { power, speed, passes } = result.value
      return { aim: bench.burns.depthWanted.value ?? 0, power, speed, pitch: card.pitch, passes, from: 'card', spread: 0 }
    }
    case 'exposure': {
      const dose = engine.withDoubt(exposureDose)
      const [power, speed, pitch] = [exposure.power.value, exposure.speed.value, exposure.pitch.value]
      const aim = shownNumber(dose.result)
      if (aim === null || power === null || speed === null || pitch === null) return null
      return { aim, power, speed, pitch, passes: 1, from: 'tried', spread: (dose.doubt?.expanded ?? 0) / 2 }
    }
  }
}

/** What a setting rests on: the figure that says what it comes to, and the change that counts as the same. */
function restsOn(setting: BookSetting) {
  switch (setting.wanted) {
    case 'cut':
    case 'mask':
      return { id: settingChance.id, same: 0.03 }
    case 'tone':
      return { id: settingTone.id, same: 3 }
    case 'depth':
      return { id: settingDepth.id, same: 0.1 * setting.aim }
    case 'exposure':
      return { id: settingDose.id, same: 0.1 * setting.aim }
  }
}

/** Share by which the peak on the material may move before a setting counts as another beam's. */
const SAME_LIGHT = 0.2

/** Keeps what was learnt as a setting of the book, with its record. @returns What stands in the way. */
export async function keepSetting(materialId: string, want: Want): Promise<Told> {
  const { bench } = useBenchStore.getState()
  const material = bench?.burns.materials[materialId]
  if (bench === null || material === undefined) return told('This material is not in the book any more.')
  const against = whyNotBurnt(material.kind)
  if (against !== null) return told(`${material.name} is not burnt. ${against}.`)
  const numbers = numbersOf(bench, materialId, want)
  if (numbers === null) return told(NOT_KNOWN[want])
  const order = 1 + Math.max(0, ...Object.values(material.settings).map((it) => it.order))
  const [settingId, record] = [newId(), newId()]
  const row = templateOf(settingShape, { order, at: new Date().toISOString(), wanted: want, ...numbers, record })
  const edited = editBench('a setting of the book', (it) => setAt(it, `burns.materials.${materialId}.settings.${settingId}`, row))
  if (!isDone(edited)) return edited
  const engine = engineOf(useBenchStore.getState().bench as Bench)
  const focus = engine.withDoubt(gapAtFocus)
  const peak = shownNumber(engine.value(peakAtFocus).result)
  const rests = [
    ...(shownNumber(focus.result) === null ? [] : [{ id: focus.def.id, args: [], same: focus.doubt?.expanded ?? 0 }]),
    // Another lens or another head: the light on the material is no longer the one that was learnt with.
    ...(peak === null ? [] : [{ id: peakAtFocus.id, args: [], same: SAME_LIGHT * peak }]),
  ]
  return keepRecord(
    {
      stage: 'burns',
      title: `${material.name} ${saySetting(row, bench.units)}`,
      note: `With ${Math.round(row.power * 100)} % in ${row.passes === 1 ? 'one pass' : `${row.passes} passes`}${row.pitch > 0 ? `, lines ${row.pitch} mm apart` : ''}.`,
      redo: `${want === 'tone' || want === 'depth' ? 'Burn and read a card of' : 'Try'} ${material.name} again and keep its setting.`,
      beneath: [],
    },
    [{ ...restsOn(row), args: [materialId, settingId] }, ...rests],
    [],
    record,
  )
}

/** What a setting does, with its speed: “is cut at 5.4 mm/s”. */
export function saySetting(setting: BookSetting, units: Bench['units']): string {
  const at = `at ${sayQuantity(setting.speed, null, displayUnit('speed', units))}`
  switch (setting.wanted) {
    case 'cut':
      return `is cut ${at}`
    case 'mask':
      return `has its mask cut ${at}`
    case 'tone':
      return `comes to ${Math.round(setting.aim)} L* ${at}`
    case 'depth':
      return `is engraved ${sayQuantity(setting.aim, null, displayUnit('length', units))} deep ${at}`
    case 'exposure':
      return `is exposed with ${Math.round(setting.aim * 1e5)} mJ/cm² ${at}`
  }
}

/** Takes the cutting speed over from another thickness of its kind, as a guess. @returns What stands in the way. */
export function carrySetting(materialId: string, speed: number): Told {
  const { bench } = useBenchStore.getState()
  const material = bench?.burns.materials[materialId]
  if (bench === null || material === undefined) return told('This material is not in the book any more.')
  const against = whyNotBurnt(material.kind)
  if (against !== null) return told(`${material.name} is not burnt. ${against}.`)
  const order = 1 + Math.max(0, ...Object.values(material.settings).map((it) => it.order))
  const numbers = { ...wantedCut(bench), speed, aim: 0, pitch: 0, from: 'carried' as const }
  const row = templateOf(settingShape, { order, at: new Date().toISOString(), wanted: 'cut', ...numbers })
  return editBench('a setting carried over', (it) => setAt(it, `burns.materials.${materialId}.settings.${newId()}`, row))
}

/** Writes down that a setting was used, and what became of it. @returns What stands in the way. */
export function noteUse(materialId: string, settingId: string, outcome: 'good' | 'poor'): Told {
  const { bench } = useBenchStore.getState()
  const setting = bench?.burns.materials[materialId]?.settings[settingId]
  if (setting === undefined) return told('This setting is not in the book any more.')
  const order = 1 + Math.max(0, ...Object.values(setting.uses).map((it) => it.order))
  const row = templateOf(settingUseShape, { order, at: new Date().toISOString(), outcome })
  return editBench('a use of a setting', (it) =>
    setAt(it, `burns.materials.${materialId}.settings.${settingId}.uses.${newId()}`, row),
  )
}

/** Says whether a setting wants air assist. @returns What stands in the way. */
export function setAir(materialId: string, settingId: string, air: BookSetting['air']): Told {
  return editBench('air of a setting', (it) => setAt(it, `burns.materials.${materialId}.settings.${settingId}.air`, air))
}

export function removeSetting(materialId: string, id: string): Told {
  return editBench('a setting out of the book', (it) => setAt(it, `burns.materials.${materialId}.settings.${id}`, undefined))
}
