export const BLOCKS = 1_000_000

/** A fixed program of a million blocks with coordinates, power and feed. */
export function millionBlocks(): string {
  const lines = ['G21 G90', 'M3', 'F1200']
  for (let i = 0; i < BLOCKS; i++)
    lines.push(`G1 X${((i * 0.137) % 430).toFixed(3)} Y${((i * 0.071) % 310).toFixed(3)} S${i % 1000}`)
  lines.push('M2', '')
  return lines.join('\n')
}

/** As many of a program for a cutter: it comes down, ramps in, goes its way, and up again. */
export function millionOfCutter(): string {
  const lines = ['G21 G90', 'M3 S12000', 'F1200', 'G0 Z5']
  for (let i = 0; i < BLOCKS; i++) {
    const at = `X${((i * 0.137) % 430).toFixed(3)} Y${((i * 0.071) % 310).toFixed(3)}`
    const k = i % 20
    lines.push(k === 0 ? 'G0 Z5' : k === 1 ? `G0 ${at}` : k === 2 ? 'G1 Z-1.5' : k === 3 ? `G1 ${at} Z-2` : `G1 ${at}`)
  }
  lines.push('M2', '')
  return lines.join('\n')
}
