import { machineLimits } from '../core/document'
import { subroutinesOf } from '../core/gcode'
import { engineOf, importFile, openProgram, takeArtwork, useBenchStore } from '../state'
import { notify } from './notify'

const ARTWORK = /\.(svg|dxf|png|jpe?g|webp)$/i
const BENCH_FILE = /\.(zip|json)$/i

/** Takes every file that was dropped, one after the other; one that is left is said. */
export async function takeFiles(files: readonly File[], go: (to: string) => void): Promise<void> {
  const { bench } = useBenchStore.getState()
  const isBench = (file: File): boolean => bench === null || BENCH_FILE.test(file.name)
  for (const file of files.filter(isBench)) {
    const read = await importFile(file)
    for (const finding of read.findings.slice(0, 4)) notify(finding.message)
    if (read.ok) go(`/bench/${read.value}/motion`)
  }
  const artwork = files.filter((file) => !isBench(file) && ARTWORK.test(file.name))
  for (const file of artwork) {
    go(`/bench/${bench?.id ?? ''}/work/order`)
    for (const finding of (await takeArtwork(file)).slice(0, 4)) notify(finding.message)
  }
  const [program, ...more] = files.filter((file) => !isBench(file) && !artwork.includes(file))
  if (program !== undefined && bench !== null) {
    void openProgram(program, machineLimits(engineOf(bench)), subroutinesOf(bench.output.card))
    go(`/bench/${bench.id}/work/program`)
  }
  if (more.length > 0) {
    const names = more.map((it) => `“${it.name}”`).join(', ')
    notify(`One program is looked at at a time: ${names} was left where it is. Drop it again when you want to see it.`)
  }
}
