import { setAt } from '../core/bench'
import { editBench, useBenchStore } from './benchStore'
import { isDone, told, type Told } from './told'

/** How the open bench's machine names its settings, as a file. */
export async function keysToFile(): Promise<string> {
  const { bench } = useBenchStore.getState()
  return bench === null ? '' : (await import('../data/keysFile')).writeKeys(bench)
}

/** Takes the names of another machine's settings from a file, one undo step. @returns What stood in the way, or was left out. */
export async function keysFromFile(file: File): Promise<Told> {
  const { bench } = useBenchStore.getState()
  if (bench === null) return told('No bench is open.')
  const [{ decodeText }, { readKeys }] = await Promise.all([import('../data/decode'), import('../data/keysFile')])
  const text = decodeText(new Uint8Array(await file.arrayBuffer()), file.name)
  if (!text.ok) return text.findings
  const read = readKeys(text.value, bench)
  if (!read.ok) return read.findings
  const { keys, line, speedUnit } = read.value
  const edited = editBench('the keys of the settings', (it) =>
    setAt(it, 'controller', { ...it.controller, keys: { ...it.controller.keys, ...keys }, line, speedUnit }),
  )
  return isDone(edited) ? read.findings : edited
}
