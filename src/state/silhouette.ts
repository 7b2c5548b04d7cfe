import { setAt, templateOf, type Fact } from '../core/bench'
import { sectionShape, uOfTraced } from '../core/rotary'
import type { Outcome } from '../core/units'
import { newId } from '../data/ids'
import type { KnownSize, SilhouetteWorker } from '../workers/silhouette.worker'
import { askOnce } from './askOnce'
import { editBench, useBenchStore } from './benchStore'
import { keepRecord } from './library'
import { isDone, NO_BENCH, told, type Told } from './told'

type Traced = Awaited<ReturnType<SilhouetteWorker['trace']>> extends Outcome<infer T> ? T : never

/**
 * Takes the diameters of an object from a picture of its side; those that were there give way, and come back with undo. The picture is kept.
 * @param known One size of it. @returns What stands in the way.
 */
export async function traceObject(id: string, file: File, known: KnownSize): Promise<Told> {
  const object = useBenchStore.getState().bench?.rotary.objects[id]
  if (object === undefined) return NO_BENCH
  const traced = await ask(file, known)
  if (!traced.ok) return traced.findings
  const { sections, length, scale } = traced.value
  const at = new Date().toISOString()
  const read = (mm: number, u: number): Fact => ({
    value: Number(mm.toFixed(2)),
    typed: mm.toFixed(2),
    typedUnit: 'mm',
    origin: 'measured',
    doubt: { kind: 'standard', u },
    at,
  })
  const uOf = (mm: number): number => uOfTraced(mm, scale, known.u / known.mm)
  const made = sections.map((it, k) => {
    const facts = { order: k + 1, at: read(it.at, uOf(it.at)), diameter: read(it.diameter, uOf(it.diameter)) }
    return [newId(), templateOf(sectionShape, facts)] as const
  })
  const edited = editBench('diameters from a side picture', (it) => {
    const withSections = setAt(it, `rotary.objects.${id}.sections`, Object.fromEntries(made))
    return known.of === 'length' ? withSections : setAt(withSections, `rotary.objects.${id}.length`, read(length, uOf(length)))
  })
  if (!isDone(edited)) return edited
  const title = `Diameters of ${object.name} from a side picture`
  return keepRecord({ stage: 'rotary', title, note: `${made.length} places.`, redo: '', beneath: [] }, [], [file])
}

async function ask(file: File, known: KnownSize): Promise<Outcome<Traced>> {
  if (!(known.mm > 0))
    return { ok: false, findings: told('Say first how long it is, or how wide at its widest: the picture has no scale.') }
  const worker = new Worker(new URL('../workers/silhouette.worker.ts', import.meta.url), { type: 'module' })
  return askOnce<SilhouetteWorker, Outcome<Traced>>(worker, (remote) => remote.trace(file, known)).catch(
    (error: unknown): Outcome<Traced> => ({
      ok: false,
      findings: told(`The picture could not be traced: ${error instanceof Error ? error.message : 'its worker ended'}.`),
    }),
  )
}
