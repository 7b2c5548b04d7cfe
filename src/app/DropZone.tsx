import { useEffect, useState } from 'react'
import { useNavigate } from 'react-router'
import { notify } from './notify'

/** A bench file dropped anywhere on the window is opened; on an open bench artwork is taken in, and any other file is read as a program. */
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
      void import('./takeFiles')
        .then(({ takeFiles }) => takeFiles(files, (to) => void navigate(to)))
        .catch(() =>
          notify('What was dropped could not be taken: a part of this page cannot be fetched any more. Load the page again.'),
        )
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
      <p className="text-[20px] font-[650]">Drop artwork to burn it, a program to look at it, or a bench file to open it</p>
    </div>
  )
}
