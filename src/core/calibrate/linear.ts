/**
 * Solves linear equations by elimination with row pivots.
 * @param matrix Square. @param right As many numbers. @returns The solution, or null where the equations do not settle it.
 * Valid: small systems. Source: Gaussian elimination with partial pivoting.
 * @example solveLinear([[2, 0], [0, 4]], [2, 8]) // [1, 2]
 */
export function solveLinear(matrix: readonly (readonly number[])[], right: readonly number[]): readonly number[] | null {
  const n = right.length
  const rows = matrix.map((row, i) => [...row, right[i] ?? 0])
  const largest = Math.max(...rows.flat().map(Math.abs))
  const at = (i: number, j: number): number => rows[i]?.[j] ?? 0
  for (let k = 0; k < n; k++) {
    let pivot = k
    for (let i = k + 1; i < n; i++) if (Math.abs(at(i, k)) > Math.abs(at(pivot, k))) pivot = i
    if (!(Math.abs(at(pivot, k)) > 1e-12 * largest)) return null
    const [row, other] = [rows[pivot] ?? [], rows[k] ?? []]
    rows[k] = row
    rows[pivot] = other
    for (let i = k + 1; i < n; i++) {
      const share = at(i, k) / at(k, k)
      rows[i] = (rows[i] ?? []).map((it, j) => it - share * at(k, j))
    }
  }
  const solved: number[] = Array.from({ length: n }, () => 0)
  for (let i = n - 1; i >= 0; i--) {
    const known = solved.reduce((sum, it, j) => (j > i ? sum + at(i, j) * it : sum), 0)
    solved[i] = (at(i, n) - known) / at(i, i)
  }
  return solved
}
