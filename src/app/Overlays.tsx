import { lazy, Suspense } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { useLocation, useNavigate } from 'react-router'
import { STAGES } from '../screens/stages'
import { addressOf, redo, stopMachine, undo, useBenchStore, useSession, isDone, reasonOf } from '../state'
import { exportBench } from '../ui'
import { notify } from './notify'

const Palette = lazy(async () => ({ default: (await import('./Palette')).Palette }))
const Shortcuts = lazy(async () => ({ default: (await import('./Shortcuts')).Shortcuts }))
const BeforeBurn = lazy(async () => ({ default: (await import('./BeforeBurn')).BeforeBurn }))
const Notices = lazy(async () => ({ default: (await import('./Notices')).Notices }))

/** What lies over every page: the palette, the list of keys, notices; and the keys themselves. */
export function Overlays() {
  const palette = useSession((it) => it.palette)
  const shortcuts = useSession((it) => it.shortcuts)
  const cautions = useSession((it) => it.cautions)
  const notices = useSession((it) => it.notices)
  useKeys()
  return (
    <Suspense fallback={null}>
      {palette && <Palette />}
      {shortcuts && <Shortcuts />}
      {cautions === 'asking' && <BeforeBurn />}
      {notices && <Notices />}
    </Suspense>
  )
}

function useKeys(): void {
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
}

function say(words: string, edit: string | null): void {
  notify(edit === null ? 'Nothing to undo or redo.' : `${words}: ${edit}`)
}

function exportOpen(): void {
  const id = useBenchStore.getState().bench?.id
  if (id !== undefined) void exportBench(id).then((said) => isDone(said) || notify(reasonOf(said)))
}
