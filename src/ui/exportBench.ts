import { exportFile } from '../state'
import { download } from './download'

/** Exports a bench as a file. @returns What stands in the way, or null. */
export async function exportBench(id: string): Promise<string | null> {
  const made = await exportFile(id)
  if (!made.ok) return made.findings.map((it) => it.message).join(' ')
  download(made.value.name, made.value.bytes, 'application/zip')
  return null
}
