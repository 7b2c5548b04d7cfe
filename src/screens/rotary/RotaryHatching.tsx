/** Hatching of what is cut open, and of what is kept off. */
export function RotaryHatching() {
  return (
    <defs>
      <pattern id="cut" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V7" stroke="var(--second)" strokeWidth="0.7" />
      </pattern>
      <pattern id="keep-off" width="5" height="5" patternUnits="userSpaceOnUse">
        <path d="M0 5L5 0M0 0L5 5" stroke="var(--second)" strokeWidth="0.6" />
      </pattern>
    </defs>
  )
}
