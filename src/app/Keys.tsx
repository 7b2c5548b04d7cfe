import { useEffect } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { useLocation, useNavigate } from 'react-router'
import { STAGES } from '../screens/stages'
import { addressOf, isDone, reasonOf, redo, stopMachine, undo, useBenchStore, useSession } from '../state'
import { exportBench } from '../ui'
import { giveEarlyKeys } from './earlyKeys'
import { notify } from './notify'

/** The keys that work everywhere; `Shortcuts` lists them. */
export function Keys() {
  const navigate = useNavigate()
  const { pathname } = useLocation()
  const step = (by: number): void => {
    const id = useBenchStore.getState().bench?.id
    const at = STAGES.findIndex((it) => it.id === pathname.split('/')[3])
    const next = STAGES[at + by]
    if (id !== undefined && at >= 0 && next !== undefined)
      void navigate(addressOf(id, next.id, useSession.getState().lastParts[next.id]))
  }
  const everywhere = { preventDefault: true, enableOnFormTags: true } as const
  useHotkeys('mod+k', () => useSession.setState({ palette: true }), everywhere)
  useHotkeys('shift+slash, ?', () => useSession.setState({ shortcuts: true }), { preventDefault: true, useKey: true })
  useHotkeys('mod+z', () => say('Undone', undo()), { preventDefault: true })
  useHotkeys('mod+shift+z, mod+y', () => say('Done again', redo()), { preventDefault: true })
  useHotkeys('mod+s', () => exportOpen(), everywhere)
  useHotkeys('mod+period', stopMachine, everywhere)
  useHotkeys('bracketleft, [', () => step(-1), { useKey: true })
  useHotkeys('bracketright, ]', () => step(1), { useKey: true })
  useEffect(giveEarlyKeys, [])
  return null
}

function say(words: string, edit: string | null): void {
  notify(edit === null ? 'Nothing to undo or redo.' : `${words}: ${edit}`)
}

function exportOpen(): void {
  const id = useBenchStore.getState().bench?.id
  if (id !== undefined) void exportBench(id).then((said) => isDone(said) || notify(reasonOf(said)))
}
