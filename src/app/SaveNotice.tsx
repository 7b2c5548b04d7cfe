import { useState } from 'react'
import { useNavigate } from 'react-router'
import { allowLeaving, keepAsCopy, reloadBench, saveOpenBench, useBenchStore, type SaveState, DONE, told } from '../state'
import { exportBench, Findings } from '../ui'

/** What stands over the sheet while a bench is not saved, or not the newest: what happened and what can be done. */
export function SaveNotice() {
  const save = useBenchStore((it) => it.save)
  const leftAs = useBenchStore((it) => it.leftAs)
  return (
    <>
      {save.kind !== 'saved' && save.kind !== 'saving' && <NotSaved save={save} />}
      {leftAs !== null && (
        <Bar>
          <p>
            A page that was closed had left a change unsaved, and this bench was changed elsewhere since. The change is kept in a
            bench beside it: “{leftAs}”.
          </p>
          <button type="button" className="button" onClick={() => useBenchStore.setState({ leftAs: null })}>
            Understood
          </button>
        </Bar>
      )}
    </>
  )
}

type Unsaved = Exclude<SaveState, { readonly kind: 'saved' | 'saving' }>

function NotSaved({ save }: { readonly save: Unsaved }) {
  const id = useBenchStore((it) => it.bench?.id ?? '')
  const navigate = useNavigate()
  const [said, say] = useState(DONE)
  const copy = async (): Promise<void> => {
    const kept = await keepAsCopy()
    if (!kept.ok) {
      say(kept.findings)
      return
    }
    allowLeaving()
    await navigate(`/bench/${kept.value}/motion`)
  }
  const reload = async (): Promise<void> => {
    const stood = await reloadBench(id)
    say(stood.map((it) => ({ ...it, message: `It cannot be reloaded. ${it.message}` })))
  }
  const takeOut = (): void => void exportBench(id).then(say)
  const again = async (): Promise<void> => {
    const state = await saveOpenBench()
    say(state.kind === 'saved' ? DONE : told('It still cannot be saved.'))
  }
  return (
    <Bar>
      <p>{sayUnsaved(save)}</p>
      {save.kind === 'changed-elsewhere' && (
        <button type="button" className="button" onClick={() => void reload()}>
          Reload it
        </button>
      )}
      {save.kind === 'changed-elsewhere' && save.unsaved && (
        <button type="button" className="button" onClick={() => void copy()}>
          Keep mine as a copy
        </button>
      )}
      {save.kind === 'newer' && (
        <button type="button" className="button" onClick={() => location.reload()}>
          Load the page again
        </button>
      )}
      {(save.kind === 'full' || save.kind === 'failed' || save.kind === 'newer') && (
        <button type="button" className="button button-first" onClick={takeOut}>
          Export the bench file
        </button>
      )}
      {(save.kind === 'full' || save.kind === 'failed') && (
        <button type="button" className="button" onClick={() => void again()}>
          Try again
        </button>
      )}
      <div className="basis-full">
        <Findings findings={said} />
      </div>
    </Bar>
  )
}

function sayUnsaved(save: Unsaved): string {
  switch (save.kind) {
    case 'changed-elsewhere':
      return save.unsaved
        ? 'This bench was changed elsewhere, in another window. Your last change is not saved; reloading gives it up.'
        : 'This bench was changed elsewhere, in another window. What you see is older.'
    case 'newer':
      return 'A newer Fine Kerf in another window has taken this bench over. Load the page again to go on with it.'
    case 'full':
      return 'The disk is full: your last changes are not saved. Export the bench file, make room, then try again.'
    case 'failed':
      return `This bench is not saved in this browser: ${save.message}. Export the bench file, make room, then try again.`
  }
}

function Bar({ children }: { readonly children: React.ReactNode }) {
  return (
    <div role="alert" className="no-print flex flex-wrap items-center gap-3 border-b border-ink bg-tape px-6 py-2">
      {children}
    </div>
  )
}
