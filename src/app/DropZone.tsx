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
      const files = [...(event.dataTransfer?.files ?? [])]
      if (files.length === 0) return
      event.preventDefault()
      void takeAll(files, (to) => void navigate(to))
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

/** Takes every file that was dropped, one after the other; one that is left is said. */
async function takeAll(files: readonly File[], go: (to: string) => void): Promise<void> {
  const { bench } = useBenchStore.getState()
  const isBench = (file: File): boolean => bench === null || BENCH_FILE.test(file.name)
  for (const file of files.filter(isBench)) {
    const read = await importFile(file)
    for (const finding of read.findings.slice(0, 4)) notify(finding.message)
    if (read.ok) go(`/bench/${read.value}/motion`)
  }
  const [program, ...more] = files.filter((file) => !isBench(file))
  if (program !== undefined && bench !== null) {
    void openProgram(program, machineLimits(engineOf(bench)))
    go(`/bench/${bench.id}/work`)
  }
  if (more.length > 0) {
    const names = more.map((it) => `“${it.name}”`).join(', ')
    notify(`One program is looked at at a time: ${names} was left where it is. Drop it again when you want to see it.`)
  }
}
