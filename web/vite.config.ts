import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue()],
  build: { target: 'es2022', chunkSizeWarningLimit: 900 },
  css: { preprocessorOptions: { scss: { quietDeps: true } } },
  test: { environment: 'happy-dom', include: ['src/**/*.test.ts'], restoreMocks: true },
  server: { proxy: { '/api': 'http://127.0.0.1:5080' } },
})
