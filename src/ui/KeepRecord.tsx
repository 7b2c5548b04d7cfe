import { useState, type SyntheticEvent } from 'react'
import { figureUnit, shownNumber, type WithDoubt } from '../core/bench'
import { sayQuantity } from '../core/units'
import { keepRecord, DONE, isDone, told } from '../state'
import { PicturesField } from './PicturesField'
import { useUnits } from './Quantity'
import { Findings } from './Findings'

/** Share of a value, or of its own ±, up to which a later change counts as the same. */
const SAME_SHARE = 0.0005

/** Writes down that a figure was used: typed into the machine, cut, ordered. It is named as stale when it moves. */
export function KeepRecord({ figure }: { readonly figure: WithDoubt }) {
  const [open, setOpen] = useState(false)
  if (!open) {
    return (
      <button type="button" className="link no-print mt-1 text-[13px]" onClick={() => setOpen(true)}>
        Write down that you used this value
      </button>
    )
  }
  return <RecordForm figure={figure} close={() => setOpen(false)} />
}

function RecordForm({ figure, close }: { readonly figure: WithDoubt; readonly close: () => void }) {
  const system = useUnits()
  const [title, setTitle] = useState('')
  const [note, setNote] = useState('')
  const [pictures, setPictures] = useState<readonly File[]>([])
  const [refused, setRefused] = useState(DONE)
  const value = shownNumber(figure.result) ?? 0
  const submit = async (event: SyntheticEvent): Promise<void> => {
    event.preventDefault()
    const words = title.trim()
    if (words === '') {
      setRefused(told('Say what you did with it, such as “typed into the controller”.'))
      return
    }
    const about = {
      stage: figure.def.id.split('.')[0] ?? '',
      title: words,
      note: note.trim(),
      redo: `Do it again: ${words}.`,
      beneath: [],
    }
    const said = await keepRecord(about, [{ id: figure.def.id, args: figure.args, same: Math.abs(value) * SAME_SHARE }], pictures)
    if (isDone(said)) close()
    else setRefused(said)
  }
  return (
    <form className="mt-2 grid gap-2 border-l-2 border-rule pl-3 text-[13px]" onSubmit={(event) => void submit(event)}>
      <p>
        {figure.def.label}: <span className="num">{sayQuantity(value, null, figureUnit(figure, system))}</span>
      </p>
      <label className="grid gap-1">
        What you did with it
        <input
          className="input"
          value={title}
          onChange={(event) => setTitle(event.target.value)}
          placeholder="typed into the controller"
          maxLength={200}
          autoFocus
        />
      </label>
      <label className="grid gap-1">
        Note
        <textarea className="input" rows={2} value={note} onChange={(event) => setNote(event.target.value)} maxLength={4000} />
      </label>
      <PicturesField label="Add pictures" pictures={pictures} change={setPictures} />
      <Findings findings={refused} />
      <div className="flex gap-2">
        <button type="submit" className="button button-first">
          Write it down
        </button>
        <button type="button" className="button" onClick={close}>
          Cancel
        </button>
      </div>
    </form>
  )
}
