<script setup lang="ts">
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { queries } from '../../../api/queries'
import type { Chosen, Entry } from '../../../offline/entries'
import { usePreferences } from '../../../shared/preferences'
import { methodNames } from '../../../shared/words/methods'
import {
  judgingNames,
  mannerNames,
  measuringNames,
  orderNames,
  settingNames,
  turnedByNames,
} from '../../../shared/words/schools'
import { allTrays, choseTray, type Tray } from '../trays'
import type { Sheet, Visit } from './useVisit'

/** The ways of working: as the book does it, and otherwise in one tap. The screen then speaks only that way. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ view: Visit; sheet: Sheet }>()
const emit = defineEmits<{ say: [entry: Entry] }>()
const preferences = usePreferences()
const type = computed(() => props.view.context!.type)

interface Choice {
  title: string
  key: keyof Chosen
  now: string
  book?: string | null
  offers: [value: string, text: string][]
}
const from = <T extends string>(names: Record<T, string>) => Object.entries(names) as [string, string][]
const choices = computed<Choice[]>(() => {
  const s = props.sheet
  const t = type.value
  const all: Choice[] = [
    {
      title: 'Finding the position',
      key: 'method',
      now: s.method,
      book: t.method,
      offers: s.methods.map((m) => [m.method, methodNames[m.method]]),
    },
    { title: 'At a stop', key: 'order', now: s.order, book: t.order, offers: from(orderNames) },
    { title: 'Setting', key: 'setting', now: s.setting, book: t.setting, offers: from(settingNames) },
    { title: 'Judging', key: 'judging', now: s.judging, book: t.judging, offers: from(judgingNames) },
    { title: 'Setting and locking', key: 'manner', now: s.manner, book: t.manner, offers: from(mannerNames) },
    { title: 'Turned by', key: 'turnedBy', now: s.turnedBy ?? '', book: '', offers: from(turnedByNames) },
  ]
  if (t.dialConversion != null)
    all.splice(4, 0, {
      title: `Measuring${t.dialContact ? `; the dial ${t.dialContact}` : ''}`,
      key: 'measuring',
      now: s.measuring,
      book: t.measuring,
      offers: from(measuringNames),
    })
  return all
})
/** The starter is too coarse for a mark: with it another school is taken in the same tap. */
const instruments = useQuery(() => queries.instruments())
const sets = computed(() => allTrays(instruments.data.value))
/** Another set for this point or for whoever measures now; each try says which it was made with. */
function otherBlades(tray: Tray) {
  if (tray.name === props.sheet.traySet) return
  preferences.trayOf = { ...preferences.trayOf, [preferences.person]: tray.name }
  emit('say', choseTray(tray))
}
function choose(choice: Choice, value: string) {
  if (value === choice.now) return
  const chosen: Chosen = { [choice.key]: value }
  if (
    choice.key === 'turnedBy' &&
    value === 'starter' &&
    props.sheet.methods.find((m) => m.method === props.sheet.method)?.needsMark
  )
    chosen.method = props.sheet.byEyeMethod
  emit('say', { kind: 'chose', ...chosen })
}
</script>

<template>
  <BModal v-model="open" title="How you work" size="lg" ok-only ok-title="Done">
    <fieldset v-for="choice in choices" :key="choice.key" class="mb-2">
      <legend>{{ choice.title }}</legend>
      <div class="offers">
        <button
          v-for="[value, text] in choice.offers"
          :key="value"
          type="button"
          class="btn btn-plain"
          :class="{ on: value === choice.now }"
          :aria-pressed="value === choice.now"
          @click="choose(choice, value)"
        >
          {{ text }}<span v-if="value === choice.book && value" class="small soft"> (the book)</span>
        </button>
      </div>
    </fieldset>
    <fieldset class="mb-2">
      <legend>Blades of {{ sheet.traySet ?? 'this visit' }}; others for what comes now</legend>
      <div class="offers">
        <button
          v-for="t in sets"
          :key="t.name"
          type="button"
          class="btn btn-plain"
          :class="{ on: t.name === sheet.traySet }"
          :aria-pressed="t.name === sheet.traySet"
          @click="otherBlades(t)"
        >
          {{ t.name }}
        </button>
      </div>
    </fieldset>
    <p v-if="view.state === 'open'">
      <RouterLink :to="{ name: 'type-in', params: { id: view.visitId } }">Type a field sheet in</RouterLink>, measured
      on paper, with the keyboard alone.
    </p>
    <fieldset>
      <legend>On this device</legend>
      <label><input v-model="preferences.keepsItself" type="checkbox" /> A clear verdict keeps itself after 2 s</label>
      <label
        ><input v-model="preferences.mirrored" type="checkbox" /> I stand on the other side: mirror heads and
        list</label
      >
      <label
        ><input
          type="checkbox"
          :checked="!!preferences.beginsWhereItStands[preferences.person]"
          @change="
            preferences.beginsWhereItStands = {
              ...preferences.beginsWhereItStands,
              [preferences.person]: ($event.target as HTMLInputElement).checked,
            }
          "
        />
        Begin where the crank stands, not at 1</label
      >
    </fieldset>
  </BModal>
</template>

<style scoped>
legend {
  font-size: 1rem;
  font-weight: 700;
  margin-bottom: 0.25rem;
}
.offers {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.offers .btn {
  gap: 0.4rem;
}
.on {
  border: 2px solid var(--blue);
  background: var(--blue-wash);
}
label {
  display: flex;
  gap: 0.6rem;
  align-items: center;
  min-height: 44px;
}
input[type='checkbox'] {
  width: 22px;
  height: 22px;
}
</style>
