<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import type { Schemas } from '../../../api/client'
import { newId } from '../../../api/newId'
import { bladeMm } from '../../../shared/figures/lengths'
import { useLooseShims } from './useLooseShims'
import type { Point, Visit } from './useVisit'

/** The shim that came out, where no job says where it goes: into a drawer of the place. */
const props = defineProps<{ view: Visit; point: Point }>()
const { here, decided, put } = useLooseShims(
  () => props.view,
  () => props.point,
)
const cameOut = computed(() => (decided.value ? null : (props.point.shim?.found ?? null)))
const busy = ref(false)
const putAway = ref(false)
const id = newId()
async function away(drawer: Schemas['DrawerResponse']) {
  busy.value = true
  putAway.value = await put(drawer, bladeMm(cameOut.value!.thickness, cameOut.value!.unit), id)
  busy.value = false
}
</script>

<template>
  <p v-if="cameOut && here.length && !putAway" class="small d-flex gap-2 flex-wrap align-items-center mt-1 mb-1">
    {{ cameOut.thickness }} {{ cameOut.unit }} came out. Into
    <BButton v-for="d in here" :key="d.id" class="btn-plain" :disabled="busy" @click="away(d)">{{ d.name }}</BButton>
  </p>
</template>
