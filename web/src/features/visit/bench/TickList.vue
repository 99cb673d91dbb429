<script setup lang="ts">
import { computed } from 'vue'
import type { Entry } from '../../../offline/entries'
import { useTyped } from '../../../shared/forms/useTyped'
import type { SheetStep, Visit } from './useVisit'

/**
 * Steps to tick: a count is said as a number, a look by what was seen, and what this engine has not got by why. What is typed stays until it is said,
 * over a reload too.
 */
const props = defineProps<{ view: Visit; items: SheetStep[]; locked?: boolean }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const { typed } = useTyped<Record<string, string>>(`said:${props.view.visitId}:${props.items[0]?.list}`, {})
/** What the signature waits for stands first; what is only offered stands folded below it. The kit list is for the road and waits for nothing. */
const stands = (s: SheetStep) => s.asked || s.due || s.ticked || s.list === 'kit'
const groups = computed(() =>
  [props.items.filter(stands), props.items.filter((s) => !stands(s))].filter((group, i) => i === 0 || group.length),
)
const isCount = (text: string) => /^\d{1,4}$/.test(text.trim())
const absent = (step: string) => `not here ${step}`
function tick(item: SheetStep, on: boolean, said?: string) {
  emit('say', { kind: 'ticked', step: item.step, on, ...(said ? { said } : {}) })
}
function say(item: SheetStep) {
  const text = typed[item.step]?.trim() ?? ''
  if (item.counts && !isCount(text)) return
  tick(item, true, text || undefined)
}
function press(item: SheetStep) {
  if (item.ticked) tick(item, false)
  else if (item.counts || item.asks) say(item)
  else tick(item, true)
}
function notHere(item: SheetStep) {
  const why = typed[absent(item.step)]?.trim()
  if (!why) return
  delete typed[absent(item.step)]
  emit('say', { kind: 'ticked', step: item.step, on: true, notHere: true, why })
}
</script>

<template>
  <div role="group">
    <component :is="group ? 'details' : 'div'" v-for="(lines, group) in groups" :key="group">
      <summary v-if="group" class="offered">If it applies: {{ lines.length }} more</summary>
      <div v-for="item in lines" :key="item.step" class="line">
        <div class="row-of-one">
          <button
            type="button"
            class="tick"
            role="checkbox"
            :aria-checked="item.ticked"
            :disabled="locked"
            @click="press(item)"
          >
            <svg viewBox="0 0 24 24" width="26" height="26" aria-hidden="true">
              <rect x="1.5" y="1.5" width="21" height="21" fill="none" stroke="currentColor" stroke-width="2" />
              <path v-if="item.notHere" d="M6 12 H18" fill="none" stroke="var(--ink-soft)" stroke-width="3.4" />
              <path
                v-else-if="item.ticked"
                d="M5 12.5 L10 18 L19.5 6"
                fill="none"
                stroke="var(--blue)"
                stroke-width="3.4"
              />
            </svg>
            <span
              >{{ item.text }} <strong v-if="item.said" class="figure"> {{ item.said }}</strong><span
                v-if="item.notHere"
                class="soft"
              >
                Not here: {{ item.why }}</span
              ></span
            >
          </button>
          <button
            v-if="!item.must && !item.ticked && !locked && item.asked && typed[absent(item.step)] === undefined"
            type="button"
            class="btn btn-plain absent"
            @click="typed[absent(item.step)] = ''"
          >
            Not here…
          </button>
        </div>
        <form
          v-if="typed[absent(item.step)] !== undefined && !item.ticked && !locked"
          class="asks"
          @submit.prevent="notHere(item)"
        >
          <label :for="`absent-${item.step}`" class="small">Not here, because</label>
          <input
            :id="`absent-${item.step}`"
            v-model="typed[absent(item.step)]"
            class="form-control"
            maxlength="300"
            placeholder="it has none"
          />
          <button type="submit" class="btn btn-plain" :disabled="!typed[absent(item.step)]?.trim()">Not here</button>
          <button type="button" class="btn btn-plain" @click="delete typed[absent(item.step)]">Cancel</button>
        </form>
        <form
          v-else-if="(item.counts || item.asks) && !item.ticked && !locked"
          class="asks"
          @submit.prevent="say(item)"
        >
          <label :for="`said-${item.step}`" class="small">{{
            item.counts ? (item.counts === 'out' ? 'Out:' : 'Back in:') : item.asks
          }}</label>
          <input
            :id="`said-${item.step}`"
            v-model="typed[item.step]"
            class="form-control"
            :class="{ count: item.counts }"
            :inputmode="item.counts ? 'numeric' : undefined"
            :maxlength="item.counts ? 4 : 300"
          />
          <button type="submit" class="btn btn-plain" :disabled="!!item.counts && !isCount(typed[item.step] ?? '')">
            {{ item.counts ? 'Counted' : typed[item.step]?.trim() ? 'Seen' : 'Nothing seen' }}
          </button>
        </form>
      </div>
    </component>
  </div>
</template>

<style scoped>
.line {
  border-bottom: 1px solid var(--hairline);
}
.tick {
  display: flex;
  align-items: center;
  gap: 0.9rem;
  width: 100%;
  min-height: 54px;
  padding: 0.4rem 0.6rem;
  border: 0;
  background: none;
  color: inherit;
  text-align: left;
  font-size: 1.08rem;
}
.tick[aria-checked='true'] {
  background: var(--blue-wash);
}
.row-of-one {
  display: flex;
  align-items: center;
}
.absent {
  flex: none;
  font-size: 0.95rem;
  font-weight: 400;
}
.offered {
  min-height: 44px;
  padding: 0.6rem;
}
.asks {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  flex-wrap: wrap;
  padding: 0 0.6rem 0.6rem 3rem;
}
.asks .form-control {
  flex: 1 1 180px;
  min-height: 44px;
}
.asks .count {
  flex: 0 0 80px;
}
svg {
  flex: none;
}
</style>
