import { exportFile, exportRaw, DONE, type Told } from '../state'
import { download } from './download'

type Made = Awaited<ReturnType<typeof exportFile>>

/** Exports a bench as a file. @returns What stands in the way; it is to be said. */
export async function exportBench(id: string): Promise<Told> {
  return handedOut(await exportFile(id))
}

/** Takes a stored bench out as it stands, whether or not it can be read here. @returns What stands in the way. */
export async function takeOutRaw(id: string): Promise<Told> {
  return handedOut(await exportRaw(id))
}

function handedOut(made: Made): Told {
  if (!made.ok) return made.findings
  const plain = made.value.name.endsWith('.json')
  download(made.value.name, made.value.bytes, plain ? 'application/json' : 'application/zip')
  return DONE
}
