<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { queries } from '../../api/queries'
import Loaded from '../../shared/loaded/Loaded.vue'

/** How another tablet comes to trust this server and takes the application: its root certificate, then its address, each to be scanned. */
const install = useQuery(() => queries.install())
const at = ref(0)
const qr = (text: string) => `/api/install/qr.svg?text=${encodeURIComponent(text)}`
</script>

<template>
  <Loaded v-slot="{ data }" :query="install" what="way">
    <main class="page">
      <div class="page-head">
        <div>
          <h1>On another tablet</h1>
          <p class="soft mb-0 mt-1">Once for each tablet. Nothing of this goes over the internet.</p>
        </div>
        <select
          v-if="data.addresses.length > 1"
          v-model="at"
          class="form-select address"
          aria-label="The address the tablet reaches"
        >
          <option v-for="(address, i) in data.addresses" :key="address" :value="i">{{ address }}</option>
        </select>
      </div>
      <p v-if="!data.https" class="plate p-3" role="note">
        This server was started without <span class="figure">--https</span>: a tablet can use it while it has a network,
        and nothing can be downloaded for offline work. Start it with
        <span class="figure">./run --https --host 0.0.0.0</span> and come back to this page.
      </p>
      <div v-else class="two-columns row-gap-3">
        <section class="plate p-3">
          <h2>1. Trust the depot</h2>
          <img
            :src="qr(data.certificateAddresses[at]!)"
            alt="QR code of the root certificate’s address"
            width="220"
            height="220"
          />
          <p class="figure small mt-2 break">
            <a :href="data.certificateAddresses[at]">{{ data.certificateAddresses[at] }}</a>
          </p>
          <p class="mb-1">Scan it with the tablet and install the file as a certificate authority:</p>
          <ul class="mb-2">
            <li>Most tablets: Settings, search “CA certificate”, choose the file that was downloaded.</li>
            <li>Some ask to allow a profile first, and to trust the certificate once more in the settings.</li>
            <li>A computer: open the file, put it with the trusted root authorities.</li>
          </ul>
          <p class="mb-1">Compare what the tablet shows as SHA-256:</p>
          <p class="figure small break mb-0">{{ data.fingerprint }}</p>
        </section>
        <section class="plate p-3">
          <h2>2. Open it there</h2>
          <img :src="qr(data.addresses[at]!)" alt="QR code of this server’s address" width="220" height="220" />
          <p class="figure small mt-2 break">
            <a :href="data.addresses[at]">{{ data.addresses[at] }}</a>
          </p>
          <p class="mb-1">
            Then, in the tablet’s browser, “Add to home screen”. It opens without the server from then on.
          </p>
          <p class="mb-0">
            Under <RouterLink to="/this-tablet">This tablet</RouterLink> choose what to download for offline work. A
            tablet that warns of the certificate has not done step 1: do not go on past the warning.
          </p>
        </section>
      </div>
    </main>
  </Loaded>
</template>

<style scoped>
.address {
  width: auto;
  max-width: 100%;
}
.break {
  overflow-wrap: anywhere;
}
img {
  background: #fff;
  display: block;
}
</style>
