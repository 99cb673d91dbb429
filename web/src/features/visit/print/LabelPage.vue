<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { queries } from '../../../api/queries'
import { useTitle } from '../../../shared/address/useTitle'
import Loaded from '../../../shared/loaded/Loaded.vue'

/** A label for the machine: scanned, it opens its engine here. */
const props = defineProps<{ engineId: string }>()
const engine = useQuery(() => queries.engine(props.engineId))
const install = useQuery(() => queries.install())
useTitle(() => engine.data.value && `Label, ${engine.data.value.row.name}`)
/** An address that only this machine knows opens nothing on anybody's telephone. */
const onlyHere = (url: string) => /^https?:\/\/(localhost|127\.|\[::1\])/.test(url)
const server = computed(() => {
  const known = install.data.value?.addresses ?? []
  return known.find((a) => !onlyHere(a)) ?? known[0] ?? location.origin
})
const address = computed(() => `${server.value.replace(/\/$/, '')}/engines/${props.engineId}`)
const reachesNobody = computed(() => onlyHere(address.value))
const print = () => window.print()
</script>

<template>
  <Loaded v-slot="{ data }" :query="engine" what="engine" back="/" back-text="The yard">
    <main class="page">
      <div class="page-head no-print">
        <h1>Label for {{ data.row.name }}</h1>
        <div class="d-flex gap-2">
          <BButton class="btn-act" @click="print">Print</BButton>
          <BButton class="btn-plain" :to="{ name: 'engine', params: { id: engineId } }">The engine</BButton>
        </div>
      </div>
      <p v-if="reachesNobody" class="complaint no-print">
        This address works on this computer alone. Start the program with --host or --https, so that the workshop
        reaches it, and print the label then.
      </p>
      <section class="label">
        <img
          :src="`/api/install/qr.svg?text=${encodeURIComponent(address)}`"
          :alt="`QR code that opens ${data.row.name}`"
          width="220"
          height="220"
        />
        <div>
          <p class="name">{{ data.row.name }}</p>
          <p class="mb-1">
            {{ data.type.code }}<template v-if="data.row.serialNumber"> · {{ data.row.serialNumber }}</template>
          </p>
          <p class="mb-1">{{ data.type.lettersSpeltOut }}</p>
          <p class="figure small address">{{ address }}</p>
        </div>
      </section>
    </main>
  </Loaded>
</template>

<style scoped>
.label {
  display: flex;
  gap: 1.2rem;
  align-items: center;
  border: 2px solid var(--ink);
  padding: 1rem;
  max-width: 640px;
  background: #fff;
  color: #14202b;
}
.name {
  font-size: 1.8rem;
  font-weight: 700;
  margin: 0 0 0.3rem;
}
.address {
  overflow-wrap: anywhere;
  margin: 0;
}
</style>
