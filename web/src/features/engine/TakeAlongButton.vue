<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, watch } from 'vue'
import { goneSince } from '../../api/reach'
import { taken, type ToTake } from '../../offline/taken'
import { canTakeAlong } from '../../offline/tabletReady'
import { useTaking } from '../../offline/useTaking'
import { clock } from '../../shared/figures/days'
import { toast } from '../../shared/toasts/toasts'

/** Takes the engine along, or says since when it is. */
const props = defineProps<{ engine: ToTake }>()
const { take, busy, failure } = useTaking()
const has = computed(() => taken.value.find((t) => t.engineId === props.engine.engineId))
const text = computed(
  () =>
    busy.value || (has.value ? `Downloaded ${clock(new Date(has.value.at).toISOString())}` : 'Download for offline'),
)
watch(failure, (said) => said && toast(said))
async function download() {
  await take([props.engine])
  if (!failure.value) toast(`Downloaded: ${props.engine.name} can be worked on without a network.`)
}
</script>

<template>
  <BButton v-if="canTakeAlong || has" class="btn-plain" :disabled="!!busy || goneSince !== null" @click="download">{{
    text
  }}</BButton>
  <BButton v-else class="btn-plain" to="/this-tablet">Download for offline…</BButton>
</template>
