/** The one legend of origins. */
export function Legend() {
  return (
    <span className="flex gap-3" aria-label="Lines under facts: solid measured, thin stated, dotted assumed">
      <span className="origin-measured">measured</span>
      <span className="origin-stated">stated</span>
      <span className="origin-assumed">assumed</span>
    </span>
  )
}
