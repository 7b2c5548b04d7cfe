import { useEffect, useState } from 'react'
import { useNavigate } from 'react-router'
import { machineLimits } from '../core/document'
import { engineOf, importFile, openProgram, useBenchStore } from '../state'
import { notify } from './notify'

const BENCH_FILE = /\.(zip|json)$/i

/** A bench file dropped anywhere on the window is opened; on an open bench any other file is read as a program. */
export function DropZone() {
  const [over, setOver] = useState(false)
  const navigate = useNavigate()
  useEffect(() => {
    const holdsFiles = (event: DragEvent): boolean => event.dataTransfer?.types.includes('Files') === true
    const drag = (event: DragEvent): void => {
      if (!holdsFiles(event)) return
      event.preventDefault()
      setOver(true)
    }
    const leave = (event: DragEvent): void => {
      if (event.relatedTarget === null) setOver(false)
    }
    const drop = (event: DragEvent): void => {
      setOver(false)
      const file = event.dataTransfer?.files[0]
      if (file === undefined) return
      event.preventDefault()
      const { bench } = useBenchStore.getState()
      if (bench !== null && !BENCH_FILE.test(file.name)) {
        void openProgram(file, machineLimits(engineOf(bench)))
        void navigate(`/bench/${bench.id}/work`)
        return
      }
      void importFile(file).then((read) => {
        for (const finding of read.findings) notify(finding.message)
        if (read.ok) void navigate(`/bench/${read.value}/motion`)
      })
    }
    const listeners = { dragover: drag, dragleave: leave, drop } as const
    for (const [name, listener] of Object.entries(listeners)) window.addEventListener(name as 'drop', listener)
    return () => {
      for (const [name, listener] of Object.entries(listeners)) window.removeEventListener(name as 'drop', listener)
    }
  }, [navigate])
  if (!over) return null
  return (
    <div className="pointer-events-none fixed inset-3 z-50 grid place-items-center border-2 border-dashed border-teal bg-[color-mix(in_srgb,var(--paper)_85%,transparent)]">
      <p className="text-[20px] font-[650]">Drop a bench file to open it, or a program to look at it</p>
    </div>
  )
}
