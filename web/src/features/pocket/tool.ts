import type { Component } from 'vue'
import type { CallName } from '../../core/call'
import type { Figures } from '../../shared/figures/useFigures'

/** One thing a calculator asks. Figures are typed as text; lengths in the unit the screen prefers. */
export interface Ask {
  name: string
  label: string
  kind: 'text' | 'number' | 'length' | 'choice' | 'lines'
  start: string
  hint?: string
  choices?: { value: string; text: string }[]
  /** Only asked when this holds. */
  when?: (typed: Typed) => boolean
}

export type Typed = Record<string, string>

/** What was typed, read: numbers with point or comma, lengths in millimetres. */
export interface Read {
  text: (name: string) => string
  number: (name: string) => number | null
  mm: (name: string) => number | null
  numbers: (name: string) => number[]
  lines: (name: string) => string[][]
  unitMm: number
}

/** The answer as it is shown: a sentence, more lines, a picture, the working and where the rule comes from. */
export interface Answer {
  sentence: string
  tone?: 'tight' | 'loose' | 'ink'
  lines?: string[]
  picture?: { is: Component; props: Record<string, unknown> }
  working: string[]
  source: string
}

export interface Tool {
  key: string
  name: string
  asks: Ask[]
  call: CallName
  body: (read: Read) => Record<string, unknown>
  // The answer's shape is the endpoint's own; each tool names it.
  say: (result: never, read: Read, figures: Figures) => Answer
}

/** Keeps a tool's result type with its tool. */
export function tool<T>(
  definition: Omit<Tool, 'say'> & { say: (result: T, read: Read, figures: Figures) => Answer },
): Tool {
  return definition as unknown as Tool
}
