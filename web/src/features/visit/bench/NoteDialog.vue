<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { computed, ref, watch } from 'vue'
import type { Entry } from '../../../offline/entries'
import { keepPhoto } from '../../../offline/photos'
import Field from '../../../shared/fields/Field.vue'
import { useTyped } from '../../../shared/forms/useTyped'
import PhotoField from '../../../shared/photos/PhotoField.vue'
import { degreesText } from '../../../shared/words/turns'
import { spoken } from '../../../shared/words/points'
import type { Point } from './useVisit'

/** What was seen or done besides the figures: a remark with a picture, or a part that is another one now. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{
  visitId: string
  point?: Point | null
  /** Where the crank stands, where that is known: a mark that is up there belongs to it. */
  crankDeg?: number | null
}>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const what = ref<'note' | 'part' | 'mark'>('note')
const offers = computed(() => ({
  note: 'A remark',
  ...(props.point ? { part: 'A part changed' } : {}),
  ...(props.crankDeg != null ? { mark: 'A mark is up' } : {}),
}))
/** Survives a reload, until it is noted. */
const { typed, forget } = useTyped(`note:${props.visitId}`, {
  text: '',
  here: true,
  part: '',
  why: '',
  scope: 'point',
  cut: '',
  cutOf: 'stem',
  mark: '',
  trap: false,
  /** Kept on this machine as soon as it is chosen; this is its hash. */
  photo: null as string | null,
})
const busy = ref(false)
const complaint = ref('')
const parts = ['valve', 'valve seat', 'follower', 'pushrod', 'camshaft', 'rocker', 'lifter', 'stem tip ground', 'head']
watch(open, (now) => {
  if (!now) return
  typed.here = !!props.point
  ;[complaint.value, what.value] = ['', 'note']
})
function note() {
  const text = typed.text.trim() || (typed.photo ? 'Photo' : '')
  if (!text) return
  forget()
  emit('say', {
    kind: 'noted',
    text,
    ...(typed.here && props.point ? { point: props.point.label } : {}),
    ...(typed.photo ? { photo: typed.photo } : {}),
  })
  open.value = false
}
function mark() {
  const name = typed.mark.trim()
  if (!name) return
  const trap = typed.trap
  forget()
  emit('say', { kind: 'marked', name, crankDeg: props.crankDeg! % 360, ...(trap ? { trap: true } : {}) })
  open.value = false
}
function change() {
  complaint.value = !typed.part.trim() ? 'Say which part.' : !typed.why.trim() ? 'Say why it was changed.' : ''
  const cut = typed.cut.trim() ? Number(typed.cut.replace(',', '.')) : null
  if (cut !== null && !Number.isFinite(cut)) complaint.value = 'Give the cut in mm, like 0.08, or leave it empty.'
  if (complaint.value) return
  forget()
  emit('say', {
    kind: 'partChanged',
    part: typed.part.trim(),
    why: typed.why.trim(),
    ...(typed.scope === 'whole'
      ? { whole: true }
      : typed.scope === 'cylinder'
        ? { cylinder: props.point!.cylinder }
        : { points: [props.point!.label] }),
    // A cut off the stem opens the gap, one of seat or face closes it.
    ...(cut !== null ? { cutMm: typed.cutOf === 'stem' ? cut : -cut } : {}),
  })
  open.value = false
}
</script>

<template>
  <BModal
    v-model="open"
    lazy
    :title="point ? `At ${spoken(point)}` : 'For this visit'"
    title-tag="h2"
    no-footer
    focus="textarea, form input"
  >
    <div v-if="Object.keys(offers).length > 1" class="d-flex gap-2 mb-3" role="tablist">
      <button
        v-for="(text, key) in offers"
        :key="key"
        type="button"
        class="btn"
        :class="what === key ? 'btn-act' : 'btn-plain'"
        role="tab"
        :aria-selected="what === key"
        @click="what = key"
      >
        {{ text }}
      </button>
    </div>
    <form v-if="what === 'note'" novalidate @submit.prevent="note">
      <Field v-slot="{ bind }" label="What was seen or done">
        <textarea v-bind="bind" v-model="typed.text" class="form-control" rows="3" maxlength="2000" />
      </Field>
      <PhotoField v-model="typed.photo" v-model:busy="busy" label="Photo, if any" :keep="keepPhoto" camera />
      <label v-if="point" class="d-flex align-items-center gap-2 mb-3 here"
        ><input v-model="typed.here" type="checkbox" /> at {{ spoken(point) }}, else of the whole visit</label
      >
      <BButton type="submit" class="btn-act w-100" :disabled="busy || (!typed.text.trim() && !typed.photo)"
        >Note it</BButton
      >
    </form>
    <form v-else-if="what === 'mark'" novalidate @submit.prevent="mark">
      <p class="small soft">
        The crank stands at {{ degreesText(crankDeg! % 360) }} past its first mark, as far as is known.
      </p>
      <Field v-slot="{ bind }" label="What the mark is called">
        <BFormInput v-bind="bind" v-model="typed.mark" placeholder="T, or chalk" />
      </Field>
      <label class="d-flex align-items-center gap-2 mb-3 here"
        ><input v-model="typed.trap" type="checkbox" /> a trap: not the mark to go by</label
      >
      <BButton type="submit" class="btn-act w-100" :disabled="!typed.mark.trim()">It is up now</BButton>
    </form>
    <form v-else novalidate @submit.prevent="change">
      <p class="small soft">
        Its rate ends here, not only its figure: what comes after is another part’s, and breaks in anew.
      </p>
      <Field v-slot="{ bind }" label="Which part">
        <BFormInput v-bind="bind" v-model="typed.part" list="parts" />
      </Field>
      <datalist id="parts"><option v-for="p in parts" :key="p" :value="p" /></datalist>
      <Field v-slot="{ bind }" label="Of">
        <BFormSelect v-bind="bind" v-model="typed.scope">
          <option value="point">{{ spoken(point!) }} alone</option>
          <option value="cylinder">the whole of cylinder {{ point!.cylinder }}</option>
          <option value="whole">the whole engine</option>
        </BFormSelect>
      </Field>
      <Field v-slot="{ bind }" label="Why"><BFormInput v-bind="bind" v-model="typed.why" /></Field>
      <div class="d-flex gap-2">
        <Field v-slot="{ bind }" label="Cut by, mm, if it was" class="flex-grow-1">
          <BFormInput v-bind="bind" v-model="typed.cut" inputmode="decimal" />
        </Field>
        <Field v-slot="{ bind }" label="Off">
          <BFormSelect v-bind="bind" v-model="typed.cutOf">
            <option value="stem">the stem: the gap opens</option>
            <option value="seat">seat or face: it closes</option>
          </BFormSelect>
        </Field>
      </div>
      <p v-if="complaint" class="complaint" role="alert">{{ complaint }}</p>
      <BButton type="submit" class="btn-act w-100">Changed; the gap is asked again</BButton>
    </form>
  </BModal>
</template>

<style scoped>
.here {
  min-height: 44px;
}
</style>
