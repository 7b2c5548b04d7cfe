import { create } from 'zustand'
import type { CompareSummary, MadeProgram, ProgramSummary } from '../../state'

/** What is done with the program that is open. */
export const TOOLS = {
  mend: 'put it right',
  part: 'part it and join it again',
  join: 'join it with others, or set it out',
  compare: 'hold it against another',
} as const
export type Tool = keyof typeof TOOLS

interface ToolState {
  readonly tool: Tool
  /** What was made last, and of which program for which machine: of another one it is nothing. */
  readonly made: {
    readonly of: ProgramSummary
    readonly machine: string
    readonly tool: Tool
    readonly program: MadeProgram
  } | null
  readonly compared: { readonly of: ProgramSummary; readonly name: string; readonly found: CompareSummary } | null
}

const NOTHING: ToolState = { tool: 'mend', made: null, compared: null }

export const useProgramTool = create<ToolState>()(() => NOTHING)

/** Takes up a tool; what another made is put away. */
export function takeTool(tool: Tool): void {
  useProgramTool.setState({ tool, made: null, compared: null })
}
