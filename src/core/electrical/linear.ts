/**
 * Solves a small dense system of linear equations by elimination with pivots.
 * @param matrix Square, row by row. @param right As many numbers.
 * @returns The solution; null where there is none or more than one.
 * Valid: a few dozen unknowns. Source: Gaussian elimination with partial pivoting.
 */
export function solveLinear(matrix: readonly (readonly number[])[], right: readonly number[]): readonly number[] | null {
  const n = right.length
  const rows = matrix.map((row, i) => [...row, right[i] ?? 0])
  for (let k = 0; k < n; k++) {
    const pivot = largestBelow(rows, k)
    const own = rows[pivot]
    if (own === undefined || !(Math.abs(own[k] ?? 0) > 1e-14)) return null
    ;[rows[k], rows[pivot]] = [own, rows[k] ?? own]
    for (let i = k + 1; i < n; i++) subtract(rows[i] ?? [], own, k)
  }
  return backwards(rows, n)
}

/** The row from k on with the largest number in column k. */
function largestBelow(rows: readonly (readonly number[])[], k: number): number {
  let best = k
  for (let i = k + 1; i < rows.length; i++) if (Math.abs(rows[i]?.[k] ?? 0) > Math.abs(rows[best]?.[k] ?? 0)) best = i
  return best
}

function subtract(row: number[], pivot: readonly number[], k: number): void {
  const share = (row[k] ?? 0) / (pivot[k] ?? 1)
  if (share === 0) return
  for (let j = k; j < row.length; j++) row[j] = (row[j] ?? 0) - share * (pivot[j] ?? 0)
}

function backwards(rows: readonly (readonly number[])[], n: number): readonly number[] {
  const solution = Array<number>(n).fill(0)
  for (let i = n - 1; i >= 0; i--) {
    const row = rows[i] ?? []
    const known = solution.reduce((sum, it, j) => (j > i ? sum + (row[j] ?? 0) * it : sum), 0)
    solution[i] = ((row[n] ?? 0) - known) / (row[i] ?? 1)
  }
  return solution
}
