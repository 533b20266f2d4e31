import vue from '@vitejs/plugin-vue'
import vuetify from 'vite-plugin-vuetify'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [vue(), vuetify({ autoImport: true })],
  build: { outDir: '../server/dist', emptyOutDir: true, target: 'es2022', reportCompressedSize: false },
  server: { proxy: { '/api': 'http://127.0.0.1:8417' } },
})
