<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, ref, useTemplateRef } from 'vue'
import type { Entry } from '../../../offline/entries'
import { keepPhoto, photoUrl } from '../../../offline/photos'
import Field from '../../../shared/fields/Field.vue'
import { useTyped } from '../../../shared/forms/useTyped'
import Photo from '../../../shared/photos/Photo.vue'
import type { Visit } from './useVisit'

/** The customer's remark and signature, before the record is closed: drawn with a finger or a pen. */
const props = defineProps<{ view: Visit }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const open = ref(false)
/** Survives a reload, until it is kept. */
const { typed, forget } = useTyped(`customer:${props.view.visitId}`, { customer: '', remark: '' })
const complaint = ref('')
const pad = useTemplateRef<HTMLCanvasElement>('pad')
const drawn = ref(false)
const said = computed(() => props.view.notes.filter((n) => n.customer))
let drawing = false

function at(event: PointerEvent): [number, number] {
  const box = pad.value!.getBoundingClientRect()
  return [
    ((event.clientX - box.left) * pad.value!.width) / box.width,
    ((event.clientY - box.top) * pad.value!.height) / box.height,
  ]
}
function begin(event: PointerEvent) {
  drawing = true
  pad.value!.setPointerCapture(event.pointerId)
  const pen = pad.value!.getContext('2d')!
  pen.lineWidth = 4
  pen.lineCap = 'round'
  pen.strokeStyle = '#14202b'
  pen.beginPath()
  pen.moveTo(...at(event))
}
function go(event: PointerEvent) {
  if (!drawing) return
  const pen = pad.value!.getContext('2d')!
  pen.lineTo(...at(event))
  pen.stroke()
  drawn.value = true
}
function clear() {
  pad.value?.getContext('2d')?.clearRect(0, 0, pad.value.width, pad.value.height)
  drawn.value = false
}
async function keep() {
  complaint.value = typed.customer.trim() ? '' : 'Give the customer’s name.'
  if (complaint.value) return
  const picture = drawn.value
    ? await new Promise<Blob | null>((resolve) => pad.value!.toBlob(resolve, 'image/png'))
    : null
  emit('say', {
    kind: 'noted',
    text: typed.remark.trim() || 'Seen.',
    customer: typed.customer.trim(),
    ...(picture ? { photo: await keepPhoto(picture) } : {}),
  })
  forget()
  open.value = false
}
</script>

<template>
  <div class="mt-3">
    <p v-for="n in said" :key="n.entry" class="mb-1">
      {{ n.customer }}: {{ n.text }}
      <Photo v-if="n.photo" :hash="n.photo" :from="photoUrl" :alt="`Signature of ${n.customer}`" />
    </p>
    <button v-if="!open" type="button" class="btn btn-plain" @click="open = true">The customer signs too…</button>
    <form v-else class="plate p-3" novalidate @submit.prevent="keep">
      <Field v-slot="{ bind }" label="Customer" :complaint="complaint"
        ><BFormInput v-bind="bind" v-model="typed.customer" maxlength="100"
      /></Field>
      <Field v-slot="{ bind }" label="Remark, if any"><BFormInput v-bind="bind" v-model="typed.remark" /></Field>
      <p class="small mb-1">Signature</p>
      <canvas
        ref="pad"
        width="900"
        height="240"
        class="pad"
        aria-label="Sign here with a finger or a pen; a name alone will do"
        role="img"
        @pointerdown="begin"
        @pointermove="go"
        @pointerup="drawing = false"
        @pointercancel="drawing = false"
      />
      <div class="d-flex gap-2">
        <BButton type="submit" class="btn-act">Keep it with the record</BButton>
        <BButton class="btn-plain" :disabled="!drawn" @click="clear">Wipe the signature</BButton>
      </div>
    </form>
  </div>
</template>

<style scoped>
.pad {
  width: 100%;
  height: 160px;
  border: 1.5px solid var(--line);
  background: #fff;
  touch-action: none;
  margin-bottom: 0.6rem;
}
</style>
