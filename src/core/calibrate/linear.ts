/**
 * Solves linear equations by elimination with row pivots.
 * @param matrix Square. @param right As many numbers. @returns The solution, or null where the equations do not settle it.
 * Valid: small systems. Source: Gaussian elimination with partial pivoting.
 * @example solveLinear([[2, 0], [0, 4]], [2, 8]) // [1, 2]
 */
export function solveLinear(matrix: readonly (readonly number[])[], right: readonly number[]): readonly number[] | null {
  const n = right.length
  const rows = matrix.map((row, i) => [...row, right[i] ?? 0])
  let largest = 0
  for (const row of rows) for (const it of row) largest = Math.max(largest, Math.abs(it))
  const at = (i: number, j: number): number => (rows[i] as number[])[j] as number
  for (let k = 0; k < n; k++) {
    let pivot = k
    for (let i = k + 1; i < n; i++) if (Math.abs(at(i, k)) > Math.abs(at(pivot, k))) pivot = i
    if (!(Math.abs(at(pivot, k)) > 1e-12 * largest)) return null
    const row = rows[pivot] as number[]
    rows[pivot] = rows[k] as number[]
    rows[k] = row
    for (let i = k + 1; i < n; i++) {
      const below = rows[i] as number[]
      const share = (below[k] as number) / (row[k] as number)
      for (let j = k; j <= n; j++) below[j] = (below[j] as number) - share * (row[j] as number)
    }
  }
  const solved: number[] = Array.from({ length: n }, () => 0)
  for (let i = n - 1; i >= 0; i--) {
    let left = at(i, n)
    for (let j = i + 1; j < n; j++) left -= at(i, j) * (solved[j] as number)
    solved[i] = left / at(i, i)
  }
  return solved
}
