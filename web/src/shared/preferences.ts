import { usePreferredDark, useStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { Unit } from './figures/lengths'

/** What this machine prefers: the unit shown first, light or dim, who works at it, how it answers a tap. Kept on this machine. */
export const usePreferences = defineStore('preferences', () => {
  const unit = useStorage<Unit>('zd-unit', 'mm')
  /** As the system has it until somebody chooses. */
  const chosenTheme = useStorage<'light' | 'dark' | 'system'>('zd-theme', 'system')
  const systemIsDark = usePreferredDark()
  const theme = computed(() =>
    chosenTheme.value === 'system' ? (systemIsDark.value ? 'dark' : 'light') : chosenTheme.value,
  )
  const beginsWhereItStands = useStorage<Record<string, boolean>>('zd-begins-where-it-stands', {})
  return {
    unit,
    chosenTheme,
    theme,
    person: useStorage('zd-person', ''),
    tray: useStorage('zd-tray', ''),
    /** Whose hand works with which blades: one person, one set. */
    trayOf: useStorage<Record<string, string>>('zd-tray-of', {}),
    keepAwake: useStorage('zd-awake', true),
    sound: useStorage('zd-sound', true),
    buzz: useStorage('zd-buzz', true),
    /** A clear verdict keeps itself after a moment. */
    keepsItself: useStorage('zd-keeps-itself', true),
    /** Whoever stands on the other side sees the heads from there. */
    mirrored: useStorage('zd-mirrored', false),
    /** Who begins where the crank stands; the others begin at 1. */
    beginsWhereItStands,
    toggleUnit: () => (unit.value = unit.value === 'mm' ? 'thou' : 'mm'),
    toggleTheme: () => (chosenTheme.value = theme.value === 'dark' ? 'light' : 'dark'),
  }
})
