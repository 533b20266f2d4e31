import { defineConfig } from 'vite'

// The machines of the screen alone, for the tests: no part of the program.
export default defineConfig({
  define: { 'process.env.NODE_ENV': '"production"' },
  publicDir: false,
  build: {
    lib: { entry: 'machines/main.ts', formats: ['iife'], name: 'machines', fileName: () => 'machines.js' },
    outDir: '.cache/machines',
    target: 'es2022',
    minify: false,
    reportCompressedSize: false,
  },
})
