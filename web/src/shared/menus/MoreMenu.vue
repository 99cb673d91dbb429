<script setup lang="ts">
import { onClickOutside } from '@vueuse/core'
import { ref, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'

/**
 * What is done seldom, behind one button: a list of links and buttons that goes away once one of them was pressed.
 *
 *     <MoreMenu text="More…"><li><a …></li></MoreMenu>
 */
const props = withDefaults(defineProps<{ text?: string; plain?: boolean; end?: boolean }>(), { text: 'More…' })
const open = ref(false)
const box = useTemplateRef<HTMLElement>('box')
const button = useTemplateRef<HTMLButtonElement>('button')
const route = useRoute()
onClickOutside(box, () => (open.value = false))
watch(
  () => route.fullPath,
  () => (open.value = false),
)
function close() {
  open.value = false
  button.value?.focus()
}
</script>

<template>
  <div ref="box" class="menu" @keydown.esc="close">
    <button
      ref="button"
      type="button"
      :class="plain ? 'place' : 'btn btn-plain'"
      :aria-expanded="open"
      @click="open = !open"
    >
      {{ props.text }}
    </button>
    <ul v-show="open" class="sheet" :class="{ end }" @click="open = false">
      <slot />
    </ul>
  </div>
</template>

<style scoped>
.menu {
  position: relative;
  display: flex;
  align-items: center;
}
.sheet {
  position: absolute;
  z-index: 15;
  top: 100%;
  left: 0;
  margin: 2px 0 0;
  padding: 0.3rem 0;
  min-width: 13rem;
  list-style: none;
  background: var(--plate);
  border: 1.5px solid var(--ink);
  border-radius: 3px;
}
.sheet.end {
  left: auto;
  right: 0;
}
.sheet :deep(a),
.sheet :deep(button) {
  display: flex;
  align-items: center;
  width: 100%;
  min-height: 44px;
  padding: 0 0.9rem;
  border: 0;
  background: none;
  color: var(--ink);
  text-align: left;
  text-decoration: none;
  white-space: nowrap;
}
.sheet :deep(a:hover),
.sheet :deep(a:focus-visible),
.sheet :deep(button:hover),
.sheet :deep(button:focus-visible) {
  background: var(--blue-wash);
}
.sheet :deep([aria-current]) {
  font-weight: 700;
  box-shadow: inset 4px 0 0 var(--blue);
}
.place {
  display: flex;
  align-items: center;
  min-height: 48px;
  padding: 0;
  font: inherit;
  color: var(--ink-soft);
  background: none;
  border: 0;
  border-block: 4px solid transparent;
  white-space: nowrap;
}
@media (max-width: 600px) {
  .sheet.end {
    right: auto;
    left: 0;
  }
}
</style>
