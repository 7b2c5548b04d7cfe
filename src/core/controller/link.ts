/** A line of text each way: what a stand-in and a serial port have in common. */
export interface ControllerLink {
  /** Sends one line, without its line feed. */
  send(line: string): void
  /** Hears every line that comes, and null when the link is gone. */
  listen(hear: (line: string | null) => void): void
  close(): void
}

/** Runs something after some milliseconds. @returns Calls it off. */
export type After = (ms: number, act: () => void) => () => void
