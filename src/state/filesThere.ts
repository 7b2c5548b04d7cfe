import { peekFiles } from '../data/peek'
import { answered } from './answered'
import { useBenchStore } from './benchStore'

let coming: Promise<void> = Promise.resolve()

/** Reads the files of the open bench behind it; what is added meanwhile stays. */
export function fetchFiles(id: string): void {
  coming = answered(peekFiles(id)).then((stored) => {
    useBenchStore.setState(({ bench, files }) => {
      if (bench?.id !== id) return {}
      const here = new Set(files.map((it) => it.id))
      return { files: [...stored.filter((it) => !here.has(it.id)), ...files] }
    })
  })
  // Whoever needs all of them hears of it; the log shows what it has.
  coming.catch(() => undefined)
}

/** Waits until all files of the open bench are here. @throws {Error} where they cannot be read. */
export function filesThere(): Promise<void> {
  return coming
}
