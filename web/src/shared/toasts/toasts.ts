import { ref } from 'vue'

export interface Toast {
  id: number
  text: string
  undo?: () => Promise<unknown>
}

/** What was just done, said for a while; the shell shows them. */
export const toasts = ref<Toast[]>([])
let last = 0

/** Says what was done, with a way back where there is one. */
export function toast(text: string, undo?: () => Promise<unknown>): void {
  toasts.value = [...toasts.value.slice(-2), { id: ++last, text, undo }]
}

export function dismiss(id: number): void {
  toasts.value = toasts.value.filter((t) => t.id !== id)
}
