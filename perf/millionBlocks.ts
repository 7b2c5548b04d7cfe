export const BLOCKS = 1_000_000

/** A fixed program of a million blocks with coordinates, power and feed. */
export function millionBlocks(): string {
  const lines = ['G21 G90', 'M3', 'F1200']
  for (let i = 0; i < BLOCKS; i++)
    lines.push(`G1 X${((i * 0.137) % 430).toFixed(3)} Y${((i * 0.071) % 310).toFixed(3)} S${i % 1000}`)
  lines.push('M2', '')
  return lines.join('\n')
}
