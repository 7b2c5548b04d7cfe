import { useMemo, useState } from 'react'
import { noteCameOut, useBenchStore, type Told } from '../../state'
import { Findings, LengthField, PlainField } from '../../ui'

/** Asked of a program that has left, until it is answered: how it came out. */
export function CameOut(props: {
  /** What it was called when it left. */
  readonly name: string
  readonly materialId: string
  /** The most of its power, as a share of full power, its speed in mm/s where it has one, and its passes. */
  readonly power: number
  readonly speed: number | null
  readonly passes: number
}) {
  const { name, ...burnt } = props
  const records = useBenchStore((it) => it.records)
  const [depth, setDepth] = useState<number | null>(null)
  const [note, setNote] = useState('')
  const [said, say] = useState<Told>([])
  const open = useMemo(() => {
    const answered = new Set(records.flatMap((it) => (it.title.startsWith('Came out ') ? it.beneath : [])))
    return records.findLast(
      (it) => (it.title === `Burnt: ${name}` || it.title === `Program handed out: ${name}`) && !answered.has(it.id),
    )
  }, [records, name])
  if (open === undefined) return <Findings findings={said} />
  const tell = async (outcome: 'good' | 'poor'): Promise<void> =>
    say(await noteCameOut({ ...burnt, record: open.id, name, outcome, depth, note: note.trim() }))
  return (
    <section aria-label="How it came out" className="no-print mt-3 border-t border-rule pt-2 text-[14px]">
      <p className="font-[650]">How did it come out?</p>
      <div className="mt-1 flex flex-wrap items-end gap-x-4 gap-y-2">
        <LengthField
          label="Depth that you measured"
          valueMm={depth}
          above
          empty="not measured"
          className="w-32"
          keep={(mm) => (setDepth(mm), [])}
        />
        <PlainField label="What you saw" value={note} className="w-56" keep={(text) => (setNote(text), [])} />
      </div>
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="button" onClick={() => void tell('good')}>
          As I wanted it
        </button>
        <button type="button" className="button" onClick={() => void tell('poor')}>
          Not as I wanted it
        </button>
      </div>
      <p className="pt-1 text-[13px] text-second">
        {burnt.speed === null
          ? 'It is written down. It burns at several speeds: none of them is counted with the material.'
          : 'It is written down, and counted with the material’s setting of that power and speed.'}
      </p>
      <Findings findings={said} />
    </section>
  )
}
