import { useNavigate } from 'react-router'
import { keepAsCopy, openBench, saveOpenBench, useBenchStore } from '../state'
import { exportBench } from '../ui'
import { notify } from './notify'

/** What stands over the sheet while a bench is not saved: what happened and what can be done. */
export function SaveNotice() {
  const save = useBenchStore((it) => it.save)
  const id = useBenchStore((it) => it.bench?.id ?? '')
  const navigate = useNavigate()
  if (save.kind === 'saved' || save.kind === 'saving') return null
  const copy = async (): Promise<void> => {
    const kept = await keepAsCopy()
    if (kept.ok) await navigate(`/bench/${kept.value}/motion`)
    else notify(kept.findings.map((it) => it.message).join(' '))
  }
  return (
    <div role="alert" className="no-print flex flex-wrap items-center gap-3 border-b border-ink bg-tape px-6 py-2">
      {save.kind === 'changed-elsewhere' ? (
        <>
          <p>This bench was changed elsewhere, in another window. Your last change is not saved.</p>
          <button type="button" className="button" onClick={() => void openBench(id)}>
            Reload it
          </button>
          <button type="button" className="button" onClick={() => void copy()}>
            Keep mine as a copy
          </button>
        </>
      ) : (
        <>
          <p>
            {save.kind === 'full'
              ? 'The disk is full: your last changes are not saved.'
              : `The browser could not save: ${save.message}.`}{' '}
            Export the bench file, make room, then try again.
          </p>
          <button type="button" className="button button-first" onClick={() => void exportBench(id)}>
            Export the bench file
          </button>
          <button type="button" className="button" onClick={() => void saveOpenBench()}>
            Try again
          </button>
        </>
      )}
    </div>
  )
}
