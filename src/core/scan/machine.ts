import type { Limits } from '../planner'

/** What a scan is planned with. */
export interface ScanMachine {
  readonly limits: Limits
  /** Seconds by which the light comes and goes behind its word. */
  readonly onDelay: number
  readonly offDelay: number
  /** Every other line back; else all of them the same way. */
  readonly bothWays: boolean
  /** By how much lines that go back are shifted along the scan, mm: play that the delay does not explain. */
  readonly backShift: number
}

/** Speed and acceleration along a direction. */
export interface Along {
  /** mm/s. */
  readonly speed: number
  /** mm/s². */
  readonly acceleration: number
}

/** What the motors leave of speed and acceleration along a direction. Valid: motors that move it. Source: each motor within its own limits. */
export function limitsAlong({ motors }: Limits, angleRad: number): Along {
  const [c, s] = [Math.cos(angleRad), Math.sin(angleRad)]
  let [speed, acceleration] = [Infinity, Infinity]
  for (const { per, speed: most, acceleration: hardest } of motors) {
    const share = Math.abs(per[0] * c + per[1] * s)
    if (share < 1e-9) continue
    speed = Math.min(speed, most / share)
    acceleration = Math.min(acceleration, hardest / share)
  }
  return { speed, acceleration }
}
