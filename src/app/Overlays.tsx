import { lazy, Suspense, useEffect, useState } from 'react'
import { useLocation } from 'react-router'
import { loadLateSlices } from '../core/document'
import { useSession } from '../state'
import { later } from '../ui'
import { holdEarlyKeys } from './earlyKeys'

const Palette = lazy(async () => {
  // It finds every fact, of stages too that nobody has opened.
  await loadLateSlices()
  return { default: (await import('./Palette')).Palette }
})
const Shortcuts = lazy(async () => ({ default: (await import('./Shortcuts')).Shortcuts }))
const BeforeBurn = lazy(async () => ({ default: (await import('./BeforeBurn')).BeforeBurn }))
const HarmWatch = lazy(async () => ({ default: (await import('./BeforeBurn')).HarmWatch }))
const Notices = lazy(async () => ({ default: (await import('./Notices')).Notices }))

const loadKeys = async () => (await import('./Keys')).Keys
/** The first picture of a bench does not wait for the keys, unless one is pressed; where no bench is opened nothing else fetches them. */
const Keys = later(loadKeys, 'at rest')
const KeysAtOnce = later(loadKeys)

/** What lies over every page: the palette, the list of keys, notices; and the keys themselves. */
export function Overlays() {
  const palette = useSession((it) => it.palette)
  const shortcuts = useSession((it) => it.shortcuts)
  const cautions = useSession((it) => it.cautions)
  const notices = useSession((it) => it.notices)
  const { pathname } = useLocation()
  const [wanted, setWanted] = useState(false)
  useEffect(() => holdEarlyKeys(() => setWanted(true)), [])
  if (!wanted && !pathname.startsWith('/bench/')) setWanted(true)
  return (
    <Suspense fallback={null}>
      {wanted ? <KeysAtOnce /> : <Keys />}
      {palette && <Palette />}
      {shortcuts && <Shortcuts />}
      {cautions === 'asking' && <BeforeBurn />}
      {cautions === 'taken' && <HarmWatch />}
      {notices && <Notices />}
    </Suspense>
  )
}
