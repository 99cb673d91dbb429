<script setup lang="ts">
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { queries } from '../../../api/queries'

/** The mate's own device comes to the crank's screen by a code; it follows live. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ visitId: string }>()
const install = useQuery(() => ({ ...queries.install(), enabled: open.value }))
// Plain http, which no device has to be made to trust; what is followed there is only looked at.
const address = computed(() => {
  const first = install.data.value?.addresses[0]
  return first ? `${first.replace(/^https:/, 'http:').replace(/\/$/, '')}/visits/${props.visitId}/crank` : ''
})
</script>

<template>
  <BModal v-model="open" title="The mate at the crank" no-footer>
    <p>
      Scan it with the mate’s phone or tablet, on the depot’s network. It shows only the stop and the turn, and follows.
    </p>
    <img
      v-if="address"
      :src="`/api/install/qr.svg?text=${encodeURIComponent(address)}`"
      alt="QR code of the mate’s screen"
      width="240"
      height="240"
    />
    <p v-if="address" class="figure small break">{{ address }}</p>
    <p v-else-if="install.isError.value" class="complaint">
      The server cannot be reached, so there is no code. Call the turns out, or open the screen here.
    </p>
    <RouterLink class="btn btn-plain w-100" :to="{ name: 'crank', params: { id: visitId } }" target="_blank"
      >Open it on this device</RouterLink
    >
  </BModal>
</template>

<style scoped>
.break {
  overflow-wrap: anywhere;
}
</style>
