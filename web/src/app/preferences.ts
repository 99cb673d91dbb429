import { defineStore } from 'pinia'
import { ref, watch } from 'vue'

export type Unit = 'mm' | 'thou'

/** What this screen prefers: the unit shown first, light or dim, and who works at it. Kept on this machine. */
export const usePreferences = defineStore('preferences', () => {
  const unit = ref<Unit>(localStorage.getItem('zd-unit') === 'thou' ? 'thou' : 'mm')
  const theme = ref<'light' | 'dark'>(localStorage.getItem('zd-theme') === 'dark' ? 'dark' : 'light')
  const person = ref(localStorage.getItem('zd-person') ?? '')
  const tray = ref(localStorage.getItem('zd-tray') ?? '')
  watch(unit, (value) => localStorage.setItem('zd-unit', value))
  watch(theme, (value) => localStorage.setItem('zd-theme', value))
  watch(person, (value) => localStorage.setItem('zd-person', value))
  watch(tray, (value) => localStorage.setItem('zd-tray', value))
  return {
    unit,
    theme,
    person,
    tray,
    toggleUnit: () => (unit.value = unit.value === 'mm' ? 'thou' : 'mm'),
    toggleTheme: () => (theme.value = theme.value === 'dark' ? 'light' : 'dark'),
  }
})
