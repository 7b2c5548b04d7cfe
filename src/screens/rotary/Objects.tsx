import { useState } from 'react'
import type { Bench } from '../../core/document'
import { addObject, DONE, isDone, removeObject, renameObject, takeInHand, type Told } from '../../state'
import { Findings, PlainField, SelectOf, TakeAway } from '../../ui'

/** A new object by its name. */
export function AddObject() {
  const [name, setName] = useState('')
  const [said, say] = useState<Told>(DONE)
  return (
    <form
      className="no-print mt-2 flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault()
        const found = addObject(name)
        say(found)
        if (isDone(found)) setName('')
      }}
    >
      <input
        className="input min-h-9 w-56"
        aria-label="What is to be turned"
        placeholder="a mug, a tool handle …"
        maxLength={60}
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <button type="submit" className="button" disabled={name.trim() === ''}>
        Add this object
      </button>
      <Findings findings={said} />
    </form>
  )
}

/** Which object is in hand, its name, and the others. */
export function Objects({ bench }: { readonly bench: Bench }) {
  const { objects, inHand } = bench.rotary
  const inOrder = Object.entries(objects).sort(([, p], [, q]) => p.order - q.order)
  const object = objects[inHand]
  if (object === undefined) return null
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-1 py-1.5">
      {inOrder.length > 1 && (
        <label className="flex flex-col text-[12px] text-second">
          In hand
          <SelectOf
            label="Object in hand"
            of={Object.fromEntries(inOrder.map(([id, it]) => [id, it.name]))}
            value={inHand}
            choose={takeInHand}
          />
        </label>
      )}
      <PlainField label="Its name" words value={object.name} className="w-52" keep={(it) => renameObject(inHand, it)} />
      <TakeAway what={`Take ${object.name} away`} act={() => removeObject(inHand)} />
    </div>
  )
}
