<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { sentence } from '../../api/client'
import { useTitle } from '../../shared/address/useTitle'
import Field from '../../shared/fields/Field.vue'
import { isTyping, useKeys } from '../../shared/keys/keys'
import { usePreferences } from '../../shared/preferences'
import { measuringTools } from './measuringTools'
import { lifterTools } from './lifterTools'
import { settingTools } from './settingTools'
import PocketAnswer from './PocketAnswer.vue'
import { trendTools } from './trendTools'
import { turningTools } from './turningTools'
import { useCalculator } from './useCalculator'

const props = defineProps<{ tool?: string }>()
const router = useRouter()
const preferences = usePreferences()
const tools = [...turningTools, ...measuringTools, ...settingTools, ...lifterTools, ...trendTools]
const unknown = computed(() => !!props.tool && !tools.some((t) => t.key === props.tool))
const chosen = computed(() => tools.find((t) => t.key === props.tool) ?? tools[0]!)
useTitle(() => `Pocket, ${chosen.value.name.toLowerCase()}`)

const { typed, given, failure, working, complaint, work } = useCalculator(chosen)
useKeys(
  [
    { key: '↑ ↓', does: 'another calculator' },
    { key: 'Tab', does: 'next field' },
  ],
  (event) => {
    if (isTyping(event) || (event.key !== 'ArrowDown' && event.key !== 'ArrowUp')) return
    event.preventDefault()
    const next = tools[tools.indexOf(chosen.value) + (event.key === 'ArrowDown' ? 1 : -1)]
    if (next) void router.push({ name: 'pocket', params: { tool: next.key } })
  },
)
</script>

<template>
  <main class="page">
    <div class="page-head">
      <h1>Pocket <span class="soft note">work a figure out; nothing is kept</span></h1>
    </div>
    <p v-if="unknown" class="complaint" role="alert">There is no such calculator; choose one of these.</p>
    <div class="board">
      <nav class="plate" aria-label="Calculators">
        <RouterLink
          v-for="t in tools"
          :key="t.key"
          :to="{ name: 'pocket', params: { tool: t.key } }"
          :class="{ here: t === chosen }"
          :aria-current="t === chosen ? 'page' : undefined"
          >{{ t.name }}</RouterLink
        >
      </nav>
      <form class="plate p-3" @submit.prevent="work">
        <h2 class="mb-3">{{ chosen.name }}</h2>
        <Field
          v-for="ask in chosen.asks.filter((a) => !a.when || a.when(typed))"
          :key="`${chosen.key}-${ask.name}`"
          v-slot="{ bind }"
          :label="ask.kind === 'length' ? `${ask.label}, ${preferences.unit}` : ask.label"
          :complaint="complaint(ask.name)"
          :hint="ask.hint"
        >
          <textarea
            v-if="ask.kind === 'lines'"
            v-bind="bind"
            v-model="typed[ask.name]"
            class="form-control figure"
            rows="5"
          />
          <BFormSelect v-else-if="ask.kind === 'choice'" v-bind="bind" v-model="typed[ask.name]">
            <option v-for="c in ask.choices" :key="c.value" :value="c.value">{{ c.text }}</option>
          </BFormSelect>
          <BFormInput
            v-else
            v-bind="bind"
            v-model="typed[ask.name]"
            class="figure"
            :inputmode="ask.kind === 'text' ? 'text' : 'decimal'"
            autocomplete="off"
          />
        </Field>
      </form>
      <section class="plate plate-strong p-4 answer" aria-live="polite" :aria-busy="working">
        <p v-if="failure" class="sentence complaint" role="alert">{{ sentence(failure) }}</p>
        <PocketAnswer v-else-if="given" :given="given" :round="['past-tdc', 'where-am-i'].includes(chosen.key)" />
      </section>
    </div>
  </main>
</template>

<style scoped>
.note {
  font-size: 0.95rem;
  font-weight: 400;
  margin-left: 0.8rem;
}
.board {
  display: grid;
  grid-template-columns: 200px minmax(250px, 330px) minmax(0, 1fr);
  gap: 14px;
  align-items: start;
}
nav {
  padding: 0.4rem 0;
}
nav a {
  display: flex;
  align-items: center;
  min-height: 44px;
  padding: 0 1rem;
  border-left: 5px solid transparent;
  color: var(--ink);
  text-decoration: none;
}
nav a.here {
  border-left-color: var(--blue);
  font-weight: 700;
}
.answer {
  position: sticky;
  top: 14px;
}
.sentence {
  font-size: 1.45rem;
  font-weight: 700;
  line-height: 1.25;
}
.sentence.complaint {
  font-size: 1.15rem;
}
@media (max-width: 600px) {
  .board {
    grid-template-columns: minmax(0, 1fr) !important;
  }
}
@media (max-width: 1000px) {
  .board {
    grid-template-columns: 150px minmax(0, 1fr);
  }
  .answer {
    grid-column: 1 / -1;
    position: static;
  }
}
</style>
