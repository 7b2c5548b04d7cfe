import { useState } from 'react'
import { create } from 'zustand'
import { programFile, type CompareSummary, type MadeProgram, type ProgramSummary } from '../../state'

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

/** Takes up a tool. What the other made is drawn no more; what was typed for it stays. */
export function takeTool(tool: Tool): void {
  useProgramTool.setState({ tool, made: null, compared: null })
}

/** What was typed for a program that is open: it stays while another tool, or another sheet, is looked at. */
const useTyped = create<{ readonly of: File | null; readonly values: Readonly<Record<string, unknown>> }>()(() => ({
  of: null,
  values: {},
}))

/** Like `useState`, kept under a name as long as the program is open. */
export function useKept<T>(name: string, initial: () => T): readonly [T, (next: T | ((was: T) => T)) => void] {
  const file = programFile()
  const typed = useTyped()
  const [first] = useState(initial)
  const value = typed.of === file && name in typed.values ? (typed.values[name] as T) : first
  const set = (next: T | ((was: T) => T)): void => {
    useTyped.setState((was) => {
      const values = was.of === file ? was.values : {}
      const before = name in values ? (values[name] as T) : first
      const after = typeof next === 'function' ? (next as (was: T) => T)(before) : next
      return { of: file, values: { ...values, [name]: after } }
    })
  }
  return [value, set]
}
