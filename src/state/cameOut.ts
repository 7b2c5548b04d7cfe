import { setAt, templateOf } from '../core/bench'
import { settingShape, settingUseShape, type BookSetting } from '../core/burn'
import type { Bench } from '../core/document'
import { whyNotBurnt } from '../core/safety'
import { sayQuantity } from '../core/units'
import { newId } from '../data/ids'
import { editBench, useBenchStore } from './benchStore'
import { keepRecord } from './library'
import { isDone, told, type Told } from './told'

/** How a program came out on the material. */
export interface CameOut {
  /** The record of it leaving. */
  readonly record: string
  readonly name: string
  readonly materialId: string
  /** Share of full power, speed in mm/s and passes that it was burnt with. */
  readonly power: number
  /** Null where there are several. */
  readonly speed: number | null
  readonly passes: number
  readonly outcome: 'good' | 'poor'
  /** mm; null where nobody measured it. */
  readonly depth: number | null
  readonly note: string
}

/** Settings whose power and speed differ by less than this share are the same. */
const SAME = 0.02

/** Notes how a program came out: in the log, and with the material it was burnt in. @returns What stands in the way. */
export async function noteCameOut(came: CameOut): Promise<Told> {
  const { bench } = useBenchStore.getState()
  if (bench === null) return told('No bench is open.')
  const material = bench.burns.materials[came.materialId]
  const edited = material === undefined ? [] : intoTheBook(bench, came)
  if (!isDone(edited)) return edited
  const deep = came.depth === null ? '' : ` It is ${sayQuantity(came.depth, null, 'mm')} deep.`
  const how = `${Math.round(came.power * 100)} %, ${came.speed === null ? 'several speeds' : sayQuantity(Number(came.speed.toPrecision(4)), null, 'mm/s')}, ${came.passes === 1 ? 'one pass' : `${came.passes} passes`}`
  const on = material === undefined ? '' : ` on ${material.name}`
  return keepRecord(
    {
      stage: 'work',
      title: `Came out ${came.outcome === 'good' ? 'well' : 'badly'}: ${came.name}`,
      note: `With ${how}${on}.${deep}${came.note === '' ? '' : ` ${came.note}`}`.slice(0, 4000),
      redo: '',
      beneath: [came.record],
    },
    [],
    [],
  )
}

/** A use of the setting that it was burnt with; where its depth was measured and there is none such, a setting of its own. */
function intoTheBook(bench: Bench, { materialId, power, speed, passes, outcome, depth }: CameOut): Told {
  // Of several speeds none is what the depth came of.
  if (speed === null) return []
  const settings = Object.entries(bench.burns.materials[materialId]?.settings ?? {})
  const near = (p: number, q: number): boolean => Math.abs(p - q) <= SAME * Math.max(p, q)
  const isSame = (it: BookSetting): boolean => near(it.power, power) && near(it.speed, speed) && it.passes === passes
  const at = new Date().toISOString()
  const [id, known] = settings.find(([, it]) => isSame(it)) ?? [newId(), null]
  // What is never burnt gets no setting, whatever somebody did.
  const isBurnt = whyNotBurnt(bench.burns.materials[materialId]?.kind ?? '') === null
  if (known === null && (depth === null || !isBurnt)) return []
  const order = 1 + Math.max(0, ...settings.map(([, it]) => it.order))
  const setting =
    known ??
    templateOf(settingShape, { order, at, wanted: 'depth', aim: depth ?? 0, power, speed, passes, from: 'tried', pitch: 0 })
  const use = templateOf(settingUseShape, { order: 1 + Object.keys(setting.uses).length, at, outcome })
  const used = { ...setting, uses: { ...setting.uses, [newId()]: use } }
  return editBench('how a program came out', (it) => setAt(it, `burns.materials.${materialId}.settings.${id}`, used))
}
