<script setup lang="ts">
import { usePreferences } from '../shared/preferences'

/** How this machine shows things: which unit first, light or dim. */
const preferences = usePreferences()
</script>

<template>
  <div class="shown-as">
    <button
      type="button"
      :aria-label="`${preferences.unit}: press for ${preferences.unit === 'mm' ? 'thou' : 'mm'} first`"
      @click="preferences.toggleUnit()"
    >
      {{ preferences.unit }}
    </button>
    <button
      type="button"
      :aria-label="preferences.theme === 'dark' ? 'dim: press for light' : 'light: press for dim'"
      @click="preferences.toggleTheme()"
    >
      {{ preferences.theme === 'dark' ? 'dim' : 'light' }}
    </button>
  </div>
</template>

<style scoped>
.shown-as {
  display: flex;
  gap: 0.4rem;
}
button {
  border: 1px solid var(--line);
  background: var(--plate);
  color: var(--ink-soft);
  border-radius: 3px;
  min-height: 44px;
  min-width: 52px;
}
</style>
