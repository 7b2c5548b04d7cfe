import { setAt } from '../core/bench'
import { editBench, useBenchStore } from './benchStore'
import { isDone, told, type Told } from './told'

/** The open bench's output card and link card, as a file. */
export async function cardToFile(): Promise<string> {
  const { bench } = useBenchStore.getState()
  return bench === null ? '' : (await import('../data/cardFile')).writeCardFile(bench.output)
}

/** Takes an output card and its link card from a file, one undo step. @returns What stood in the way. */
export async function cardFromFile(file: File): Promise<Told> {
  if (useBenchStore.getState().bench === null) return told('No bench is open.')
  const [{ decodeText }, { readCardFile }] = await Promise.all([import('../data/decode'), import('../data/cardFile')])
  const text = decodeText(new Uint8Array(await file.arrayBuffer()), file.name)
  if (!text.ok) return text.findings
  const read = readCardFile(text.value)
  if (!read.ok) return read.findings
  const edited = editBench('the output card', (it) => setAt(it, 'output', read.value))
  return isDone(edited) ? read.findings : edited
}
